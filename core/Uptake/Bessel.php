<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * Bessel functions of the first kind, orders 0 and 1, for arguments of 0 and above; good to about 1e-10.
 * Miller's backward recurrence below 14 (Abramowitz and Stegun 9.12), Hankel's expansion above (9.2.5).
 */
final class Bessel
{
    private const RECURRENCE_BELOW = 14.0;

    public static function j0(float $x): float
    {
        return self::both($x)[0];
    }

    public static function j1(float $x): float
    {
        return self::both($x)[1];
    }

    /** @return array{float, float} J0 and J1 */
    public static function both(float $x): array
    {
        return $x < self::RECURRENCE_BELOW ? self::recurrence($x) : self::hankel($x);
    }

    /**
     * J(n-1) = (2n / x) J(n) - J(n+1), downwards from where J is as good as nothing, made right by J0 + 2 J2 + 2 J4 +
     * ... = 1.
     *
     * @return array{float, float}
     */
    private static function recurrence(float $x): array
    {
        if ($x < 1e-8) {
            return [1.0, $x / 2.0];
        }
        $n = 2 * (int) ceil(($x + 6.0 + 4.0 * $x ** 0.4) / 2.0) + 6;
        $twice = 2.0 / $x;
        $above = 0.0;
        $here = 1e-30;
        $sum = 0.0;
        for (; $n > 0; $n--) {
            [$above, $here] = [$here, $n * $twice * $here - $above];
            if (($n & 1) === 1) {
                $sum += $here;
            }
        }
        // The loop ends with J0 in hand and J1 above it; J0 was counted twice.
        $scale = 2.0 * $sum - $here;

        return [$here / $scale, $above / $scale];
    }

    /** @return array{float, float} */
    private static function hankel(float $x): array
    {
        [$p0, $q0] = self::asymptotic(0.0, $x);
        [$p1, $q1] = self::asymptotic(4.0, $x);
        $size = sqrt(2.0 / (M_PI * $x));
        $cos = cos($x - M_PI_4);
        $sin = sin($x - M_PI_4);

        // J1's phase is a quarter turn behind J0's: cos(chi - pi/2) = sin chi, sin(chi - pi/2) = -cos chi.
        return [$size * ($p0 * $cos - $q0 * $sin), $size * ($p1 * $sin + $q1 * $cos)];
    }

    /**
     * @param  float  $mu  four times the order squared
     * @return array{float, float} P and Q
     */
    private static function asymptotic(float $mu, float $x): array
    {
        $p = 1.0;
        $q = 0.0;
        $term = 1.0;
        for ($k = 1; $k <= 16; $k++) {
            $next = ($term * ($mu - (2 * $k - 1) ** 2)) / ($k * 8.0 * $x);
            if (abs($next) > abs($term) || abs($next) < 1e-13) {
                break;
            }
            $term = $next;
            match ($k % 4) {
                1 => ($q += $term),
                2 => ($p -= $term),
                3 => ($q -= $term),
                0 => ($p += $term),
            };
        }

        return [$p, $q];
    }
}
