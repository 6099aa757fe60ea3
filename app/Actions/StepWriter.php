<?php

declare(strict_types=1);

namespace App\Actions;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchStep;
use Carbon\CarbonImmutable;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Method\Place;

/**
 * Writes steps into their table, and into the ledger what those that are done do to the jar. The caller holds the
 * batch.
 */
final readonly class StepWriter
{
    public function __construct(private LedgerWriter $ledger) {}

    /**
     * The steps of a jar that begins, all of them due.
     *
     * @return list<BatchStep>
     */
    public function plan(Batch $batch, StepPlan $plan, CarbonImmutable $begins): array
    {
        $rows = array_map(
            static fn(array $row): BatchStep => BatchStep::create([...$row, 'batch_id' => $batch->id]),
            BatchStep::planned($plan, $begins),
        );
        $batch->setRelation('steps', $batch->newCollection($rows));

        return $rows;
    }

    /**
     * A step is done at a moment: what it does to the jar is written there.
     *
     * @param  Step|null  $as  as it was done, where that is other than planned
     *
     * @throws NotEnough
     */
    public function do(Batch $batch, BatchStep $row, CarbonImmutable $at, ?Step $as = null, ?string $key = null): void
    {
        foreach (($as ?? $row->step())->entries as $entry) {
            $entry = self::asOf($entry, $at);
            $this->ledger->append($batch, $at, $entry, null, $row->id);
            if ($entry instanceof Starter && $entry->fromBatch !== null) {
                $lender = Batch::query()->find($entry->fromBatch);
                if ($lender !== null) {
                    $this->ledger->lend($this->ledger->lock($lender->id), $at, $entry->grams, $batch);
                }
            }
            $place = $entry instanceof Soak && $entry->room !== null ? Place::tryFrom($entry->room) : null;
            if ($place !== null && $place !== $batch->place) {
                $batch->update(['place' => $place]);
            }
        }
        $row->update([
            'done_at' => $at,
            'skipped_at' => null,
            'request_key' => $key,
            ...$as === null ? [] : ['planned' => $as->toArray()],
        ]);
        $this->reschedule($batch);
    }

    /** What a step wrote is taken back. */
    public function reopen(Batch $batch, BatchStep $row): void
    {
        foreach ($batch->entries->where('batch_step_id', $row->id)->all() as $line) {
            if (!$batch->entries->contains('reverses_id', $line->id)) {
                $this->ledger->takeBack($batch, $line, CarbonImmutable::now());
            }
        }
        $row->update(['done_at' => null, 'skipped_at' => null]);
        $this->reschedule($batch);
    }

    /** Each open step is due so long after the one before it as it was planned. */
    public function reschedule(Batch $batch): void
    {
        $before = null;
        foreach ($batch->steps()->get() as $row) {
            $after = (int) round($row->step()->after->value);
            if ($before !== null && $row->isOpen()) {
                $row->update(['due_at' => ($before->closedAt() ?? $before->due_at)->addSeconds($after)]);
            }
            $before = $row;
        }
        $batch->unsetRelation('steps');
        $batch->load('steps');
    }

    /** A starter of another jar is that jar's brine as it is at the moment. */
    private static function asOf(Entry $entry, CarbonImmutable $at): Entry
    {
        if (!($entry instanceof Starter) || $entry->fromBatch === null) {
            return $entry;
        }
        $lender = Batch::query()->with('entries')->find($entry->fromBatch);

        return $lender === null
            ? $entry
            : new Starter(Ledgers::lent($lender, $at), $entry->grams, $entry->into, $entry->fromBatch);
    }
}
