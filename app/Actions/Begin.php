<?php

declare(strict_types=1);

namespace App\Actions;

use Carbon\CarbonImmutable;
use Tempesal\Core\Making\StepPlan;

/**
 * How far a making is when its jar comes onto the shelf.
 */
enum Begin: string
{
    /** Its first steps are done, up to the first wait. */
    case Now = 'now';
    /** All of it is done: it was packed at the moment that is given. */
    case Packed = 'packed';
    /** Nothing is done: each step is, at the counter. */
    case Counter = 'counter';

    /** When the first step was done, if the jar was started or packed at a moment. */
    public function of(CarbonImmutable $at, StepPlan $plan): CarbonImmutable
    {
        return $this === self::Packed ? $at->subSeconds((int) round($plan->seconds())) : $at;
    }

    /** How many steps are done. */
    public function doneOf(StepPlan $plan): int
    {
        return match ($this) {
            self::Now => $plan->untilFirstWait(),
            self::Packed => $plan->untilPacked(),
            self::Counter => 0,
        };
    }
}
