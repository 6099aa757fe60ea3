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
        $parts = [];
        $step = 0;
        foreach ($portions as $portion) {
            $one = (int) round($portion * self::PARTS);
            if (abs($one - $portion * self::PARTS) > self::EPS) {
                return $stock;
            }
            if ($one > 0) {
                $parts[$one] = $one;
                $step = self::common($step, $one);
            }
        }
        if ($step === 0 || $stock <= 0.0 || is_infinite($stock)) {
            return $stock;
        }
        $room = (int) floor(($stock * self::PARTS) / $step + self::EPS);
        $last =
            $room <= self::MOST_STEPS
                ? self::reached(array_map(static fn(int $one): int => intdiv($one, $step), $parts), $room)
                : $room;

        return min($stock, ($last * $step) / self::PARTS);
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

    /** The largest step of which both are made (Euclid). */
    private static function common(int $one, int $other): int
    {
        return $other === 0 ? $one : self::common($other, $one % $other);
    }
}
