<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What known weeks come to at most when an eater's may be a mixture of several: a linear programme, with a row for the stock of
 * each offer, for each eater's one week, for the fairness towards each, and for the live servings that are missing where these
 * are counted. Its dual values are the prices at which the known weeks share the stock; how much of a week is in the mixture
 * tells which weeks go together.
 *
 * Solved by the revised simplex method (Dantzig) with the inverse of the basis, which stays while weeks come in.
 */
final class WeekMix
{
    private const EPS = 1e-7;

    /** Below this a number is a rounding error. */
    private const TINY = 1e-9;

    /** After how many exchanges the inverse is worked out anew, and how many there are at most. */
    private const REFRESH = 60;

    private const MOST_EXCHANGES = 400;

    /** @var array<int, int> by offer: the row of its stock */
    private array $stockRow = [];

    /** @var array<int, int> by eater: the row of their week; of fairness so many further on */
    private readonly array $eaterRow;

    private readonly int $eaters;

    private readonly int $missingRow;

    private readonly int $size;

    /** @var list<float> by row: what there is */
    private array $limits = [];

    /** @var list<float> by column: what one of it brings */
    private array $worth = [];

    /** @var list<array<int, float>> by column: what one of it takes in each row */
    private array $takes = [];

    /** @var array<int, array{int, PlannedEaterWeek}> by column: whose week it is, and which */
    private array $week = [];

    /** @var array<int, int> by row: the column that is in the basis there */
    private array $basis = [];

    /** @var array<int, true> columns in the basis */
    private array $isIn = [];

    /** @var array<int, array<int, float>> of the basis */
    private array $inverse = [];

    /** @var array<int, float> by row: how much there is of the column in the basis */
    private array $amounts = [];

    /** @var array<int, float> by row */
    private array $duals = [];

    private int $exchanges = 0;

    /**
     * @param  array<int, float>  $stock  by offer: what there is
     * @param  array<int, float>  $unit  by offer: what counts as one of it; INF for what has no stock of its own
     * @param  array<int, PlannedEaterWeek>  $bare  by eater: a week that takes as little as can be
     * @param  float  $fair  the weight of fairness
     * @param  int|null  $missing  live servings that are missing, at most or at least; null: they are not counted
     * @param  float  $more  what one more than that costs where it is at most so many; 0: it is at least so many
     */
    public function __construct(
        array $stock,
        private readonly array $unit,
        array $bare,
        float $fair,
        private readonly ?int $missing = null,
        float $more = 0.0,
    ) {
        $used = [];
        foreach ($bare as $week) {
            foreach ($week->used as $offer => $grams) {
                $used[$offer] = ($used[$offer] ?? 0.0) + $grams;
            }
        }
        foreach ($stock as $offer => $grams) {
            if ($unit[$offer] < INF) {
                $this->stockRow[$offer] = count($this->limits);
                $this->limits[] = max(0.0, $grams, $used[$offer] ?? 0.0) / $unit[$offer];
            }
        }
        $this->eaters = count($bare);
        $rows = [];
        foreach (array_keys($bare) as $at => $m) {
            $rows[$m] = count($this->stockRow) + $at;
        }
        $this->eaterRow = $rows;
        $this->missingRow = count($this->stockRow) + 2 * $this->eaters;
        $this->size = $this->missingRow + ($missing === null ? 0 : 1);
        array_push(
            $this->limits,
            ...array_fill(0, $this->eaters, 1.0),
            ...array_fill(0, $this->eaters, 0.0),
            ...$missing === null ? [] : [(float) $missing],
        );
        $this->begin($bare, $fair, $more);
    }

