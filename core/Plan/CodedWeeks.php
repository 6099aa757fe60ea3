<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Weeks of an eater, or of several together, in columns, so that many can be looked at quickly; what loses least comes first.
 */
final class CodedWeeks
{
    /** @var array<int, float> what each comes to less at the prices than the best there is */
    public array $loss = [];

    /** @var array<int, float> what each comes to without a price for stock, but with that for what is missing */
    public array $worth = [];

    /** @var array<int, float> what each comes to without any price */
    public array $bare = [];

    /** @var array<int, int> live servings that are missing; for several eaters of the one who misses most */
    public array $missing = [];

    /** @var array<int, int> what each takes (StockCode) */
    public array $p = [];

    /** @var array<int, int> */
    public array $q = [];

    /** @var array<int, int> */
    public array $r = [];

    /** @var array<int, int> their places in another list */
    public array $place = [];

    /** @param  array{int, int, int}  $taken */
    public function add(float $loss, float $worth, float $bare, int $missing, array $taken): void
    {
        $this->place[] = count($this->loss);
        $this->loss[] = $loss;
        $this->worth[] = $worth;
        $this->bare[] = $bare;
        $this->missing[] = $missing;
        [$this->p[], $this->q[], $this->r[]] = $taken;
    }

    public function count(): int
    {
        return count($this->loss);
    }

    /** What loses least first. */
    public function sort(): void
    {
        array_multisort(
            $this->loss,
            $this->worth,
            $this->bare,
            $this->missing,
            $this->p,
            $this->q,
            $this->r,
            $this->place,
        );
    }

    /** Only the first of them. */
    public function cut(int $most): void
    {
        foreach (['loss', 'worth', 'bare', 'missing', 'p', 'q', 'r', 'place'] as $column) {
            $this->{$column} = array_slice($this->{$column}, 0, $most);
        }
    }
}
