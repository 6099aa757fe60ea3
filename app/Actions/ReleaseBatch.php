<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Note;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Grams;

/**
 * Bottles a batch or gives some of it away, where its acid was read; both are written into its log. Keeping it out of the
 * fridge is a move, see StandJar.
 */
final readonly class ReleaseBatch
{
    public function __construct(private LedgerWriter $ledger, private CurrentHousehold $current)
    {
    }

    /**
     * @param  float|null  $grams  how much is given away
     * @param  string  $requestKey  the same key never does it twice
     */
    public function __invoke(string $batchId, ReleasePurpose $purpose, ?float $grams, string $requestKey): Batch
    {
        return DB::transaction(function () use ($batchId, $purpose, $grams, $requestKey): Batch {
            $batch = $this->ledger->lock($batchId)->load(['formulaVersion', 'choreMarks', 'notes']);
            if (Note::query()->withoutGlobalScope('present')->where('request_key', $requestKey)->exists()) {
                return $batch;
            }
            $status = BatchStatus::of($batch, Ledgers::of($batch), $this->current->get());
            $gate = $status->gate($purpose);
            if (! $gate->isOpen) {
                throw ValidationException::withMessages(['purpose' => $gate->reason]);
            }
            $now = CarbonImmutable::now()->startOfSecond();
            $text = 'Bottled.';
            if ($purpose === ReleasePurpose::GiveAway) {
                if ($grams === null) {
                    throw ValidationException::withMessages(['grams' => 'Say how much of it you give away, in grams.']);
                }
                $text = sprintf('%s g given away.', round($grams, 1));
                try {
                    $give = (new Give(BatchStatus::servedPhase($batch, $status->state), Grams::of($grams), null))->bookedAt($status->state);
                    $this->ledger->append($batch, $now, $give, $requestKey);
                    $this->ledger->check($batch);
                } catch (NotEnough $refusal) {
                    throw ValidationException::withMessages(['grams' => $refusal->getMessage()]);
                }
            }
            Note::create([
                'batch_id' => $batch->id, 'happened_at' => $now, 'ripened_s' => $status->state->ripened, 'marks' => [],
                'text' => "{$text} {$gate->reason}", 'request_key' => $requestKey,
            ]);

            return $batch;
        });
    }
}