    /**
     * The basis in which everybody has the bare week and all stock is left.
     *
     * @param  array<int, PlannedEaterWeek>  $bare
     */
    private function begin(array $bare, float $fair, float $more): void
    {
        foreach ($this->stockRow as $row) {
            $this->enter($this->column(0.0, [$row => 1.0]));
        }
        $sum = $most = 0;
        $worst = 0;
        foreach ($bare as $m => $week) {
            $this->enter($this->add($m, $week));
            $sum += $week->missing;
            if ($week->missing > $most) {
                [$most, $worst] = [$week->missing, $m];
            }
        }
        $largest = $this->column(
            -$fair,
            array_fill_keys(array_map(fn(int $row): int => $row + $this->eaters, array_values($this->eaterRow)), -1.0),
        );
        foreach ($this->eaterRow as $m => $row) {
            $below = $this->column(0.0, [$row + $this->eaters => 1.0]);
            $this->enter($m === $worst && $most > 0 ? $largest : $below);
        }
        if ($this->missing !== null) {
            $isAtMost = $more > 0.0;
            $within = $this->column(0.0, [$this->missingRow => $isAtMost ? 1.0 : -1.0]);
            $beyond = $this->column($isAtMost ? -$more : -INF, [$this->missingRow => -1.0]);
            $this->enter($isAtMost && $sum > $this->missing ? $beyond : $within);
        }
        $this->refresh();
    }

    public function add(int $m, PlannedEaterWeek $week): int
    {
        $takes = [$this->eaterRow[$m] => 1.0];
        foreach ($week->used as $offer => $grams) {
            $takes[$this->stockRow[$offer]] = $grams / $this->unit[$offer];
        }
        if ($week->missing > 0) {
            $takes[$this->eaterRow[$m] + $this->eaters] = (float) $week->missing;
            if ($this->missing !== null) {
                $takes[$this->missingRow] = (float) $week->missing;
            }
        }
        $column = $this->column($week->worth, $takes);
        $this->week[$column] = [$m, $week];

        return $column;
    }

    /** @return float what the mixture comes to */
    public function solve(): float
    {
        for ($turn = 0; $turn < self::MOST_EXCHANGES; $turn++) {
            $this->price();
            $column = $this->mostGained();
            if ($column === null || !$this->exchange($column)) {
                break;
            }
        }
        $value = 0.0;
        foreach ($this->basis as $row => $column) {
            $value += $this->worth[$column] * $this->amounts[$row];
        }

        return $value;
    }

    /** Whether live servings that are missing are counted. */
    public function isCounted(): bool
    {
        return $this->missing !== null;
    }

    /** @return array<int, float> by offer: the price of a unit of its stock; 0 for what has none of its own */
    public function prices(): array
    {
        $prices = [];
        foreach ($this->unit as $offer => $unit) {
            $row = $this->stockRow[$offer] ?? null;
            $prices[$offer] = $row === null ? 0.0 : max(0.0, $this->duals[$row]) / $unit;
        }

        return $prices;
    }

    /** @return array<int, float> by eater: what a missing serving costs for fairness' sake */
    public function fair(): array
    {
        return array_map(fn(int $row): float => max(0.0, $this->duals[$row + $this->eaters]), $this->eaterRow);
    }

    /** What a missing serving costs besides, where they are counted; less than nothing where so many are wanted. */
    public function missing(): float
    {
        return $this->missing === null ? 0.0 : $this->duals[$this->missingRow];
    }

