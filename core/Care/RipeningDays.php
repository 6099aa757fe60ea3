<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * How far a jar gets, and when, in whole days of the kitchen's calendar since it was begun.
 */
final readonly class RipeningDays
{
    /**
     * @param  int|null  $youngOn  the day on which it may be tasted; null where nothing ripens
     * @param  int|null  $readyOn  the day on which it is where the cook wants it
     * @param  float|null  $readyAfter  seconds after which it is that
     * @param  int|null  $livelyUntil  the day on which it has given off most of its gas, a week at 21 °C; null where it
     *                                 never gets there
     */
    public function __construct(
        public ?int $youngOn,
        public ?int $readyOn,
        public ?float $readyAfter,
        public ?int $livelyUntil,
    ) {}
}
