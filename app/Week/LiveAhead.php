<?php

declare(strict_types=1);

namespace App\Week;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Models\Person;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Plan\WeekPlan;
use Tempesal\Core\Restock\Consumption;
use Tempesal\Core\Restock\Product;
use Tempesal\Core\Restock\ScheduledBatch;

/**
 * How long what is live lasts where there is no rotation: whatever is ready, eaten as everyone's goal asks, a usual portion at a
 * time.
 */
final readonly class LiveAhead
{
    private const KIND = 'live';

    /**
     * @param  int  $servingsADay  what the goals of all come to
     * @param  int|null  $runsOut  the first day, counted from today, on which there is less; null: none of those that are looked at
     */
    private function __construct(public int $servingsADay, public ?int $runsOut) {}

    /** @return self|null null where there is a rotation, nobody has a goal, or nothing live is ready within a week */
    public static function of(StockAhead $ahead): ?self
    {
        $people = Person::atTable();
        $wanted = $people->sum(static fn(Person $person): int => $person->live_goal);
        $lots = $ahead->lines === [] && $wanted > 0 ? self::lots($ahead, $people) : [];
        $isSoon = static fn(ScheduledBatch $lot): bool => $lot->grams >= 1.0 && $lot->ready < WeekPlan::DAYS;
        if (!array_any($lots, $isSoon)) {
            return null;
        }
        $planned = $ahead->forecast->shelf->kinds[0]->plannedDays ?? 0;
        $kind = new Product(self::KIND, '', (float) $wanted, [], [], 1, [], $planned);

        return new self($wanted, Consumption::of($kind, $lots, StockAhead::DAYS)->runsOutOn());
    }

    /**
     * What is live on the shelf or planned, in servings.
     *
     * @param  Collection<int, Person>  $people
     * @return list<ScheduledBatch>
     */
    private static function lots(StockAhead $ahead, Collection $people): array
    {
        $lots = [];
        foreach ($ahead->forecast->shelf->lots as $lot) {
            $portion = isset($ahead->status[$lot->id])
                ? self::portionOf($ahead->status[$lot->id], $people)
                : self::portionToCome($ahead->beside[$lot->id] ?? null, $people);
            if ($portion > 0.0) {
                $lots[] = new ScheduledBatch(
                    $lot->id,
                    self::KIND,
                    null,
                    $lot->start,
                    $lot->ready,
                    $lot->grams / $portion,
                    $lot->useBy,
                    meant: array_map(static fn(float $grams): float => $grams / $portion, $lot->meant),
                );
            }
        }

        return $lots;
    }

    /**
     * Grams that are usual at this table; 0 of what is not live.
     *
     * @param  Collection<int, Person>  $people
     */
    private static function portionOf(BatchStatus $status, Collection $people): float
    {
        $batch = $status->batch;
        $served = BatchStatus::served($batch, $status->state);

        return LiveCulture::willCount($batch, $status->state)
            ? (float) $people->avg(static fn(Person $person): float => $batch->usualPortion($person, $served))
            : 0.0;
    }

    /** @param  Collection<int, Person>  $people */
    private static function portionToCome(?JarToCome $toCome, Collection $people): float
    {
        $read = $toCome?->answer->formula;

        return $toCome !== null && $read?->isLive === true && $toCome->culture()->counts()
            ? (float) $people->avg(
                static fn(Person $person): float => $person->usualPortion(
                    $read->served(),
                    $read->serving->grams->value,
                ),
            )
            : 0.0;
    }
}
