<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * The share of the way to equilibrium for a piece in a limited, stirred bath that starts with its salt evenly spread:
 * J. Crank, The Mathematics of Diffusion, 2nd edition 1975, equations 4.37 (sheet), 5.33 (cylinder) and 6.30 (sphere).
 *
 * With beta = 1 / alpha = K W_pieces / W_brine the three read alike, and an unlimited bath is simply beta = 0:
 *
 *     F = 1 - sum 2 n (1 + beta) / (n² beta² + n² beta + q²) exp(-q² Fo),   n = 1, 2, 3
 *
 * (soon after the start, where that needs very many terms, see ShortTime), where q are the positive roots of
 *     sheet     q cos q + beta sin q = 0
 *     cylinder  q J0(q) + 2 beta J1(q) = 0
 *     sphere    (q² + 3 beta) sin q - 3 beta q cos q = 0
 */
final class UptakeSeries
{
    /** Terms below exp(-this) are left out. */
    private const NEGLIGIBLE = 26.0;

    /** How many sets of roots, and how many answers, are kept. */
    private const KEPT = 64;

    private const SHARES_KEPT = 1024;

    /** @var array<string, list<float>> roots by form and beta: a memory of pure results, nothing more */
    private static array $roots = [];

    /** @var array<string, float> answers by what was asked: most inputs of a band leave the bath as it is */
    private static array $shares = [];

    /**
     * @param  float  $fourier  Fo = D t / l², dimensionless
     * @param  float  $alpha  W_brine / (K W_pieces), dimensionless; INF for an unlimited bath, 0 for none
     * @return float 0 to 1
     */
    public static function share(PieceForm $form, float $fourier, float $alpha): float
    {
        if ($fourier <= 0.0 || $alpha <= 0.0) {
            return 0.0;
        }
        $key = "{$form->value}:{$fourier}:{$alpha}";
        if (count(self::$shares) >= self::SHARES_KEPT) {
            self::$shares = [];
        }

        return self::$shares[$key] ??= self::compute($form, $fourier, is_infinite($alpha) ? 0.0 : 1.0 / $alpha);
    }

    private static function compute(PieceForm $form, float $fourier, float $beta): float
    {
        return $fourier < ShortTime::UNTIL
            ? ShortTime::share($form, $fourier, $beta)
            : self::sum($form, $fourier, $beta);
    }

    /**
     * The series itself. It is right at any time, but needs about 2 / sqrt(Fo) roots.
     *
     * @param  float  $beta  K W_pieces / W_brine, 0 for an unlimited bath
     */
    public static function sum(PieceForm $form, float $fourier, float $beta): float
    {
        $dimension = $form->dimension();
        $square = $dimension ** 2 * ($beta ** 2 + $beta);
        $factor = 2.0 * $dimension * (1.0 + $beta);

        $left = 0.0;
        foreach (self::roots($form, $beta, sqrt(self::NEGLIGIBLE / $fourier)) as $q) {
            $exponent = $q * $q * $fourier;
            if ($exponent > self::NEGLIGIBLE) {
                break;
            }
            $left += ($factor / ($square + $q * $q)) * exp(-$exponent);
        }

        return min(1.0, max(0.0, 1.0 - $left));
    }

    /**
     * All roots up to a limit, and at least one.
     *
     * @return list<float>
     */
    private static function roots(PieceForm $form, float $beta, float $limit): array
    {
        $key = "{$form->value}:{$beta}";
        $roots = self::$roots[$key] ?? [];
        $last = $roots === [] ? 0.0 : $roots[count($roots) - 1];
        if ($last > $limit) {
            return $roots;
        }
        for ($n = count($roots) + 1; $last <= $limit; $n++) {
            $roots[] = $last = self::root($form, $beta, $n);
        }
        if (count(self::$roots) >= self::KEPT) {
            self::$roots = [];
        }

        return self::$roots[$key] = $roots;
    }

    /** The n-th root, by Newton's method kept inside the bracket that holds no other root. */
    private static function root(PieceForm $form, float $beta, int $n): float
    {
        [$low, $high] = match ($form) {
            PieceForm::Sheet => [($n - 0.5) * M_PI, $n * M_PI],
            PieceForm::Cylinder => [($n - 0.25) * M_PI, ($n + 0.25) * M_PI],
            PieceForm::Sphere => [$n * M_PI, ($n + 0.5) * M_PI],
        };
        $sign = self::equation($form, $beta, $high)[0] <=> 0.0;
        $q = self::firstGuess($form, $beta, $n, $low);
        for ($i = 0; $i < 60; $i++) {
            [$value, $slope] = self::equation($form, $beta, $q);
            if (($value <=> 0.0) === $sign) {
                $high = $q;
            } else {
                $low = $q;
            }
            $next = $slope === 0.0 ? $low : $q - $value / $slope;
            if ($next < $low || $next > $high) {
                $next = ($low + $high) / 2.0;
            }
            if (abs($next - $q) < 1e-10 * $q) {
                return $next;
            }
            $q = $next;
        }

        return $q;
    }

    /** The root equation solved for the angle, a few times over from the foot of the bracket. */
    private static function firstGuess(PieceForm $form, float $beta, int $n, float $foot): float
    {
        $q = $foot;
        for ($i = 0; $i < 3 && $beta > 0.0; $i++) {
            $q = match ($form) {
                PieceForm::Sheet => $n * M_PI - atan($q / $beta),
                PieceForm::Cylinder => ($n + 0.25) * M_PI - atan($q / (2.0 * $beta)),
                PieceForm::Sphere => $n * M_PI + atan((3.0 * $beta * $q) / ($q * $q + 3.0 * $beta)),
            };
        }

        return $q;
    }

    /** @return array{float, float} the left side of the root equation and its slope */
    private static function equation(PieceForm $form, float $beta, float $q): array
    {
        if ($form === PieceForm::Cylinder) {
            [$j0, $j1] = Bessel::both($q);

            return [$q * $j0 + 2.0 * $beta * $j1, $j0 - $q * $j1 + 2.0 * $beta * ($j0 - $j1 / $q)];
        }
        $sin = sin($q);
        $cos = cos($q);

        return $form === PieceForm::Sheet
            ? [$q * $cos + $beta * $sin, (1.0 + $beta) * $cos - $q * $sin]
            : [
                ($q * $q + 3.0 * $beta) * $sin - 3.0 * $beta * $q * $cos,
                (2.0 + 3.0 * $beta) * $q * $sin + $q * $q * $cos,
            ];
    }
}
