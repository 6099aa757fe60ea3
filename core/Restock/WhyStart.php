<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

use Closure;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;

/**
 * Why a batch is to be started on its day and in its jar.
 */
final class WhyStart
{
    /** Days by which one that ends and one that is ready may lie apart and still follow each other. */
    private const CLOSE_DAYS = 1;

    /** Days within which the end of a season is near, or a jar has only just become free. */
    private const NEAR_DAYS = 14;

    private const JUST_DAYS = 2;

    /**
     * @param  ScheduledBatch  $lot  one that is suggested
     * @param  Closure(int): Day  $day  a day from today, as a message has it
     * @return list<Message>
     */
    public static function of(StockForecast $forecast, Product $kind, ScheduledBatch $lot, Closure $day): array
    {
        return [
            self::stock($forecast, $lot, $day),
            ...self::season($kind, $lot, $day),
            ...self::jar($forecast, $lot, $day),
        ];
    }

    /** @param  Closure(int): Day  $day */
    private static function stock(StockForecast $forecast, ScheduledBatch $lot, Closure $day): Message
    {
        $ends = [];
        foreach ($forecast->lots as $other) {
            if (
                $other->kind === $lot->kind &&
                $other !== $lot &&
                [$other->ready, $other->start] <= [$lot->ready, $lot->start]
            ) {
                $ends[] = $forecast->runs[$lot->kind]->emptyOn[$other->id] ?? $forecast->shelf->days;
            }
        }
        $end = $ends === [] ? 0 : max($ends);
        $apart = $lot->ready - $end;

        return match (true) {
            $end <= 0 => Message::of('why_start.none'),
            $end >= $forecast->shelf->days => Message::of('why_start.besides'),
            abs($apart) <= self::CLOSE_DAYS => Message::of('why_start.as_it_ends'),
            $apart > 0 => Message::of('why_start.after', ends: $day($end), days: $apart),
            default => Message::of('why_start.before', ends: $day($end), days: -$apart),
        };
    }

    /**
     * @param  Closure(int): Day  $day
     * @return list<Message>
     */
    private static function season(Product $kind, ScheduledBatch $lot, Closure $day): array
    {
        for ($later = $lot->start + 1; $later < min(count($kind->mayStart), $lot->start + self::NEAR_DAYS); $later++) {
            if (!$kind->mayStart[$later]) {
                return [Message::of('why_start.season_ends', last: $day($later - 1))];
            }
        }

        return $lot->start > 0 && !($kind->mayStart[$lot->start - 1] ?? true)
            ? [Message::of('why_start.season_begins')]
            : [];
    }

    /**
     * @param  Closure(int): Day  $day
     * @return list<Message>
     */
    private static function jar(StockForecast $forecast, ScheduledBatch $lot, Closure $day): array
    {
        foreach ($forecast->lots as $other) {
            $empty = $forecast->runs[$other->kind]->emptyOn[$other->id] ?? null;
            if (
                $other !== $lot &&
                $other->vessel === $lot->vessel &&
                $empty !== null &&
                $empty > 0 &&
                $empty <= $lot->start &&
                $empty >= $lot->start - self::JUST_DAYS
            ) {
                return [Message::of('why_start.jar_free', free: $day($empty))];
            }
        }

        return [];
    }
}
