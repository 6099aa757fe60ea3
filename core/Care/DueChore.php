<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * A chore on the day on which it is wanted.
 */
final readonly class DueChore
{
    /**
     * @param  int  $day  whole days since the jar was begun; it may have passed
     * @param  float|null  $at  seconds since it was begun, where hours matter
     */
    public function __construct(public Chore $chore, public int $day, public ?float $at) {}

    /** Days by which it is late. */
    public function lateOn(int $today): int
    {
        return max(0, $today - $this->day);
    }
}
