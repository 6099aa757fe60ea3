<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * One way in which one eater's week can be.
 */
final readonly class PlannedEaterWeek
{
    /**
     * @param  list<list<int>>  $plates  options by day
     * @param  float  $worth  its part of the objective, without prices and without fairness
     * @param  int  $missing  live servings
     * @param  array<int, float>  $used  by offer: what it takes of the stock
     */
    public function __construct(public array $plates, public float $worth, public int $missing, public array $used) {}

    /**
     * What weeks of all eaters come to together.
     *
     * @param  array<int, self>  $weeks  by eater
     * @param  float  $fair  the weight of fairness
     */
    public static function total(array $weeks, float $fair): float
    {
        $total = 0.0;
        $most = 0;
        foreach ($weeks as $week) {
            $total += $week->worth;
            $most = max($most, $week->missing);
        }

        return $total - $fair * $most;
    }

    /**
     * What is left of its worth at these prices.
     *
     * @param  array<int, float>  $price  by offer
     */
    public function priced(array $price, float $fair): float
    {
        $worth = $this->worth - $fair * $this->missing;
        foreach ($this->used as $offer => $grams) {
            $worth -= $price[$offer] * $grams;
        }

        return $worth;
    }

    /** @param  array<int, float>  $left  by offer */
    public function fits(array $left): bool
    {
        foreach ($this->used as $offer => $grams) {
            if ($grams > $left[$offer] + 1e-9) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, float>  $left  by offer
     * @return array<int, float>
     */
    public function takenFrom(array $left): array
    {
        foreach ($this->used as $offer => $grams) {
            $left[$offer] -= $grams;
        }

        return $left;
    }
}
