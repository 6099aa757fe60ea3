<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Something that an eater is to have once on one of some days.
 */
final readonly class Wish
{
    /** Of one eater, on a day. */
    public const MOST_AT_ONCE = 14;

    /**
     * @param  non-empty-list<int>  $days
     * @param  list<int>  $offers  of which any one will do
     * @param  float  $worth  in the unit of the objective
     */
    public function __construct(public int $eater, public array $days, public array $offers, public float $worth) {}

    public function isMetBy(int $eater, int $day, int $offer): bool
    {
        return $eater === $this->eater && in_array($day, $this->days, true) && in_array($offer, $this->offers, true);
    }

    /**
     * The largest number of wishes between whose first and last days one day lies.
     *
     * @param  list<self>  $wishes  of one eater
     */
    public static function mostAtOnce(array $wishes): int
    {
        return max([
            0,
            ...array_map(
                static fn(self $one): int => count(
                    array_filter(
                        $wishes,
                        static fn(self $other): bool => min($other->days) <= min($one->days) &&
                            max($other->days) >= min($one->days),
                    ),
                ),
                $wishes,
            ),
        ]);
    }
}
