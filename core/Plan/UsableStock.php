<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * How much of a jar portions can take at most. What is left of it beyond that is too little for any of them, and must not have
 * a price: a programme that may plan half a portion would count on it.
 */
final class UsableStock
{
    /** Portions are told apart to such a part of their unit. */
    private const PARTS = 100;

    /** In a jar of more steps than these only the step counts that all portions are made of. */
    private const MOST_STEPS = 1_000;

    private const EPS = 1e-6;

    /**
     * @param  list<float>  $portions  those that may be served, each as often as one likes
     * @param  float  $stock  in the same unit
     * @return float the largest sum of portions that the stock holds; the stock itself where portions are finer than that
     */
    public static function of(array $portions, float $stock): float
    {
        $step = self::step($portions);
        if ($step === null || $stock <= 0.0 || is_infinite($stock)) {
            return $stock;
        }
        $counts = [];
        foreach ($portions as $portion) {
            $count = (int) round($portion / $step);
            if ($count > 0) {
                $counts[$count] = $count;
            }
        }
        $room = (int) floor($stock / $step + self::EPS);

        return min($stock, $step * ($room <= self::MOST_STEPS ? self::reached($counts, $room) : $room));
    }

    /** @param  array<int, int>  $portions  in steps */
    private static function reached(array $portions, int $room): int
    {
        $isReached = [true];
        $last = 0;
        for ($sum = 1; $sum <= $room; $sum++) {
            foreach ($portions as $portion) {
                if ($isReached[$sum - $portion] ?? false) {
                    $isReached[$sum] = true;
                    $last = $sum;

                    break;
                }
            }
        }

        return $last;
    }

    /**
     * The largest step of which all portions are made (Euclid).
     *
     * @param  list<float>  $portions
     * @return float|null in their unit; null where they are finer than can be told apart, or nothing
     */
    public static function step(array $portions): ?float
    {
        $step = 0;
        foreach ($portions as $portion) {
            $one = (int) round($portion * self::PARTS);
            if (abs($one - $portion * self::PARTS) > self::EPS) {
                return null;
            }
            while ($one > 0) {
                [$step, $one] = [$one, $step % $one];
            }
        }

        return $step > 0 ? $step / self::PARTS : null;
    }

    /** @return list<float> by option: what the week can take; 0 for other sizes of an offer */
    public static function inWeek(PlanningProblem $problem): array
    {
        $portions = $locked = [];
        foreach ($problem->options as $i => $option) {
            foreach (array_keys($option->isFor, true, true) as $m) {
                $portions[$problem->offerOf($i)][] = $option->portion[$m];
            }
        }
        foreach ($problem->locked as $one) {
            $offer = $problem->offerOf($one->option);
            $locked[$offer] = ($locked[$offer] ?? 0.0) + $problem->options[$one->option]->portion[$one->eater];
        }
        $stock = [];
        foreach ($problem->options as $i => $option) {
            // What a cook has locked is served, even where it is more than there is.
            $stock[] =
                $option->offer === null ? max(self::of($portions[$i] ?? [], $option->stock), $locked[$i] ?? 0.0) : 0.0;
        }

        return $stock;
    }
}
