<?php

declare(strict_types=1);

namespace App\Actions;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use LogicException;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;

/**
 * Adds lines to a batch's ledger, inside a transaction and with the batch locked, so that two tabs never lose a line.
 */
final readonly class LedgerWriter
{
    /** The batch, locked until the transaction ends, with its entries as they are then. */
    public function lock(string $batchId): Batch
    {
        if (DB::transactionLevel() === 0) {
            throw new LogicException('A ledger is only written inside a transaction.');
        }

        return Batch::query()
            ->lockForUpdate()
            ->findOrFail($batchId)
            ->load(['entries', 'jar']);
    }

    /** @param  string|null  $stepId  the step that writes it */
    public function append(
        Batch $locked,
        CarbonImmutable $at,
        Entry $entry,
        ?string $requestKey = null,
        ?string $stepId = null,
    ): BatchEntry {
        return $this->write($locked, [
            'kind' => $entry->toArray()['kind'],
            'entry' => $entry->toArray(),
            'happened_at' => $at,
            'request_key' => $requestKey,
            'batch_step_id' => $stepId,
        ]);
    }

    /**
     * Refuses a change after which the history would not hold together. The caller's transaction then leaves no trace.
     *
     * @throws NotEnough
     */
    public function check(Batch $locked): void
    {
        Ledgers::history($locked)->resolved();
    }

    /**
     * The lender's side of a starter: liquid leaves it for another batch, at its concentration of that moment.
     *
     * @throws NotEnough
     */
    public function lend(Batch $locked, CarbonImmutable $at, Grams $grams, Batch $borrower): BatchEntry
    {
        $state = Ledgers::of($locked, $at)->state();
        $line = $this->append(
            $locked,
            $at,
            (new Give(Served::of($state->liquid()), $grams, $borrower->id))->bookedAt($state),
        );
        $this->check($locked);

        return $line;
    }

    /** Takes a line back by a line of its own; the line itself stays. */
    public function reverse(Batch $locked, BatchEntry $mistake, CarbonImmutable $at): BatchEntry
    {
        return $this->write($locked, [
            'kind' => BatchEntry::REVERSAL,
            'reverses_id' => $mistake->id,
            'happened_at' => $at,
        ]);
    }

    /**
     * The line that another jar wrote at the same time: the lender's for a starter, the borrower's for what was given.
     */
    public function twin(BatchEntry $line): ?BatchEntry
    {
        if ($line->kind !== Starter::kind() && $line->kind !== Give::kind()) {
            return null;
        }
        $entry = $line->read();
        $other = match (true) {
            $entry instanceof Starter && $entry->fromBatch !== null => [
                'batch' => $entry->fromBatch,
                'kind' => Give::kind(),
                'names' => 'toBatch',
            ],
            $entry instanceof Give && $entry->toBatch !== null => [
                'batch' => $entry->toBatch,
                'kind' => Starter::kind(),
                'names' => 'fromBatch',
            ],
            default => null,
        };

        return $other === null
            ? null
            : BatchEntry::standing()
                ->where('batch_id', $other['batch'])
                ->where('kind', $other['kind'])
                ->where('happened_at', $line->happened_at)
                ->get()
                ->first(
                    static fn(BatchEntry $twin): bool => ($twin->entry[$other['names']] ?? null) === $line->batch_id &&
                        abs(self::grams($twin) - self::grams($line)) < 1e-9,
                );
    }

    /** Takes a line back, and in the other jar what was written with it, where that still stands. */
    public function takeBack(Batch $locked, BatchEntry $line, CarbonImmutable $at): void
    {
        $twin = $this->twin($line);
        if ($twin !== null) {
            $this->reverse($this->lock($twin->batch_id), $twin, $at);
        }
        $this->reverse($locked, $line, $at);
    }

    /** @param  array<string, mixed>  $line */
    private function write(Batch $locked, array $line): BatchEntry
    {
        $entry = BatchEntry::create([
            'entry' => null,
            'reverses_id' => null,
            'request_key' => null,
            'batch_step_id' => null,
            ...$line,
            'batch_id' => $locked->id,
            'position' => 1 + ($locked->entries->last()->position ?? 0),
        ]);
        $locked->entries->push($entry);

        return $entry;
    }

    private static function grams(BatchEntry $line): float
    {
        $grams = $line->entry['grams'] ?? 0.0;

        return is_numeric($grams) ? (float) $grams : 0.0;
    }
}
