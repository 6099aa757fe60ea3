<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;

/**
 * Bands by the law of propagation for independent inputs, JCGM 100:2008 (GUM) 5.1:
 * each input is moved to the ends of its band alone, and the changes add as root of the sum of squares.
 *
 * The inputs' bands cover about 90 % of cases, so the result's does too. Falls and rises are kept apart,
 * because many kitchen inputs are lopsided (a heaped spoon has more room upwards than downwards).
 */
final class Propagation
{
    /** The share of the variance below which an input is not named. */
    private const NO_SHARE = 1e-9;

    /**
     * @template K of array-key
     *
     * @param  callable(Point): array<K, float>  $compute  pure; the results by name
     * @return array<K, Estimate> one estimate for each result, never below 0
     */
    public static function estimate(callable $compute): array
    {
        $at = Point::typical();
        $typical = $compute($at);

        $below = $above = array_fill_keys(array_keys($typical), []);
        foreach ($at->asked() as $input) {
            $low = $compute(Point::shifted($input, Side::Low));
            $high = $compute(Point::shifted($input, Side::High));
            foreach ($typical as $name => $value) {
                $changes = [($low[$name] ?? $value) - $value, ($high[$name] ?? $value) - $value];
                $below[$name][] = max(0.0, -min($changes));
                $above[$name][] = max(0.0, max($changes));
            }
        }

        $estimates = [];
        foreach ($typical as $name => $value) {
            $estimates[$name] = self::combine($value, $at->asked(), $below[$name], $above[$name]);
        }

        return $estimates;
    }

    /**
     * @param  list<Uncertain>  $inputs
     * @param  list<float>  $below  by input
     * @param  list<float>  $above  by input
     */
    private static function combine(float $typical, array $inputs, array $below, array $above): Estimate
    {
        $belowSquares = $aboveSquares = 0.0;
        foreach ($below as $i => $change) {
            $belowSquares += $change * $change;
            $aboveSquares += $above[$i] * $above[$i];
        }
        $variance = $belowSquares + $aboveSquares;

        $contributions = [];
        foreach ($inputs as $i => $input) {
            $squares = $below[$i] * $below[$i] + $above[$i] * $above[$i];
            if ($squares > self::NO_SHARE * $variance) {
                $contributions[] = new Contribution($input, $below[$i], $above[$i], $squares / $variance);
            }
        }
        usort($contributions, static fn(Contribution $a, Contribution $b): int => $b->share <=> $a->share);

        return new Estimate(
            Band::of(max(min(0.0, $typical), $typical - sqrt($belowSquares)), $typical, $typical + sqrt($aboveSquares)),
            $contributions,
        );
    }
}
