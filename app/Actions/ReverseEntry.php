<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\IdempotencyKey;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;

/**
 * Takes a mistaken entry back by an entry. What two jars wrote together is taken back in both; a serving goes back into
 * the jar and off the person's day. Twice is once.
 */
final readonly class ReverseEntry
{
    public function __construct(private LedgerWriter $ledger, private UndoServing $undo) {}

    /** Refuses, in a sentence, what the history would not hold together without. */
    public function __invoke(string $batchId, string $entryId): Batch
    {
        return DB::transaction(function () use ($batchId, $entryId): Batch {
            $mistake = BatchEntry::query()->where('batch_id', $batchId)->findOrFail($entryId);
            $serving = Serving::query()->where('batch_entry_id', $mistake->id)->first() ?? self::shareOf($mistake);
            if ($serving !== null) {
                ($this->undo)($serving->id);

                return $this->ledger->lock($batchId);
            }
            $twin = $this->ledger->twin($mistake);
            $locked = [];
            foreach (
                collect([$batchId, $twin?->batch_id])
                    ->whereNotNull()
                    ->unique()
                    ->sort()
                as $id
            ) {
                $locked[$id] = $this->ledger->lock($id);
            }
            if ($mistake->kind === BatchEntry::REVERSAL) {
                throw ValidationException::withMessages(['entry' => 'errors.reversal_of_reversal']);
            }
            if ($locked[$batchId]->entries->contains('reverses_id', $mistake->id)) {
                return $locked[$batchId];
            }
            try {
                foreach (array_filter([$mistake, $twin]) as $line) {
                    $this->ledger->reverse($locked[$line->batch_id], $line, CarbonImmutable::now());
                    $this->ledger->check($locked[$line->batch_id]);
                    IdempotencyKey::spend($line->request_key);
                }
                if ($mistake->kind === Blend::kind()) {
                    self::unblend($locked[$batchId]);
                }
                // A move that is taken back leaves the jar where it stood before.
                [, $place] = array_slice($locked[$batchId]->stands(), -1)[0];
                $locked[$batchId]->update(['place' => $place]);
            } catch (NotEnough $refusal) {
                throw InvalidInput::at(
                    'entry',
                    Message::of('errors.reverse_later_first', reason: $refusal->explanation()),
                );
            }

            return $locked[$batchId];
        });
    }

    /** A jar that was not blended after all is what it was made as. */
    private static function unblend(Batch $batch): void
    {
        $made = $batch->formulaVersion->document['method'] ?? ($batch->bench_input['method'] ?? null);
        $method = is_string($made) ? Method::tryFrom($made) : null;
        $batch->update(['method' => $method ?? $batch->method]);
    }

    /** A share of the dish whose rest the line gave away. */
    private static function shareOf(BatchEntry $line): ?Serving
    {
        return $line->kind !== Give::kind() || $line->request_key === null
            ? null
            : Serving::query()->where('dish_key', $line->request_key)->first();
    }
}
