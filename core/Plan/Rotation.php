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
    /** What the first line is worth, against 100 for a live serving that is missing and 10 for a group of cultures. */
    private const FIRST_WORTH = 12.0;

    /** What the next line is worth of it, and the second time of the first. */
    private const NEXT = 0.9;

    private const AGAIN = 0.95;

    private const LEAST_WORTH = 4.0;

    /**
     * @param  list<array{name: string, groups: list<string>, days: list<int>, times: int}>  $lines  what it is called;
     *     groups of jars; the days of the week, 0 to 6, on which one of them is wanted; without days how often, on any
     * @param  bool  $hasNew  whether everyone gets something that they have not had for long
     * @param  array<string, int>  $lastHad  days since an eater last had of a group, by "eater group"
     */
    public function __construct(public array $lines, public bool $hasNew, public array $lastHad) {}

    /**
     * What a plan is asked for besides what stays. Of a line without weekdays each time has a part of the days on which it
     * fits, so that they lie apart; the second time is worth a little less than the first, so that everybody has it once before
     * anybody twice.
     *
     * @param  WeekPlan  $week  with what stays
     * @return list<Wish> with the days of the week, the ones that matter most first
     */
    public function wishes(WeekPlan $week): array
    {
        $wishes = $lines = [];
        // What has its weekday comes first: what has none can give way to it.
        $fixed = array_filter($this->lines, static fn(array $line): bool => $line['days'] !== []);
        $worth = self::FIRST_WORTH;
        foreach ([...$fixed, ...array_diff_key($this->lines, $fixed)] as $line) {
            $jars = self::of($week, $line['groups']);
            foreach ($jars === [] ? [] : array_keys($week->eaters) as $eater) {
                $lines[$eater] = ($lines[$eater] ?? 0) + 1;
                foreach (
                    $lines[$eater] < Wish::MOST_AT_ONCE ? self::turns($week, $eater, $line) : []
                    as $time => $days
                ) {
                    $wishes[] = new Wish(
                        $eater,
                        $days,
                        $jars,
                        $worth * self::AGAIN ** ($line['days'] === [] ? $time : 0),
                    );
                }
            }
            $worth = max(self::LEAST_WORTH, $worth * self::NEXT);
        }
        foreach ($this->hasNew ? array_keys($week->eaters) : [] as $eater) {
            array_push($wishes, ...$this->somethingNew($week, $eater));
        }

        return $wishes;
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

    /**
     * @param  list<string>  $groups
     * @return list<int> jars
     */
    private static function of(WeekPlan $week, array $groups): array
    {
        return array_keys(
            array_filter($week->jars, static fn(WeekJar $jar): bool => in_array($jar->group, $groups, true)),
        );
    }

    /**
     * For each time that an eater is still to have a line: the days of which one is meant.
     *
     * @param  array{groups: list<string>, days: list<int>, times: int}  $line
     * @return list<non-empty-list<int>>
     */
    private static function turns(WeekPlan $week, int $eater, array $line): array
    {
        $there = self::days($week, $eater, $line['groups']);
        $possible = array_values(
            array_filter(
                array_diff($line['days'] === [] ? range(0, WeekPlan::DAYS - 1) : $line['days'], $there),
                static fn(int $day): bool => self::pick($week, $eater, $day, $line['groups']) !== null,
            ),
        );
        $times =
            $line['days'] === []
                ? min(count($possible), min($line['times'], WeekPlan::DAYS) - count($there))
                : count($possible);
        $turns = [];
        for ($time = 0; $time < $times; $time++) {
            $from = intdiv($time * count($possible), $times);
            $turns[] = array_slice($possible, $from, intdiv(($time + 1) * count($possible), $times) - $from);
        }

        return array_values(array_filter($turns, static fn(array $days): bool => $days !== []));
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

    /** @return list<Wish> none where there is nothing, or what stays brings something new already */
    private function somethingNew(WeekPlan $week, int $eater): array
    {
        $new = array_keys(
            array_filter(
                $week->jars,
                fn(WeekJar $jar): bool => ($this->lastHad["{$eater} {$jar->group}"] ?? PHP_INT_MAX) >= WeekPlan::DAYS,
            ),
        );
        $isThere = array_any(
            $week->coming,
            static fn(WeekServing $one): bool => $one->eater === $eater && in_array($one->jar, $new, true),
        );
        $days = array_values(
            array_filter(
                range($week->first(), WeekPlan::DAYS - 1),
                static fn(int $day): bool => array_any(
                    $new,
                    static fn(int $jar): bool => $week->takes($week->usual($eater, $day, $jar)),
                ),
            ),
        );

        return $isThere || $days === [] ? [] : [new Wish($eater, $days, $new, self::LEAST_WORTH)];
    }
}
