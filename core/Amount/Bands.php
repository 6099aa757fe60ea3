<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;

/**
 * Sums and products of what is not known exactly. Sides combine as the root of their squares, as independent errors
 * do.
 */
final class Bands
{
    /** The product; each side relative to its typical value. */
    public static function product(Band ...$bands): Band
    {
        $typical = 1.0;
        $low = $high = 0.0;
        foreach ($bands as $band) {
            $typical *= $band->typical;
            if ($band->typical > 0.0) {
                $low += (1.0 - $band->low / $band->typical) ** 2;
                $high += ($band->high / $band->typical - 1.0) ** 2;
            }
        }

        return Band::of($typical * max(0.0, 1.0 - sqrt($low)), $typical, $typical * (1.0 + sqrt($high)));
    }

    /** The sum of what is off in the same direction: spoons of one salt. */
    public static function sum(Band ...$bands): Band
    {
        return Band::of(
            array_sum(array_map(static fn(Band $band): float => $band->low, $bands)),
            array_sum(array_map(static fn(Band $band): float => $band->typical, $bands)),
            array_sum(array_map(static fn(Band $band): float => $band->high, $bands)),
        );
    }

    public static function less(Band $band, Band $taken): Band
    {
        return Band::of(
            max(0.0, $band->low - $taken->high),
            max(0.0, $band->typical - $taken->typical),
            max(0.0, $band->high - $taken->low),
        );
    }

    public static function quotient(Band $band, Band $by): Band
    {
        return self::product($band, Band::of(1.0 / $by->high, 1.0 / $by->typical, 1.0 / $by->low));
    }

    /** Several of a kind: half of what is not known is the kind, the rest evens out. Common practice, no source. */
    public static function several(Band $one, float $count): Band
    {
        $even = $count <= 1.0 ? 1.0 : sqrt(0.5 + 0.5 / $count);

        return Band::of(
            ($one->typical - ($one->typical - $one->low) * $even) * $count,
            $one->typical * $count,
            ($one->typical + ($one->high - $one->typical) * $even) * $count,
        );
    }

    /** From the low end of one to the high end of the other, the middle between them. */
    public static function span(Band $from, Band $to): Band
    {
        return Band::of(min($from->low, $to->low), ($from->typical + $to->typical) / 2.0, max($from->high, $to->high));
    }

    /** What covers all of them; typical is the first's. */
    public static function cover(Band $first, Band ...$more): Band
    {
        return Band::of(
            min([$first->low, ...array_map(static fn(Band $band): float => $band->low, array_values($more))]),
            $first->typical,
            max([$first->high, ...array_map(static fn(Band $band): float => $band->high, array_values($more))]),
        );
    }
}
