<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * What was done with a jar so far, in whole days of the kitchen's calendar since it was begun.
 */
final readonly class CareRecord
{
    /**
     * @param  int  $knownFrom  the day on which it came onto this shelf; what was to be done before is not asked for
     * @param  int|null  $chilledOn  the day since which it stands in the fridge
     * @param  int|null  $condemnedOn  the day on which a check said that it is not to be eaten
     * @param  array<string, int>  $done  the day on which each task was last done, by its word
     */
    public function __construct(
        public int $knownFrom,
        public ?int $chilledOn = null,
        public ?int $condemnedOn = null,
        public array $done = [],
    ) {}
}
