<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Message\Message;

/**
 * What a cook wants to come round: kinds on their days, and something new each week. It says what is wanted; whether it
 * fits is for the plan to see.
 */
final readonly class Rotation
{
    /**
     * @param  list<array{name: string, groups: list<string>, days: list<int>, times: int}>  $lines  what it is called;
     *     groups of jars; the days of the week, 0 to 6, on which one of them is wanted; without days how often, on any
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
        // What has its weekday comes first: what has none can give way to it.
        $fixed = array_filter($this->lines, static fn(array $line): bool => $line['days'] !== []);
        foreach ($fixed as $line) {
            foreach ($line['days'] as $day) {
                foreach (array_keys($week->eaters) as $eater) {
                    $week = self::add($week, self::pick($week, $eater, $day, $line['groups']), $wanted);
                }
            }
        }
        foreach (array_diff_key($this->lines, $fixed) as $line) {
            for ($time = 0; $time < min($line['times'], WeekPlan::DAYS); $time++) {
                // Everybody once before anybody twice.
                foreach (array_keys($week->eaters) as $eater) {
                    if (count(self::days($week, $eater, $line['groups'])) <= $time) {
                        $week = self::add($week, self::apart($week, $eater, $line, $time), $wanted);
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
     * What the cook wants and a week does not bring, each with its reason.
     *
     * @return list<Message>
     */
    public function unmet(WeekPlan $week): array
    {
        $unmet = [];
        foreach ($this->lines as $line) {
            foreach ($week->eaters as $m => $eater) {
                $has = self::days($week, $m, $line['groups']);
                $wanted = $line['days'] === [] ? null : array_diff($line['days'], $has);
                $coming = array_values(
                    array_filter(
                        $wanted ?? array_diff(range(0, WeekPlan::DAYS - 1), $has),
                        static fn(int $day): bool => $day >= $week->first() && !$week->isAway($m, $day),
                    ),
                );
                $wants = $line['days'] === [] ? min($line['times'], WeekPlan::DAYS) : count($line['days']);
                $got = $wanted === null ? count($has) : $wants - count($wanted);
                if ($got < $wants && $coming !== []) {
                    $unmet[] = Message::of(
                        'wish.short',
                        what: $line['name'],
                        eater: $eater->name,
                        has: $got,
                        wants: $wants,
                        reason: self::why($week, $m, $coming, $line['groups']),
                    );
                }
            }
        }

        return $unmet;
    }

    /**
     * Why none of some groups stands on an eater's days.
     *
     * @param  list<int>  $days
     * @param  list<string>  $groups
     */
    private static function why(WeekPlan $week, int $eater, array $days, array $groups): Message
    {
        foreach ($days as $day) {
            if (self::pick($week, $eater, $day, $groups) !== null) {
                return Message::of('wish.possible');
            }
        }
        $jars = array_filter($week->jars, static fn(WeekJar $jar): bool => in_array($jar->group, $groups, true));
        $theirs = array_filter($jars, static fn(WeekJar $jar): bool => ($jar->closed ?? $jar->notFor[$eater]) === null);
        $ready = array_filter(
            $theirs,
            static fn(WeekJar $jar): bool => array_any(
                $days,
                static fn(int $day): bool => $jar->objection($eater, $day) === null,
            ),
        );
        $least = static fn(int $jar): float => min([
            $week->jars[$jar]->portions[$eater],
            ...$week->smaller($eater, $jar),
        ]);
        $left = array_filter(
            $ready,
            static fn(int $jar): bool => $week->left($jar)[WeekPlan::DAYS - 1] >= $least($jar) - 1e-6,
            ARRAY_FILTER_USE_KEY,
        );
        $roomy = array_filter(
            $left,
            static fn(int $jar): bool => array_any(
                $days,
                static fn(int $day): bool => $week->milligrams($week->portion($eater, $day, $jar, $least($jar))) <=
                    $week->margin($eater, $day) + 1e-6,
            ),
            ARRAY_FILTER_USE_KEY,
        );

        return match (true) {
            $jars === [] => Message::of('wish.none_there'),
            $theirs === [] => self::objections($jars, $eater)[0] ?? Message::of('wish.not_ready'),
            $ready === [] => Message::of('wish.not_ready'),
            $left === [] => Message::of('wish.used_up'),
            $roomy === [] => Message::of('wish.no_room'),
            default => Message::of('wish.full'),
        };
    }

    /**
     * Why an eater eats of none of some jars.
     *
     * @param  array<int, WeekJar>  $jars
     * @return list<Message>
     */
    private static function objections(array $jars, int $eater): array
    {
        return array_values(
            array_filter(
                array_map(static fn(WeekJar $jar): ?Message => $jar->closed ?? ($jar->notFor[$eater] ?? null), $jars),
            ),
        );
    }

    /** @param  list<WeekServing>  $wanted  to which it is added, where there is one */
    private static function add(WeekPlan $week, ?WeekServing $serving, array &$wanted): WeekPlan
    {
        if ($serving === null) {
            return $week;
        }
        $wanted[] = $serving;

        return $week->having([...$week->servings, $serving]);
    }

    /**
     * Days of the week on which an eater has, or has had, something of some groups.
     *
     * @param  list<string>  $groups
     * @return list<int>
     */
    private static function days(WeekPlan $week, int $eater, array $groups): array
    {
        $days = [];
        foreach ($week->servings as $one) {
            if ($one->eater === $eater && in_array($week->jars[$one->jar]->group, $groups, true)) {
                $days[$one->day] = true;
            }
        }
        foreach ($week->jars as $i => $jar) {
            for ($day = 0; $day < WeekPlan::DAYS; $day++) {
                if (in_array($jar->group, $groups, true) && $week->hadIt($week->usual($eater, $day, $i))) {
                    $days[$day] = true;
                }
            }
        }

        return array_keys($days);
    }

    /**
     * Something of a line on the day that lies farthest from those on which the eater has it already; at first where so
     * many times spread over the days that are left, each eater a day further.
     *
     * @param  array{groups: list<string>, days: list<int>, times: int}  $line
     */
    private static function apart(WeekPlan $week, int $eater, array $line, int $time): ?WeekServing
    {
        $there = self::days($week, $eater, $line['groups']);
        $left = max(1, WeekPlan::DAYS - $week->first());
        $ideal = $week->first() + ((intdiv($time * $left, max(1, $line['times'])) + $eater) % $left);
        $best = null;
        for ($day = $week->first(); $day < WeekPlan::DAYS; $day++) {
            $serving = self::pick($week, $eater, $day, $line['groups']);
            $rank = [
                min([WeekPlan::DAYS, ...array_map(static fn(int $other): int => abs($other - $day), $there)]),
                -abs($day - $ideal),
            ];
            if ($serving !== null && ($best === null || $rank > $best[0])) {
                $best = [$rank, $serving];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * The usual portion of the jar of some groups that keeps least; where that does not fit, the largest smaller one.
     *
     * @param  list<string>  $groups
     */
    private static function pick(WeekPlan $week, int $eater, int $day, array $groups): ?WeekServing
    {
        $best = null;
        foreach ($week->jars as $i => $jar) {
            if (!in_array($jar->group, $groups, true)) {
                continue;
            }
            foreach ([$jar->portions[$eater], ...$week->smaller($eater, $i)] as $size => $grams) {
                $serving = $week->portion($eater, $day, $i, $grams);
                $rank = [-$size, -$jar->useBy];
                if (($best === null || $rank > $best[0]) && $week->takes($serving)) {
                    $best = [$rank, $serving];
                    break;
                }
            }
        }

        return $best[1] ?? null;
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
