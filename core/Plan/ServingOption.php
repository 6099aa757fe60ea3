<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A batch or a condiment with servings left, in one size of portion. Other sizes of it are options of their own that share
 * its stock; nobody is served two of them on a day.
 */
final readonly class ServingOption
{
    /** The group of what brings no culture: it is never planned for variety's sake. */
    public const NO_CULTURE = '';

    /** Days before its last one from which on it becomes urgent. */
    private const URGENT_DAYS = 14.0;

    /**
     * @param  string  $group  of cultures, whose first serving in an eater's week is thanked for; NO_CULTURE where
     *     there is nothing to thank for
     * @param  float  $stock  what is left, in the unit of the portions
     * @param  int  $from  the first day on which it may be served, counted from the week's first
     * @param  int  $useBy  the last one; beyond the week when it keeps
     * @param  list<int>  $meals  those for which it is suited
     * @param  list<list<float>>  $sodium  milligrams in a serving, by eater and day
     * @param  list<float>  $portion  that each eater takes of the stock
     * @param  list<bool>  $isFor  whether each eater may and will eat it
     * @param  int|null  $offer  place of the option of which it is another size; null: it is the usual one
     * @param  list<float>  $smaller  by how much it is smaller than each eater's usual portion, 0 to 1; none: not at all
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $isLive,
        public string $group,
        public float $stock,
        public int $from,
        public int $useBy,
        public array $meals,
        public array $sodium,
        public array $portion,
        public array $isFor,
        public ?int $offer = null,
        public array $smaller = [],
    ) {}

    /** By how much it is smaller than someone's usual portion, 0 to 1. */
    public function smallerBy(int $eater): float
    {
        return $this->smaller[$eater] ?? 0.0;
    }

    public function isServedOn(int $day): bool
    {
        return $day >= $this->from && $day <= $this->useBy;
    }

    /** From 0 to 1: how much it presses to be eaten on a day. */
    public function urgency(int $day): float
    {
        return max(0.0, 1.0 - ($this->useBy - $day) / self::URGENT_DAYS);
    }
}
