<?php

declare(strict_types=1);

namespace App\Actions;

use App\Intake\EatenDays;
use App\Intake\OutdatedPortion;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * Brings portions up to date with what was written of their jar since, or puts back what was booked before. Their lines
 * in the ledger are taken back and written again at the same moment. Twice is once.
 */
final readonly class UpdatePortions
{
    public function __construct(private LedgerWriter $ledger) {}

    /** @return list<Serving> those that were updated */
    public function __invoke(string $batchId): array
    {
        return $this->change($batchId, function (Batch $batch): array {
            $outdated = OutdatedPortion::of($batch);
            EatenDays::changed(...array_map(static fn(OutdatedPortion $one): Serving => $one->serving, $outdated));

            return array_map(
                fn(OutdatedPortion $portion): Serving => $this->book(
                    $batch,
                    $portion->serving,
                    $portion->plate,
                    $portion->sodium,
                    self::asBooked($batch, $portion->serving),
                ),
                $outdated,
            );
        });
    }

    /**
     * What was updated last says again what was booked before.
     *
     * @return list<Serving> those that were put back
     */
    public function undo(string $batchId): array
    {
        return $this->change($batchId, function (Batch $batch): array {
            $back = [];
            $updated = Serving::query()
                ->where('batch_id', $batch->id)
                ->where('undone_at', null)
                ->where('booked_before', '!=', null)
                ->with('person')
                ->orderBy('id')
                ->get();
            EatenDays::changed(...$updated->all());
            foreach ($updated as $serving) {
                $before = Fields::of($serving->booked_before);
                $back[] = $this->book(
                    $batch,
                    $serving,
                    Serve::read($before->child('plate')),
                    Band::of($before->number('low'), $before->number('typical'), $before->number('high')),
                    null,
                );
            }

            return $back;
        });
    }

    /** @param  array<string, mixed>|null  $before  what is remembered of the booking that it replaces */
    private function book(Batch $batch, Serving $serving, Serve $plate, Band $sodium, ?array $before): Serving
    {
        $line = $batch->entries->findOrFail($serving->batch_entry_id);
        $this->ledger->reverse($batch, $line, CarbonImmutable::now());
        $serving->update([
            'batch_entry_id' => $this->ledger->append($batch, $line->happened_at, $plate)->id,
            ...Serving::sodiumColumns()->write($sodium),
            'booked_before' => $before,
        ]);

        return $serving;
    }

    /** @return array<string, mixed> */
    private static function asBooked(Batch $batch, Serving $serving): array
    {
        $sodium = $serving->sodium();

        return [
            'plate' => $batch->entries->findOrFail($serving->batch_entry_id)->entry,
            'low' => $sodium->low,
            'typical' => $sodium->typical,
            'high' => $sodium->high,
        ];
    }

    /**
     * @param  callable(Batch): list<Serving>  $work
     * @return list<Serving>
     */
    private function change(string $batchId, callable $work): array
    {
        return DB::transaction(function () use ($batchId, $work): array {
            $batch = $this->ledger->lock($batchId);
            try {
                $changed = $work($batch);
                $this->ledger->check($batch);
            } catch (NotEnough $refusal) {
                throw InvalidInput::at('portions', Message::of('errors.step_order', reason: $refusal->explanation()));
            }

            return $changed;
        });
    }
}
