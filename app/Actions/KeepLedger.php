<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Batch;
use App\Models\BatchEntry;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use LogicException;
use Tempesal\Core\Ledger\Entry;

/**
 * Adds lines to a batch's ledger, inside a transaction and with the batch locked, so that two tabs never lose a line.
 */
final readonly class KeepLedger
{
    /** The batch, locked until the transaction ends, with its entries as they are then. */
    public function lock(string $batchId): Batch
    {
        if (DB::transactionLevel() === 0) {
            throw new LogicException('A ledger is only written inside a transaction.');
        }

        return Batch::query()->lockForUpdate()->findOrFail($batchId)->load(['entries', 'jar']);
    }

    public function append(Batch $locked, CarbonImmutable $at, Entry $entry): BatchEntry
    {
        return $this->write($locked, ['kind' => $entry::kind(), 'entry' => $entry->toArray(), 'happened_at' => $at]);
    }

    /** Takes a line back by a line of its own; the line itself stays. */
    public function reverse(Batch $locked, BatchEntry $mistake, CarbonImmutable $at): BatchEntry
    {
        return $this->write($locked, ['kind' => BatchEntry::REVERSAL, 'reverses_id' => $mistake->id, 'happened_at' => $at]);
    }

    /** @param  array<string, mixed>  $line */
    private function write(Batch $locked, array $line): BatchEntry
    {
        $entry = BatchEntry::create([
            'entry' => null, 'reverses_id' => null, ...$line,
            'batch_id' => $locked->id,
            'position' => 1 + (int) $locked->entries->max('position'),
        ]);
        $locked->entries->push($entry);

        return $entry;
    }
}
