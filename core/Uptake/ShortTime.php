<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * Uptake soon after the start, where the series would need very many roots: the Laplace transform of the limited bath,
 * inverted along TalbotContour.
 *
 * With beta = 1 / alpha the transform is (1 + beta) g / (s (1 + beta g)), where g(s) is the mean over the surface
 * concentration of the piece. For the large s of short times, u = 1 / sqrt(s), it is
 *     sheet     u                                              (tanh of a large number is 1)
 *     cylinder  2 u (1 - u/2 - u²/8 - u³/8 - 25 u⁴/128 - ...)  (I1 / I0, Abramowitz and Stegun 9.7.1)
 *     sphere    3 (u - u²)                                     (coth of a large number is 1)
 */
final class ShortTime
{
    /** Fourier numbers up to which this is good to about 1e-9. */
    public const UNTIL = 0.008;

    private const NODES = 18;

    /** I1 / I0 in powers of u. */
    private const CYLINDER = [1.0, -1 / 2, -1 / 8, -1 / 8, -25 / 128, -13 / 32, -1073 / 1024];

    /**
     * For each node on the contour: weight (real, imaginary) and 1 / sqrt(z) (real, imaginary), z = s Fo.
     *
     * @var list<array{float, float, float, float}>|null a memory of pure results, nothing more
     */
    private static ?array $nodes = null;

    /**
     * @param  float  $fourier  at the most UNTIL
     * @param  float  $beta  K W_pieces / W_brine, 0 for an unlimited bath
     * @return float 0 to 1
     */
    public static function share(PieceForm $form, float $fourier, float $beta): float
    {
        $root = sqrt($fourier);
        $sum = 0.0;
        foreach (self::nodes() as [$weightRe, $weightIm, $re, $im]) {
            [$gRe, $gIm] = self::meanOverSurface($form, $root * $re, $root * $im);
            // g / (1 + beta g)
            [$belowRe, $belowIm] = [1.0 + $beta * $gRe, $beta * $gIm];
            $square = $belowRe * $belowRe + $belowIm * $belowIm;
            $sum +=
                ($weightRe * ($gRe * $belowRe + $gIm * $belowIm)) / $square -
                ($weightIm * ($gIm * $belowRe - $gRe * $belowIm)) / $square;
        }

        return min(1.0, max(0.0, (1.0 + $beta) * $sum));
    }

    /** @return array{float, float} g at u, real and imaginary, where u is small */
    public static function meanOverSurface(PieceForm $form, float $re, float $im): array
    {
        if ($form === PieceForm::Sheet) {
            return [$re, $im];
        }
        if ($form === PieceForm::Sphere) {
            return [3.0 * ($re - $re * $re + $im * $im), 3.0 * ($im - 2.0 * $re * $im)];
        }
        $sumRe = $sumIm = 0.0;
        foreach (array_reverse(self::CYLINDER) as $coefficient) {
            [$sumRe, $sumIm] = [$sumRe * $re - $sumIm * $im + $coefficient, $sumRe * $im + $sumIm * $re];
        }

        return [2.0 * ($sumRe * $re - $sumIm * $im), 2.0 * ($sumRe * $im + $sumIm * $re)];
    }

    /** @return list<array{float, float, float, float}> */
    private static function nodes(): array
    {
        return self::$nodes ??= array_map(static function (array $node): array {
            [$weightRe, $weightIm, $zRe, $zIm] = $node;
            $radius = sqrt(hypot($zRe, $zIm));
            $angle = -atan2($zIm, $zRe) / 2.0;

            return [$weightRe, $weightIm, cos($angle) / $radius, sin($angle) / $radius];
        }, TalbotContour::nodes(self::NODES));
    }
}
