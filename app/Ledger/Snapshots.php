<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\BatchSnapshot;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Finder\Finder;
use Tempesal\Core\Ledger\Checkpoint;
use Tempesal\Core\Ledger\CheckpointStore;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\KeptHistory;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\ShortHistory;
use Throwable;

/**
 * A batch's short history and its checkpoint as a row. They stand for the entries up to a position: entries are added and
 * never changed, so that nothing before it can be another. What came since is carried out after them, as long as it happened
 * after them and takes none of them back. What cannot be read, or not be written just now, is computed.
 */
final readonly class Snapshots implements CheckpointStore
{
    /** Entries since, from which on what was kept is kept anew. */
    private const MANY = 8;

    /**
     * @param  int  $position  of the last entry in the ledger of which this is the store
     * @param  BatchSnapshot|null  $row  with which that ledger begins
     */
    private function __construct(private Batch $batch, private int $position, private ?BatchSnapshot $row = null) {}

    /** The batch's history: what was kept and what came since; where nothing was kept that holds, all, and it is kept. */
    public static function history(Batch $batch): Ledger
    {
        $row = $batch->loadMissing('snapshot')->snapshot;
        $short = $row === null ? null : self::short($batch, $row);
        $since = $row === null || $short === null ? null : self::since($batch, $row, $short);
        if ($row !== null && $short !== null && $since !== null) {
            $last = max([$row->position, ...array_map(static fn(BatchEntry $entry): int => $entry->position, $since)]);
            $store = new self($batch, $last, $row);
            $ledger = Ledger::goingOn(
                $short,
                array_map(static fn(BatchEntry $entry): LedgerLine => Ledgers::line($batch, $entry), $since),
                static fn(): Ledger => self::whole($batch)[0],
                $batch->is_apart,
                $store,
            );
            if (count($since) >= self::MANY) {
                $store->keepOf($ledger);
            }

            return $ledger;
        }
        [$whole, $store] = self::whole($batch);
        if (count($whole->lines) >= Ledger::WORTH_KEEPING) {
            $store->keepOf($whole);
        }

        return $whole;
    }

    /** What is known of a ledger by now; nothing of one that does not hold together. */
    private function keepOf(Ledger $ledger): void
    {
        try {
            if ($this->row?->state === null) {
                $this->keep($ledger->short(), null);
            } else {
                $ledger->reachCheckpoint();
            }
        } catch (NotEnough) {
            // It says so when it is asked.
        }
    }

    /** @return array{Ledger, self} */
    private static function whole(Batch $batch): array
    {
        $store = new self($batch, $batch->loadMissing('entries')->entries->last()->position ?? 0);

        return [Ledgers::replayed($batch, $store), $store];
    }

    /** Throws away what was kept by another core than this one, which may have come to something else. */
    public static function dropOutdated(): void
    {
        // Of every household: it is nobody's data.
        DB::table('batch_snapshots')->where('core', '!=', self::core())->delete();
    }

    /** What this core is known by. */
    private static function core(): string
    {
        static $known = null;
        if (!is_string($known)) {
            $hash = hash_init('xxh128');
            foreach (Finder::create()->files()->in(base_path('core'))->sortByName() as $file) {
                hash_update($hash, $file->getRelativePathname() . $file->getContents());
            }
            $known = hash_final($hash);
        }

        return $known;
    }

    /** What was kept, if it holds: with its entries that stand, and the temperatures that are known now. */
    private static function short(Batch $batch, BatchSnapshot $row): ?ShortHistory
    {
        $tended = array_values(
            array_filter($batch->tended(), static fn(BatchEntry $entry): bool => $entry->position <= $row->position),
        );
        $kept = self::unpacked($row->short);
        $short = !($kept instanceof KeptHistory)
            ? null
            : ShortHistory::found(
                $kept,
                array_map(
                    static fn(BatchEntry $entry): array => [$entry->id, $batch->secondsSinceStart($entry->happened_at)],
                    $tended,
                ),
                static fn(int $i): Entry => Ledgers::line($batch, $tended[$i])->entry,
            );

        return $short?->mark() === $row->mark ? $short : null;
    }

    /** @return list<BatchEntry>|null what came since; null where that is not after all that was kept */
    private static function since(Batch $batch, BatchSnapshot $row, ShortHistory $short): ?array
    {
        $since = $batch->entriesAfter($row->position);
        foreach ($since as $entry) {
            if ($entry->reverses_id !== null || $batch->secondsSinceStart($entry->happened_at) < $short->end->clock) {
                return null;
            }
        }

        return Batch::inOrder($since);
    }

    public function find(): ?Checkpoint
    {
        $kept = self::unpacked($this->row->state ?? '');

        return $kept instanceof Checkpoint ? $kept : null;
    }

    public function keep(ShortHistory $short, ?Checkpoint $checkpoint): void
    {
        $row = [
            'batch_id' => $this->batch->id,
            'household_id' => $this->batch->household_id,
            'position' => $this->position,
            'mark' => $short->mark(),
            'core' => self::core(),
            'short' => self::packed($short->toKeep()),
            'state' => $checkpoint === null ? null : self::packed($checkpoint),
            'created_at' => now(),
        ];
        try {
            BatchSnapshot::query()->upsert(
                [$row],
                ['batch_id'],
                ['position', 'mark', 'core', 'short', 'state', 'created_at'],
            );
        } catch (QueryException) {
            // Another request keeps the same just now, or the batch is gone.
        }
        $this->batch->unsetRelation('snapshot');
    }

    private static function packed(mixed $kept): string
    {
        return base64_encode((string) gzdeflate(serialize($kept), 1));
    }

    private static function unpacked(string $kept): mixed
    {
        try {
            return unserialize((string) gzinflate((string) base64_decode($kept, true)));
        } catch (Throwable) {
            return null;
        }
    }
}
