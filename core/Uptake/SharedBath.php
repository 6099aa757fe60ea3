<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * Several kinds of pieces in one limited, stirred bath: leaf and rib, coins and whole cloves, whatever each of them
 * began with. The theory of J. Crank, The Mathematics of Diffusion, 2nd edition 1975, with one bath for all; the Laplace
 * transform of the whole is inverted along TalbotContour.
 *
 * With w = s l² / D, the mean over the surface concentration of a piece is
 *     sheet     tanh q / q,  cylinder  2 I1(q) / (q I0(q)),  sphere  3 (q coth q - 1) / q²,  q = sqrt w
 * which are one continued fraction, n / (n + w / (n + 2 + w / (n + 4 + ...))), for n = 1, 2, 3. With concentrations over
 * K called x, the bath of water W that began at x0 and the kinds that began evenly at x_j0 come to
 *     X = (W x0 + sum K_j W_j G_j x_j0) / (s (W + sum K_j W_j G_j)),  X_i = x_i0 (1 - G_i) / s + G_i X.
 */
final class SharedBath
{
    private const NODES = 20;

    /** From this |q| on the large-argument forms are good to 1e-10. */
    private const LARGE = 30.0;

    /** Below this |w| closed forms would lose digits. */
    private const SMALL = 1.0;

    private const KEPT = 512;

    /** @var array<string, list<list<float>>> answers by what was asked: a memory of pure results, nothing more */
    private static array $known = [];

    /**
     * How the bath and each kind stand after a time, by what each of them began with: row i, column j is the part of
     * concentration j at the start in concentration i now (concentrations over K). The bath is the first. Rows sum to 1.
     *
     * @param  float  $secondsAt20  seconds at 20 °C
     * @param  float  $waterG  of the bath, in grams, above 0
     * @param  list<BathKind>  $kinds
     * @return list<list<float>> good to about 1e-9
     */
    public static function response(float $secondsAt20, float $waterG, array $kinds): array
    {
        if ($secondsAt20 <= 0.0) {
            return self::unchanged(count($kinds) + 1);
        }
        $key = (string) ($secondsAt20 / $waterG);
        foreach ($kinds as $kind) {
            $key .= " {$kind->form->value}" . $kind->crossingS / $waterG . ' ' . $kind->takesUpG / $waterG;
        }
        $key .= " {$secondsAt20}";
        if (count(self::$known) >= self::KEPT) {
            self::$known = [];
        }

        return self::$known[$key] ??= self::compute($secondsAt20, $waterG, $kinds);
    }

    /**
     * @param  list<BathKind>  $kinds
     * @return list<list<float>>
     */
    private static function compute(float $secondsAt20, float $waterG, array $kinds): array
    {
        $size = count($kinds) + 1;
        $response = array_fill(0, $size, array_fill(0, $size, 0.0));
        foreach (TalbotContour::nodes(self::NODES) as [$weightRe, $weightIm, $zRe, $zIm]) {
            // For the bath G is 1 and K W the water itself.
            $g = [[1.0, 0.0]];
            [$sumRe, $sumIm] = [$waterG, 0.0];
            foreach ($kinds as $kind) {
                $scale = $kind->crossingS / $secondsAt20;
                $g[] = $one = self::meanOverSurface($kind->form, $zRe * $scale, $zIm * $scale);
                $sumRe += $kind->takesUpG * $one[0];
                $sumIm += $kind->takesUpG * $one[1];
            }
            $square = $sumRe * $sumRe + $sumIm * $sumIm;
            // The weight over the sum.
            $overRe = ($weightRe * $sumRe + $weightIm * $sumIm) / $square;
            $overIm = ($weightIm * $sumRe - $weightRe * $sumIm) / $square;
            for ($i = 0; $i < $size; $i++) {
                [$re, $im] = $g[$i];
                [$rowRe, $rowIm] = [$overRe * $re - $overIm * $im, $overRe * $im + $overIm * $re];
                for ($j = 0; $j < $size; $j++) {
                    $mass = $j === 0 ? $waterG : $kinds[$j - 1]->takesUpG;
                    $response[$i][$j] += $mass * ($rowRe * $g[$j][0] - $rowIm * $g[$j][1]);
                }
                if ($i > 0) {
                    $response[$i][$i] += $weightRe * (1.0 - $re) + $weightIm * $im;
                }
            }
        }

        return array_map(array_values(...), $response);
    }

    /** @return array{float, float} G at w, real and imaginary */
    private static function meanOverSurface(PieceForm $form, float $wRe, float $wIm): array
    {
        $size = hypot($wRe, $wIm);
        if ($size < self::SMALL || ($form === PieceForm::Cylinder && $size < self::LARGE ** 2)) {
            return self::fraction($form->dimension(), $wRe, $wIm, 12 + (int) (1.5 * sqrt($size)));
        }
        // u = 1 / q, q with its real part positive.
        $radius = sqrt($size);
        $angle = atan2($wIm, $wRe) / 2.0;
        [$qRe, $qIm] = [$radius * cos($angle), $radius * sin($angle)];
        [$uRe, $uIm] = [$qRe / $size, -$qIm / $size];
        if ($form === PieceForm::Cylinder) {
            return ShortTime::meanOverSurface($form, $uRe, $uIm);
        }
        // tanh q = (1 - e) / (1 + e), e = exp(-2 q)
        $e = exp(-2.0 * $qRe);
        [$eRe, $eIm] = [$e * cos(2.0 * $qIm), -$e * sin(2.0 * $qIm)];
        $square = (1.0 + $eRe) ** 2 + $eIm ** 2;
        [$tanhRe, $tanhIm] = [(1.0 - $eRe * $eRe - $eIm * $eIm) / $square, (-2.0 * $eIm) / $square];
        if ($form === PieceForm::Sheet) {
            return [$tanhRe * $uRe - $tanhIm * $uIm, $tanhRe * $uIm + $tanhIm * $uRe];
        }
        // 3 (u coth q - u²)
        $tanhSquare = $tanhRe * $tanhRe + $tanhIm * $tanhIm;
        [$cothRe, $cothIm] = [$tanhRe / $tanhSquare, -$tanhIm / $tanhSquare];

        return [
            3.0 * ($uRe * $cothRe - $uIm * $cothIm - $uRe * $uRe + $uIm * $uIm),
            3.0 * ($uRe * $cothIm + $uIm * $cothRe - 2.0 * $uRe * $uIm),
        ];
    }

    /** @return array{float, float} n / (n + w / (n + 2 + w / (n + 4 + ...))), from the far end */
    private static function fraction(int $n, float $wRe, float $wIm, int $depth): array
    {
        [$re, $im] = [$n + 2.0 * $depth, 0.0];
        for ($k = $depth - 1; $k >= 0; $k--) {
            $square = $re * $re + $im * $im;
            [$re, $im] = [$n + 2.0 * $k + ($wRe * $re + $wIm * $im) / $square, ($wIm * $re - $wRe * $im) / $square];
        }
        $square = $re * $re + $im * $im;

        return [($n * $re) / $square, (-$n * $im) / $square];
    }

    /** @return list<list<float>> */
    private static function unchanged(int $size): array
    {
        $places = range(0, $size - 1);

        return array_map(
            static fn(int $row): array => array_map(
                static fn(int $column): float => $row === $column ? 1.0 : 0.0,
                $places,
            ),
            $places,
        );
    }
}
