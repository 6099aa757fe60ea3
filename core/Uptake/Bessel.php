<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * Bessel functions of the first kind, orders 0 and 1, for arguments of 0 and above; good to about 1e-10.
 * Power series below 12, Hankel's expansion above (Abramowitz and Stegun 9.1.10 and 9.2.5).
 */
final class Bessel
{
    private const SERIES_BELOW = 12.0;

    public static function j0(float $x): float
    {
        return self::j(0, $x);
    }

    public static function j1(float $x): float
    {
        return self::j(1, $x);
    }

    private static function j(int $order, float $x): float
    {
        return $x < self::SERIES_BELOW ? self::series($order, $x) : self::hankel($order, $x);
    }

    private static function series(int $order, float $x): float
    {
        $quarter = -$x * $x / 4.0;
        $term = $order === 0 ? 1.0 : $x / 2.0;
        $sum = $term;
        for ($k = 1; abs($term) > 1e-17; $k++) {
            $term *= $quarter / ($k * ($k + $order));
            $sum += $term;
        }

        return $sum;
    }

    private static function hankel(int $order, float $x): float
    {
        $mu = 4.0 * $order * $order;
        $p = 1.0;
        $q = 0.0;
        $term = 1.0;
        for ($k = 1; $k <= 14; $k++) {
            $next = $term * ($mu - (2 * $k - 1) ** 2) / ($k * 8.0 * $x);
            if (abs($next) > abs($term)) {
                break;
            }
            $term = $next;
            match ($k % 4) {
                1 => $q += $term,
                2 => $p -= $term,
                3 => $q -= $term,
                0 => $p += $term,
            };
        }
        $chi = $x - ($order / 2.0 + 0.25) * M_PI;

        return sqrt(2.0 / (M_PI * $x)) * ($p * cos($chi) - $q * sin($chi));
    }
}
