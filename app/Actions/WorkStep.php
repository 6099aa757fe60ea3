<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\IdempotencyKey;
use App\Models\Batch;
use App\Models\BatchStep;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Message\Message;

/**
 * Does a step at the counter, leaves it out, or opens it again. Twice is once; of two hands that did the same step, the
 * first one did it.
 */
final readonly class WorkStep
{
    public function __construct(private LedgerWriter $ledger, private StepWriter $steps, private BlendSauce $blend) {}

    /**
     * @param  callable(Step): Step  $change  how it was done otherwise than planned: weighed, rinsed for longer
     * @param  string  $requestKey  the same key never does it twice
     */
    public function done(
        string $batchId,
        string $stepId,
        ?CarbonImmutable $at,
        callable $change,
        string $requestKey,
    ): Batch {
        return $this->change($batchId, $stepId, function (Batch $batch, BatchStep $row) use (
            $at,
            $change,
            $requestKey,
        ): void {
            $moment = self::moment($batch, $at);
            if ($row->done_at !== null && !$moment->isBefore($row->done_at)) {
                return;
            }
            if ($row->done_at !== null || $row->skipped_at !== null) {
                $this->steps->reopen($batch, $row);
            }
            $planned = $row->step();
            $as = $change($planned);
            $this->steps->do($batch, $row, $moment, $as === $planned ? null : $as, $requestKey);
            $this->blend->done($batch, $row, $moment);
        });
    }

    public function skipped(string $batchId, string $stepId, ?CarbonImmutable $at): Batch
    {
        return $this->change($batchId, $stepId, function (Batch $batch, BatchStep $row) use ($at): void {
            if ($row->isOpen()) {
                $row->update(['skipped_at' => self::moment($batch, $at)]);
                $this->steps->reschedule($batch);
            }
        });
    }

    /** It was not done after all. */
    public function undone(string $batchId, string $stepId): Batch
    {
        return $this->change($batchId, $stepId, function (Batch $batch, BatchStep $row): void {
            if (BlendSauce::isFilled($batch)) {
                throw InvalidInput::at('step', Message::of('errors.bottles_filled'));
            }
            if (!$row->isOpen()) {
                IdempotencyKey::spend($row->request_key);
                $this->steps->reopen($batch, $row);
                $this->blend->undone($batch, $row);
            }
        });
    }

    /** @param  callable(Batch, BatchStep): void  $work */
    private function change(string $batchId, string $stepId, callable $work): Batch
    {
        return DB::transaction(function () use ($batchId, $stepId, $work): Batch {
            $batch = $this->ledger->lock($batchId);
            $batch->load('steps');
            $row = $batch->steps->find($stepId) ?? BatchStep::query()->where('batch_id', $batchId)->findOrFail($stepId);
            try {
                $work($batch, $row);
                $this->ledger->check($batch);
            } catch (NotEnough $refusal) {
                throw InvalidInput::at('step', Message::of('errors.step_order', reason: $refusal->explanation()));
            }

            return $batch;
        });
    }

    /** A jar begins with the first step by which something comes into it, whenever that was. */
    private static function moment(Batch $batch, ?CarbonImmutable $at): CarbonImmutable
    {
        if ($batch->standing() === [] && $at !== null && $at->lessThan($batch->started_at)) {
            $batch->update(['started_at' => $at->startOfSecond()]);
        }

        return RecordEntry::moment($batch, $at)->startOfSecond();
    }
}
