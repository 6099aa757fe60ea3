<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\ServingStyle;

/**
 * A serving that the cook means for someone on a day; eater, day and jar by their places in the week.
 */
final readonly class WeekServing
{
    /** @param  string  $id  by which the cook's plan calls it; empty while it is only thought of */
    public function __construct(
        public string $id,
        public int $eater,
        public int $day,
        public int $jar,
        public float $grams,
        public ServingStyle $way,
        public bool $isLocked,
    ) {}

    public function isAt(int $eater, int $day): bool
    {
        return $this->eater === $eater && $this->day === $day;
    }
}
