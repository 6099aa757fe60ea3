<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

/**
 * Shares as percentages for people.
 */
final class Percent
{
    private const MOST_DECIMALS = 3;

    /** With at most one decimal, and none where it is whole. */
    public static function of(float $share): string
    {
        return self::with(round($share * 100.0, 1)).' %';
    }

    /** With as many decimals as it takes to be seen apart from another. */
    public static function apart(float $share, float $other): string
    {
        for ($decimals = 1; $decimals < self::MOST_DECIMALS; $decimals++) {
            if (round($share * 100.0, $decimals) !== round($other * 100.0, $decimals)) {
                break;
            }
        }

        return self::with(round($share * 100.0, $decimals)).' %';
    }

    private static function with(float $percent): string
    {
        return (string) $percent;
    }
}
