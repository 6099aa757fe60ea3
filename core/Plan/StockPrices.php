<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What a unit of each offer costs while eaters choose for themselves, and what a missing live serving costs besides its
 * weight. At any prices what the eaters' best weeks and the stock come to is a number that no plan can pass (Lagrange);
 * prices are moved to where that number is small.
 */
final class StockPrices
{
    private const EPS = 1e-9;

    /** How much of the price of fairness goes to whoever misses most, in each step. */
    private const FAIR_SHARE = 0.3;

    /** What is left of the price of a missing serving once as many as there are missing are free. */
    private const ALLOWED_SHARE = 0.15;

    /** What one costs that is missing beyond as many as may be, against its weight. */
    private const DEAR = 2.5;

    /** @var array<int, float> by offer */
    public array $of = [];

    /** @var array<int, float> by offer: what can be taken (UsableStock); 0 for other sizes of an offer */
    public array $stock = [];

    /** @var array<int, float> by offer: a large serving, so that condiments and vegetables weigh alike */
    private array $serving = [];

    /** @var array<int, float> by eater: for fairness' sake; together the weight of fairness */
    public array $fair = [];

    /** What a missing serving costs more than its weight, and how many that does not concern. */
    private float $more = 0.0;

    private int $free = 0;

    public function __construct(private readonly ObjectiveWeights $weights, PlanningProblem $problem)
    {
        $this->stock = UsableStock::inWeek($problem);
        foreach ($problem->options as $option) {
            $this->of[] = 0.0;
            $this->serving[] = $option->offer === null ? max(self::EPS, ...$option->portion) : INF;
        }
        foreach ($problem->eaters as $_) {
            $this->fair[] = $weights->fair / count($problem->eaters);
        }
    }

    /** Prices for plans with fewer live servings missing than this; they are missing at a dear price. */
    public function forFewer(int $missing): self
    {
        $prices = clone $this;
        $prices->free = $missing - 1;
        $prices->more = 1.5 * $this->weights->short;
        $prices->of = array_map(static fn(float $one): float => self::DEAR * $one, $this->of);

        return $prices;
    }

    /** Prices for plans with at least as many missing; that many cost little, so that the rest is weighed finely. */
    public function forAsMany(int $missing): self
    {
        $prices = clone $this;
        $prices->free = $missing;
        $prices->more = -(1.0 - self::ALLOWED_SHARE) * $this->weights->short;
        $prices->of = array_map(static fn(float $one): float => self::ALLOWED_SHARE * $one, $this->of);

        return $prices;
    }

    /**
     * A mixture of weeks, for which no week is known yet but the bare ones.
     *
     * @param  array<int, PlannedEaterWeek>  $bare  by eater
     * @param  array<int, float>|null  $left  by offer: what others leave to these eaters; null: all, and everybody is there
     */
    public function mix(array $bare, ?array $left = null): WeekMix
    {
        $isCounted = $left === null && $this->more !== 0.0;

        return new WeekMix(
            $left ?? $this->stock,
            $this->serving,
            $bare,
            $this->weights->fair,
            $isCounted ? $this->free : null,
            $this->more > 0.0 ? self::DEAR * $this->weights->short : 0.0,
        );
    }

    /** A share of the way to the prices of a mixture. */
    public function toward(WeekMix $mix, float $share): self
    {
        $prices = clone $this;
        foreach ($mix->prices() as $offer => $price) {
            $prices->of[$offer] += $share * ($price - $this->of[$offer]);
        }
        foreach ($mix->fair() as $m => $fair) {
            $prices->fair[$m] += $share * ($fair - $this->fair[$m]);
        }
        if ($mix->isCounted()) {
            $more = $this->more + $share * ($mix->missing() - $this->more);
            $prices->more = $this->more > 0.0 ? max(self::EPS, $more) : min(-self::EPS, $more);
        }

        return $prices;
    }

    /** Whether they are for plans only of which it is known how many live servings are missing. */
    public function isApart(): bool
    {
        return $this->more !== 0.0;
    }

    /** What a missing live serving costs an eater besides its weight. */
    public function missing(int $m): float
    {
        return $this->fair[$m] + $this->more;
    }

    /** What the missing servings that cost nothing besides are worth at the price of the others. */
    public function worthOfMissing(): float
    {
        return $this->more * $this->free;
    }

    /** What the eaters' weeks at these prices are added to. */
    public function worthOfStock(): float
    {
        $worth = $this->worthOfMissing();
        foreach ($this->stock as $offer => $grams) {
            $worth += $this->of[$offer] * $grams;
        }

        return $worth;
    }

    /**
     * Dearer where more is taken than there is, cheaper where less is.
     *
     * @param  array<int, float>  $used  by offer
     * @param  array<int, int>  $missing  live servings by eater
     * @param  float  $excess  by how much the number passes what is known to be possible
     * @param  float  $step  1 goes as far as the excess asks for
     * @return bool whether there was anything to move
     */
    public function move(array $used, array $missing, float $excess, float $step): bool
    {
        $pull = $this->pull($used);
        $more = $this->more === 0.0 ? 0 : array_sum($missing) - $this->free;
        $norm = $more ** 2 + array_sum(array_map(static fn(float $one): float => $one ** 2, $pull));
        if ($norm <= self::EPS || $excess <= self::EPS) {
            return false;
        }
        $by = ($step * $excess) / $norm;
        $this->pay($pull, $by);
        if ($this->more > 0.0) {
            $this->more = max(self::EPS, $this->more + $by * $more);
        } elseif ($this->more < 0.0) {
            $this->more = min(-self::EPS, max(-$this->weights->short, $this->more + $by * $more));
        }
        if ($this->weights->fair > 0.0 && $missing !== [] && max($missing) > 0) {
            $most = array_keys($missing, max($missing), true);
            $share = self::FAIR_SHARE * $step;
            foreach ($this->fair as $m => $one) {
                $this->fair[$m] =
                    (1.0 - $share) * $one +
                    (in_array($m, $most, true) ? ($share * $this->weights->fair) / count($most) : 0.0);
            }
        }

        return true;
    }

    /**
     * In servings: what is taken beyond what there is.
     *
     * @param  array<int, float>  $used
     * @return array<int, float> by offer
     */
    private function pull(array $used): array
    {
        $pull = [];
        foreach ($this->stock as $offer => $grams) {
            if ($this->serving[$offer] < INF) {
                $one = (($used[$offer] ?? 0.0) - $grams) / $this->serving[$offer];
                if ($one > 0.0 || $this->of[$offer] > 0.0) {
                    $pull[$offer] = $one;
                }
            }
        }

        return $pull;
    }

    /** @param  array<int, float>  $pull */
    private function pay(array $pull, float $by): void
    {
        foreach ($pull as $offer => $one) {
            $this->of[$offer] = max(0.0, $this->of[$offer] + ($by * $one) / $this->serving[$offer]);
        }
    }
}
