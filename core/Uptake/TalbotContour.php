<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * A contour on which Laplace transforms are inverted numerically: fixed Talbot, Abate and Valkó, International Journal
 * for Numerical Methods in Engineering 60, 2004. With n nodes it is good to about 0.6 n digits until rounding takes
 * over, for functions whose singularities lie on the negative real axis.
 *
 * The inverse at t of a transform phi(s) / s is the sum of Re(weight phi(z / t)).
 */
final class TalbotContour
{
    /**
     * By their number: weight (real, imaginary) and z (real, imaginary).
     *
     * @var array<int, list<array{float, float, float, float}>> a memory of pure results, nothing more
     */
    private static array $known = [];

    /**
     * @return list<array{float, float, float, float}> weight (real, imaginary) and z (real, imaginary)
     */
    public static function nodes(int $number): array
    {
        return self::$known[$number] ??= self::compute($number);
    }

    /** @return list<array{float, float, float, float}> */
    private static function compute(int $number): array
    {
        $base = 0.4 * $number;
        $nodes = [[(0.2 * exp($base)) / $base, 0.0, $base, 0.0]];
        for ($k = 1; $k < $number; $k++) {
            $theta = ($k * M_PI) / $number;
            $cot = 1.0 / tan($theta);
            $sigma = $theta + ($theta * $cot - 1.0) * $cot;
            [$zRe, $zIm] = [$base * $theta * $cot, $base * $theta];
            // 0.4 exp(z) (1 + i sigma) / z
            $size = (0.4 * exp($zRe)) / ($zRe * $zRe + $zIm * $zIm);
            [$turnRe, $turnIm] = [cos($zIm) - $sigma * sin($zIm), sin($zIm) + $sigma * cos($zIm)];
            $nodes[] = [
                $size * ($turnRe * $zRe + $turnIm * $zIm),
                $size * ($turnIm * $zRe - $turnRe * $zIm),
                $zRe,
                $zIm,
            ];
        }

        return $nodes;
    }
}
