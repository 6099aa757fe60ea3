<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Method\CultureGroup;

/**
 * Which kinds of cultures someone ate in the last weeks, how much of each, and what is new to them or has been missing.
 * It counts and says nothing of what it does to anyone.
 */
final readonly class CultureLog
{
    public const WEEKS = 12;

    /** What was first eaten within so many days is new: common practice, no source. */
    private const NEW_DAYS = 14;

    /** What was not eaten for so many days is missing. */
    private const MISSED_DAYS = 21;

    private const DAY_S = 86_400;

    /**
     * @param  list<array{from: string, to: string, servings: int, grams: float, kinds: int}>  $weeks  oldest first, the
     *     last ends today
     * @param  list<CultureThread>  $threads  by what was eaten last, then by the number of servings
     */
    private function __construct(public array $weeks, public array $threads) {}

    /**
     * @param  list<array{date: string, group: CultureGroup, name: string, grams: float, isYoung: bool|null}>  $eaten
     *     live portions, YYYY-MM-DD; null: what was eaten knows no young and ripe
     * @param  array<string, string>  $first  the first day ever on which each was eaten, by the group's value
     */
    public static function of(array $eaten, array $first, string $today): self
    {
        $threads = [];
        foreach ($eaten as $one) {
            $ago = self::daysBetween($one['date'], $today);
            $week = self::WEEKS - 1 - intdiv($ago, 7);
            if ($ago < 0 || $week < 0) {
                continue;
            }
            $group = $one['group'];
            $threads[$group->value] ??= new CultureThread(
                $group,
                self::WEEKS,
                self::daysBetween($first[$group->value] ?? $one['date'], $today) < self::NEW_DAYS,
            );
            $threads[$group->value]->eat($week, $one['date'], $one['name'], $one['grams'], $one['isYoung']);
        }
        foreach ($threads as $thread) {
            $thread->miss(self::daysBetween($thread->lastOn(), $today) >= self::MISSED_DAYS);
        }
        usort(
            $threads,
            static fn(CultureThread $one, CultureThread $other): int => [$other->lastOn(), $other->servings()] <=> [
                $one->lastOn(),
                $one->servings(),
            ],
        );

        return new self(
            array_map(static fn(int $week): array => self::week($week, $threads, $today), range(0, self::WEEKS - 1)),
            $threads,
        );
    }

    /**
     * @param  list<CultureThread>  $threads
     * @return array{from: string, to: string, servings: int, grams: float, kinds: int}
     */
    private static function week(int $week, array $threads, string $today): array
    {
        $end = (int) strtotime("{$today} UTC") - 7 * (self::WEEKS - 1 - $week) * self::DAY_S;
        $of = array_map(static fn(CultureThread $thread): array => $thread->weeks()[$week], $threads);

        return [
            'from' => gmdate('Y-m-d', $end - 6 * self::DAY_S),
            'to' => gmdate('Y-m-d', $end),
            'servings' => array_sum(array_column($of, 'servings')),
            'grams' => (float) array_sum(array_column($of, 'grams')),
            'kinds' => count(array_filter($of, static fn(array $one): bool => $one['servings'] > 0)),
        ];
    }

    private static function daysBetween(string $from, string $to): int
    {
        return intdiv((int) strtotime("{$to} UTC") - (int) strtotime("{$from} UTC"), self::DAY_S);
    }
}