    /** @return list<array{float, int, PlannedEaterWeek}> how much of a week is in the mixture, whose, and which; most first */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->basis as $row => $column) {
            if (isset($this->week[$column]) && $this->amounts[$row] > self::EPS) {
                $parts[] = [$this->amounts[$row], ...$this->week[$column]];
            }
        }
        usort($parts, static fn(array $one, array $other): int => $other[0] <=> $one[0]);

        return $parts;
    }

    /** @param  array<int, float>  $takes */
    private function column(float $worth, array $takes): int
    {
        $this->worth[] = $worth;
        $this->takes[] = $takes;

        return count($this->worth) - 1;
    }

    private function enter(int $column): void
    {
        $this->isIn[$column] = true;
        $this->basis[] = $column;
    }

    private function price(): void
    {
        $duals = array_fill(0, $this->size, 0.0);
        foreach ($this->basis as $row => $column) {
            $worth = $this->worth[$column];
            if ($worth !== 0.0) {
                foreach ($this->inverse[$row] as $k => $share) {
                    $duals[$k] += $worth * $share;
                }
            }
        }
        $this->duals = $duals;
    }

    /** The column of which one more would bring most; null where none brings anything. */
    private function mostGained(): ?int
    {
        $enters = null;
        $most = self::EPS;
        foreach ($this->takes as $column => $takes) {
            if (isset($this->isIn[$column])) {
                continue;
            }
            $gain = $this->worth[$column];
            foreach ($takes as $row => $much) {
                $gain -= $this->duals[$row] * $much;
            }
            if ($gain > $most) {
                [$most, $enters] = [$gain, $column];
            }
        }

        return $enters;
    }

    /** A column comes into the basis for the one that is used up first. */
    private function exchange(int $enters): bool
    {
        $way = [];
        $leaves = null;
        $least = INF;
        foreach ($this->inverse as $row => $line) {
            $sum = 0.0;
            foreach ($this->takes[$enters] as $k => $much) {
                $sum += $line[$k] * $much;
            }
            $way[] = $sum;
            if ($sum > self::TINY) {
                $ratio = $this->amounts[$row] / $sum;
                if ($leaves === null || $ratio < $least - self::TINY || ($ratio <= $least && $sum > $way[$leaves])) {
                    [$least, $leaves] = [$ratio, $row];
                }
            }
        }
        if ($leaves === null) {
            return false;
        }
        $line = array_map(static fn(float $share): float => $share / $way[$leaves], $this->inverse[$leaves]);
        foreach ($way as $row => $times) {
            if ($row !== $leaves && $times !== 0.0) {
                foreach ($line as $k => $share) {
                    $this->inverse[$row][$k] -= $times * $share;
                }
                $this->amounts[$row] = max(0.0, $this->amounts[$row] - $times * $least);
            }
        }
        $this->inverse[$leaves] = $line;
        $this->amounts[$leaves] = $least;
        unset($this->isIn[$this->basis[$leaves]]);
        $this->basis[$leaves] = $enters;
        $this->isIn[$enters] = true;
        if (++$this->exchanges % self::REFRESH === 0) {
            $this->refresh();
        }

        return true;
    }

    /** Works out the inverse and the amounts anew (Gauss and Jordan), so that rounding errors do not add up. */
    private function refresh(): void
    {
        $zeros = array_fill(0, $this->size, 0.0);
        $matrix = $inverse = array_fill(0, $this->size, $zeros);
        foreach ($this->basis as $at => $column) {
            $inverse[$at][$at] = 1.0;
            foreach ($this->takes[$column] as $row => $much) {
                $matrix[$row][$at] = $much;
            }
        }
        for ($at = 0; $at < $this->size; $at++) {
            $pivot = $at;
            for ($row = $at + 1; $row < $this->size; $row++) {
                $pivot = abs($matrix[$row][$at]) > abs($matrix[$pivot][$at]) ? $row : $pivot;
            }
            [$matrix[$at], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$at]];
            [$inverse[$at], $inverse[$pivot]] = [$inverse[$pivot], $inverse[$at]];
            $by = 1.0 / $matrix[$at][$at];
            foreach ($zeros as $k => $_) {
                $matrix[$at][$k] *= $by;
                $inverse[$at][$k] *= $by;
            }
            foreach ($matrix as $row => $line) {
                $times = $line[$at];
                if ($row !== $at && $times !== 0.0) {
                    foreach ($zeros as $k => $_) {
                        $matrix[$row][$k] -= $times * $matrix[$at][$k];
                        $inverse[$row][$k] -= $times * $inverse[$at][$k];
                    }
                }
            }
        }
        $this->inverse = $inverse;
        $this->amounts = array_map(function (array $line): float {
            $sum = 0.0;
            foreach ($line as $k => $share) {
                $sum += $share * $this->limits[$k];
            }

            return max(0.0, $sum);
        }, $inverse);
    }
}
