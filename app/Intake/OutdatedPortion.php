<?php

declare(strict_types=1);

namespace App\Intake;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Band;

/**
 * A portion that would hold another amount of sodium today: what happened to its jar before it was eaten was written
 * down only afterwards. What was booked stays, until the cook says that it is to be brought up to date.
 */
final readonly class OutdatedPortion
{
    /** Differences up to this share of what was booked are left as they are. */
    private const WORTH = 0.1;

    private function __construct(public Serving $serving, public Serve $plate, public Band $sodium) {}

    /**
     * Those of a jar, oldest first.
     *
     * @param  Batch  $batch  with its entries
     * @return list<self>
     */
    public static function of(Batch $batch): array
    {
        $late = self::writtenLate($batch);
        $outdated = [];
        // The jar as it would have been, with what is found to be outdated written anew.
        $revised = clone $batch;
        foreach ($late === [] ? [] : self::portions($batch) as $serving) {
            $line = $batch->entries->findOrFail($serving->batch_entry_id);
            $isTold = array_any(
                $late,
                static fn(array $one): bool => $one['position'] > $line->position &&
                    $one['about']->lessThanOrEqualTo($line->happened_at),
            );
            $as = $isTold ? self::asItIs($revised, $serving, $line) : null;
            if ($as !== null) {
                $outdated[] = $as;
                $revised = self::with($revised, $line, $as->plate);
            }
        }

        return $outdated;
    }

    /**
     * What was written after some portion about a moment before it.
     *
     * @return list<array{position: int, about: CarbonImmutable}>
     */
    private static function writtenLate(Batch $batch): array
    {
        $late = [];
        $plates = $batch->entries->where('kind', Serve::kind());
        foreach ($plates->isEmpty() ? [] : $batch->entries as $line) {
            $of = $line->reverses_id === null ? $line : $batch->entries->find($line->reverses_id) ?? $line;
            $isLate = $plates->contains(
                static fn(BatchEntry $plate): bool => $plate->position < $line->position &&
                    $of->happened_at->lessThanOrEqualTo($plate->happened_at),
            );
            if ($isLate && $of->kind !== Serve::kind()) {
                $late[] = ['position' => $line->position, 'about' => $of->happened_at];
            }
        }

        return $late;
    }

    /** @return Collection<int, Serving> */
    private static function portions(Batch $batch): Collection
    {
        return Serving::query()
            ->where('batch_id', $batch->id)
            ->where('undone_at', null)
            ->with('person')
            ->get()
            ->sortBy(static function (Serving $serving) use ($batch): array {
                $line = $batch->entries->findOrFail($serving->batch_entry_id);

                return [$line->happened_at->getTimestamp(), $line->position];
            })
            ->values();
    }

    /** The jar with another plate in a line's place. */
    private static function with(Batch $batch, BatchEntry $line, Serve $plate): Batch
    {
        $with = clone $batch;
        $with->setRelation(
            'entries',
            $batch->entries->map(
                static fn(BatchEntry $one): BatchEntry => $one->id === $line->id
                    ? new BatchEntry([...$one->getAttributes(), 'entry' => $plate->toArray()])
                    : $one,
            ),
        );

        return $with;
    }

    /** The portion from the jar as it is known to have been; null where that is much the same, or cannot have been. */
    private static function asItIs(Batch $batch, Serving $serving, BatchEntry $line): ?self
    {
        $plate = $line->read();
        if (!($plate instanceof Serve)) {
            return null;
        }
        $before = clone $batch;
        $before->setRelation(
            'entries',
            $batch->entries->reject(
                static fn(BatchEntry $one): bool => $one->reverses_id === null &&
                    $one->position >= $line->position &&
                    $one->happened_at->equalTo($line->happened_at),
            ),
        );
        try {
            $ledger = Ledgers::of($before, $line->happened_at);
            $now = $plate->weighing($plate->grams)->bookedAt($ledger->state());
            $sodium = $ledger->serving($now)->band;
        } catch (NotEnough) {
            return null;
        }
        $booked = $serving->sodium()->typical;

        return abs($sodium->typical - $booked) > self::WORTH * $booked ? new self($serving, $now, $sodium) : null;
    }
}
