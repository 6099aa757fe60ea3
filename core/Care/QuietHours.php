<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use DateInterval;
use DateTimeImmutable;

/**
 * The hours in which a kitchen is not to be called, by its own clock. They may go past midnight.
 */
final readonly class QuietHours
{
    /** @param  string  $from  "HH:MM"; @param  string  $to  "HH:MM"; the same twice: none */
    public function __construct(private string $from, private string $to) {}

    /** @param  DateTimeImmutable  $moment  in the kitchen's time zone */
    public function cover(DateTimeImmutable $moment): bool
    {
        $clock = $moment->format('H:i');

        return $this->from <= $this->to
            ? $clock >= $this->from && $clock < $this->to
            : $clock >= $this->from || $clock < $this->to;
    }

    /**
     * When to call for what can wait until the kitchen is up: a soak that goes on for an hour does no harm.
     *
     * @param  DateTimeImmutable  $moment  in the kitchen's time zone
     */
    public function callAfter(DateTimeImmutable $moment): DateTimeImmutable
    {
        if (!$this->cover($moment)) {
            return $moment;
        }
        [$hour, $minute] = array_map(intval(...), explode(':', $this->to));
        $morning = $moment->setTime($hour, $minute);

        return $morning < $moment ? $moment->add(new DateInterval('P1D'))->setTime($hour, $minute) : $morning;
    }

    /**
     * When to call for something that falls due at a moment: then, or before the kitchen falls quiet, so that nothing
     * stands too long unlooked at.
     *
     * @param  DateTimeImmutable  $moment  in the kitchen's time zone
     */
    public function callFor(DateTimeImmutable $moment): DateTimeImmutable
    {
        if (!$this->cover($moment)) {
            return $moment;
        }
        [$hour, $minute] = array_map(intval(...), explode(':', $this->from));
        $evening = $moment->setTime($hour, $minute);

        return $evening > $moment ? $moment->sub(new DateInterval('P1D'))->setTime($hour, $minute) : $evening;
    }
}
