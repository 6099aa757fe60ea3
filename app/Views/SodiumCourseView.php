<?php

declare(strict_types=1);

namespace App\Views;

use App\Ledger\Ledgers;
use App\Models\Batch;
use Carbon\CarbonImmutable;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Measure\Band;

/**
 * The sodium of pieces and brine from the day on which a batch was begun to some days ahead.
 */
final class SodiumCourseView
{
    /** Evenly spread moments, besides those at which something happened. */
    private const MOMENTS = 40;

    /** Lines at which it is asked, at most. */
    private const LINES = 80;

    /** How far it looks ahead, as a share of the days so far, and at least this many days. */
    private const AHEAD = 0.35;

    private const AHEAD_AT_LEAST_S = 7.0 * 86_400.0;

    /** @return array{now: string, moments: list<array<string, mixed>>} */
    public static function of(Batch $batch): array
    {
        $now = $batch->secondsSinceStart(CarbonImmutable::now());
        $history = Ledgers::foreseen($batch)->whole();
        $last = max([0.0, ...array_map(static fn(LedgerLine $line): float => $line->at ?? 0.0, $history->lines)]);
        $end =
            $batch->emptied_at === null
                ? $now + max(self::AHEAD_AT_LEAST_S, self::AHEAD * $now)
                : $batch->secondsSinceStart($batch->emptied_at);
        $moments = [$now];
        for ($i = 0; $i <= self::MOMENTS; $i++) {
            // Most of it happens in the first days: the moments lie closer together there.
            $moments[] = $end * ($i / self::MOMENTS) ** 1.6;
        }
        // Of a long history every so many lines: the picture has no room for more.
        $every = max(1, (int) ceil(count($history->lines) / self::LINES));
        foreach ($history->lines as $number => $line) {
            $at = $line->at ?? 0.0;
            array_push($moments, ...$number % $every > 0 ? [] : ($at > 1.0 ? [$at - 1.0, $at] : [$at]));
        }
        $moments = array_values(
            array_unique(
                [
                    min($now, max($end, $last)),
                    ...array_filter($moments, static fn(float $moment): bool => $moment <= max($end, $last)),
                ],
                SORT_NUMERIC,
            ),
        );
        sort($moments);
        $course = $history->course($moments);

        return [
            'now' => CarbonImmutable::now()->utc()->toIso8601String(),
            'moments' => array_map(
                static fn(float $moment, array $bands): array => [
                    'at' => $batch->momentAt($moment)->utc()->toIso8601String(),
                    ...array_map(static fn(?Band $band): ?array => $band?->toArray(), $bands),
                ],
                $moments,
                $course,
            ),
        ];
    }
}
