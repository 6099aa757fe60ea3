<?php

declare(strict_types=1);

namespace Tempesal\Core\Search;

use DateTimeImmutable;

/**
 * Days as people say them: "yesterday", "last friday", "3 days ago", "24 nov", "24.11.", "2026-11-24".
 */
final class DayWords
{
    private const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

    private const MONTHS = [
        'january',
        'february',
        'march',
        'april',
        'may',
        'june',
        'july',
        'august',
        'september',
        'october',
        'november',
        'december',
    ];

    /** Letters by which a name is known. */
    private const LEAST = 3;

    private const MOST_AWAY = 3_660;

    /**
     * The days that may be meant, the likeliest first; none where it is no day.
     *
     * @param  string  $today  YYYY-MM-DD
     * @return list<string> YYYY-MM-DD
     */
    public static function read(string $typed, string $today): array
    {
        $words = trim((string) preg_replace('/[\s,]+/', ' ', mb_strtolower($typed)));
        $now = new DateTimeImmutable($today);

        return match (true) {
            $words === 'today' => [$today],
            $words === 'yesterday' => [self::away($now, -1)],
            $words === 'tomorrow' => [self::away($now, 1)],
            preg_match('/^(\d{1,4}) (day|week)s? ago$/', $words, $m) === 1 => self::within(
                $now,
                -(int) $m[1] * ($m[2] === 'week' ? 7 : 1),
            ),
            preg_match('/^in (\d{1,4}) (day|week)s?$/', $words, $m) === 1 => self::within(
                $now,
                (int) $m[1] * ($m[2] === 'week' ? 7 : 1),
            ),
            preg_match('/^(\d{4})-(\d{1,2})-(\d{1,2})$/', $words, $m) === 1 => self::date(
                (int) $m[1],
                (int) $m[2],
                (int) $m[3],
            ),
            preg_match('/^(\d{1,2})\. ?(\d{1,2})\.?(?: ?(\d{4}))?$/', $words, $m) === 1 => self::ofMonth(
                (int) $m[1],
                (int) $m[2],
                isset($m[3]) ? (int) $m[3] : null,
                $now,
            ),
            preg_match('/^(\d{1,2})\.?(?:st|nd|rd|th)? (?:of )?([a-z]+)(?: (\d{4}))?$/', $words, $m) === 1
                => self::ofMonth(
                (int) $m[1],
                self::place($m[2], self::MONTHS),
                isset($m[3]) ? (int) $m[3] : null,
                $now,
            ),
            preg_match('/^([a-z]+) (\d{1,2})(?:st|nd|rd|th)?(?: (\d{4}))?$/', $words, $m) === 1 => self::ofMonth(
                (int) $m[2],
                self::place($m[1], self::MONTHS),
                isset($m[3]) ? (int) $m[3] : null,
                $now,
            ),
            preg_match('/^(?:(last|next|on) )?([a-z]+)$/', $words, $m) === 1 => self::weekday(
                self::place($m[2], self::WEEKDAYS),
                $m[1],
                $now,
            ),
            default => [],
        };
    }

    /**
     * @param  list<string>  $names
     * @return int its place from 1 on; 0 where it is none of them
     */
    private static function place(string $word, array $names): int
    {
        foreach ($names as $i => $name) {
            if (strlen($word) >= self::LEAST && str_starts_with($name, $word)) {
                return $i + 1;
            }
        }

        return 0;
    }

    /** @return list<string> */
    private static function weekday(int $weekday, string $which, DateTimeImmutable $now): array
    {
        if ($weekday === 0) {
            return [];
        }
        $ahead = ($weekday - (int) $now->format('N') + 7) % 7;
        $back = $ahead === 0 ? -7 : $ahead - 7;

        return match ($which) {
            'last' => [self::away($now, $back)],
            'next' => [self::away($now, $ahead === 0 ? 7 : $ahead)],
            default => [self::away($now, $ahead), self::away($now, $back)],
        };
    }

    /** @return list<string> without a year the nearest one */
    private static function ofMonth(int $day, int $month, ?int $year, DateTimeImmutable $now): array
    {
        if ($year !== null) {
            return self::date($year, $month, $day);
        }
        $all = [];
        foreach ([-1, 0, 1] as $step) {
            array_push($all, ...self::date((int) $now->format('Y') + $step, $month, $day));
        }
        $far = static fn(string $date): int => abs($now->diff(new DateTimeImmutable($date))->days ?: 0);
        usort($all, static fn(string $one, string $other): int => $far($one) <=> $far($other));

        return array_slice($all, 0, 1);
    }

    /** @return list<string> */
    private static function date(int $year, int $month, int $day): array
    {
        return $year >= 1900 && $year <= 2200 && checkdate($month, $day, $year)
            ? [sprintf('%04d-%02d-%02d', $year, $month, $day)]
            : [];
    }

    /** @return list<string> */
    private static function within(DateTimeImmutable $now, int $days): array
    {
        return abs($days) <= self::MOST_AWAY ? [self::away($now, $days)] : [];
    }

    private static function away(DateTimeImmutable $now, int $days): string
    {
        return $now->modify(sprintf('%+d days', $days))->format('Y-m-d');
    }
}
