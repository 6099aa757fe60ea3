<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

/**
 * Shares as percentages for people.
 */
final class Percent
{
    private const MOST_DECIMALS = 3;

    /** Rounded to one decimal. */
    public static function of(float $share): float
    {
        return round($share * 100.0, 1);
    }

    /** With as many decimals as it takes to be seen apart from another. */
    public static function apart(float $share, float $other): float
    {
        for ($decimals = 1; $decimals < self::MOST_DECIMALS; $decimals++) {
            if (round($share * 100.0, $decimals) !== round($other * 100.0, $decimals)) {
                break;
            }
        }

        return round($share * 100.0, $decimals);
    }
}
