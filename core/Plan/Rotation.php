<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What a cook wants to come round: kinds on their days, and something new each week. It says what is wanted; whether it
 * fits is for the plan to see.
 */
final readonly class Rotation
{
    /**
     * @param  list<array{groups: list<string>, days: list<int>, times: int}>  $lines  groups of jars; the days of the
     *     week, 0 to 6, on which one of them is wanted; without days how often, on any
     * @param  bool  $hasNew  whether everyone gets something that they have not had for long
     * @param  array<string, int>  $lastHad  days since an eater last had of a group, by "eater group"
     */
    public function __construct(public array $lines, public bool $hasNew, public array $lastHad) {}

    /**
     * @return list<WeekServing> in the order in which they matter; of several jars of a group the one that keeps least
     *     first
     */
    public function wanted(WeekPlan $week): array
    {
        $wanted = [];
        foreach ($this->lines as $number => $line) {
            foreach (array_keys($week->eaters) as $eater) {
                $placed = count(
                    array_filter(
                        $week->coming,
                        static fn(WeekServing $one): bool => $line['days'] === [] &&
                            $one->eater === $eater &&
                            in_array($week->jars[$one->jar]->group, $line['groups'], true),
                    ),
                );
                $times = $line['days'] === [] ? $line['times'] : WeekPlan::DAYS;
                foreach (
                    $line['days'] === [] ? self::spread($line['times'], $number + $eater) : $line['days']
                    as $day
                ) {
                    $jar = $placed < $times ? self::pick($week, $eater, $day, $line['groups']) : null;
                    if ($jar !== null) {
                        $wanted[] = $serving = $week->usual($eater, $day, $jar);
                        $week = $week->having([...$week->servings, $serving]);
                        $placed++;
                    }
                }
            }
        }
        foreach ($this->hasNew ? array_keys($week->eaters) : [] as $eater) {
            array_push($wanted, ...$this->somethingNew($week, $eater));
        }

        return $wanted;
    }

    /**
     * The days of a week, those first that lie apart when so many are wanted.
     *
     * @return list<int>
     */
    private static function spread(int $times, int $offset): array
    {
        $days = [];
        for ($i = 0; $i < min($times, WeekPlan::DAYS); $i++) {
            $days[] = (intdiv($i * WeekPlan::DAYS, $times) + $offset) % WeekPlan::DAYS;
        }

        return [...$days, ...array_values(array_diff(range(0, WeekPlan::DAYS - 1), $days))];
    }

    /** @param  list<string>  $groups */
    private static function pick(WeekPlan $week, int $eater, int $day, array $groups): ?int
    {
        $best = null;
        foreach ($week->jars as $i => $jar) {
            if (
                in_array($jar->group, $groups, true) &&
                $week->takes($week->usual($eater, $day, $i)) &&
                ($best === null || $jar->useBy < $week->jars[$best]->useBy)
            ) {
                $best = $i;
            }
        }

        return $best;
    }

    /** @return list<WeekServing> none where nothing fits, or the week brings something new already */
    private function somethingNew(WeekPlan $week, int $eater): array
    {
        $ago = fn(string $group): int => $this->lastHad["{$eater} {$group}"] ?? PHP_INT_MAX;
        foreach ($week->coming as $serving) {
            if ($serving->eater === $eater && $ago($week->jars[$serving->jar]->group) >= WeekPlan::DAYS) {
                return [];
            }
        }
        $best = null;
        foreach ($week->jars as $i => $jar) {
            for ($day = $week->first(); $day < WeekPlan::DAYS; $day++) {
                $serving = $week->usual($eater, $day, $i);
                $rank = [$ago($jar->group), $week->margin($eater, $day) - $week->milligrams($serving)];
                if (
                    $ago($jar->group) >= WeekPlan::DAYS &&
                    $week->takes($serving) &&
                    ($best === null || $rank > $best[0])
                ) {
                    $best = [$rank, $serving];
                }
            }
        }

        return $best === null ? [] : [$best[1]];
    }
}
