<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Someone who eats in the week that is planned.
 */
final readonly class Eater
{
    /**
     * @param  float  $target  milligrams of sodium a day
     * @param  list<float>  $allowance  milligrams for ferments on each day: the target less the rest of the diet; may
     *     be negative
     * @param  bool  $isHard  whether the allowance is never passed
     * @param  list<int>  $liveGoal  live servings wanted on each day
     * @param  bool  $isCareful  whether what a jar brings is reckoned at the upper end of its band
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $target,
        public array $allowance,
        public bool $isHard,
        public array $liveGoal,
        public bool $isCareful = false,
    ) {}

    /** What may be served on a day at most, in milligrams; infinite where the limit is soft. */
    public function limit(int $day): float
    {
        return $this->isHard ? max(0.0, $this->allowance[$day]) : INF;
    }
}
