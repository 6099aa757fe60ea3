<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Message\Message;

/**
 * A chore on the day on which it is wanted.
 */
final readonly class DueChore
{
    /**
     * @param  int  $day  whole days since the jar was begun; it may have passed
     * @param  float|null  $at  seconds since it was begun, where hours matter
     * @param  StepKind|null  $step  the step of its making that is due
     */
    public function __construct(
        public Chore $chore,
        public int $day,
        public ?float $at,
        public ?StepKind $step = null,
    ) {}

    /** "Drain" */
    public function text(): Message
    {
        return $this->step?->label() ?? $this->chore->task->text();
    }

    /** Days by which it is late. */
    public function lateOn(int $today): int
    {
        return max(0, $today - $this->day);
    }
}
