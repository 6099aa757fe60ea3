<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * How a kind is eaten day by day from its lots: as it is planned while there is a plan, then so much a day, and what was ready
 * first goes first. A lot that is past its day is thrown away.
 */
final readonly class Consumption
{
    private const ROUNDING = 1e-6;

    /**
     * @param  array<string, int|null>  $emptyOn  by lot: the day on which it is empty; null beyond the days that are
     *     looked at
     * @param  array<string, int|null>  $firstOn  by lot: the day on which it is first eaten from
     * @param  list<int>  $gaps  days on which less was there than is eaten
     * @param  list<float>  $left  grams that are ready at the end of each day
     */
    private function __construct(
        public array $emptyOn,
        public array $firstOn,
        public array $gaps,
        public array $left,
    ) {}

    /** @param  list<ScheduledBatch>  $lots  of this kind */
    public static function of(Product $kind, array $lots, int $days): self
    {
        usort(
            $lots,
            static fn(ScheduledBatch $one, ScheduledBatch $other): int => [$one->ready, $one->start, $one->id] <=> [
                $other->ready,
                $other->start,
                $other->id,
            ],
        );
        $there = $empty = $first = [];
        foreach ($lots as $lot) {
            $there[$lot->id] = $lot->grams;
            $empty[$lot->id] = $lot->grams <= self::ROUNDING ? max(0, $lot->start) : null;
            $first[$lot->id] = null;
        }
        $gaps = $left = [];
        for ($day = 0; $day < $days; $day++) {
            $isPlanned = $day < $kind->plannedDays;
            $wanted = $kind->perDay;
            $isThere = false;
            foreach ($lots as $lot) {
                if ($empty[$lot->id] !== null) {
                    continue;
                }
                if ($day > $lot->useBy) {
                    $there[$lot->id] = 0.0;
                    $empty[$lot->id] = $day;
                    continue;
                }
                $isThere = $isThere || $day >= $lot->ready;
                $some = $isPlanned ? $lot->meant[$day] ?? 0.0 : $wanted;
                if ($day >= $lot->ready && $some > self::ROUNDING) {
                    $eaten = min($some, $there[$lot->id]);
                    $there[$lot->id] -= $eaten;
                    $wanted -= $eaten;
                    $first[$lot->id] ??= $day;
                    if ($there[$lot->id] <= self::ROUNDING * max(1.0, $lot->grams)) {
                        // Emptied in the course of the day: it is free on the next.
                        $empty[$lot->id] = $day + 1;
                    }
                }
            }
            // Where a plan says what is eaten, a day is without when nothing is there that could have been planned.
            if ($isPlanned ? !$isThere && $kind->perDay > 0.0 : $wanted > self::ROUNDING * max(1.0, $kind->perDay)) {
                $gaps[] = $day;
            }
            $left[] = array_sum(
                array_map(
                    static fn(ScheduledBatch $lot): float => $lot->ready <= $day && $empty[$lot->id] === null
                        ? $there[$lot->id]
                        : 0.0,
                    $lots,
                ),
            );
        }

        return new self($empty, $first, $gaps, $left);
    }

    /** The first day without; null when it lasts. */
    public function runsOutOn(): ?int
    {
        return $this->gaps[0] ?? null;
    }
}
