<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * How a jar stands: all that decides what it asks for. Days are whole days of the kitchen's calendar since it was begun.
 */
final readonly class CareContext
{
    /**
     * @param  int  $day  today
     * @param  int  $knownFrom  the day on which it came onto this shelf; what was to be done before is not asked for
     * @param  bool  $isWarm  whether it stands where it ferments, not in the fridge
     * @param  int|null  $chilledOn  the day since which it stands in the fridge
     * @param  int|null  $youngOn  the day on which it may be tasted; null where nothing ripens
     * @param  int|null  $readyOn  the day on which it is where the cook wants it
     * @param  float|null  $readyAfter  seconds after which it is that
     * @param  int|null  $livelyUntil  the day on which it has given off most of its gas, a week at 21 °C; null where it never gets there
     * @param  bool  $isLive  whether it holds living cultures
     * @param  bool  $isNothing  whether there is less in it than one could serve
     * @param  int|null  $condemnedOn  the day on which a check said that it is not to be eaten
     * @param  array<string, int>  $done  the day on which each task was last done, by its word
     * @param  int|null  $useBy  the last day that is printed on a bought jar
     */
    public function __construct(
        public Method $method,
        public ?Cover $cover,
        public int $day,
        public int $knownFrom,
        public bool $isWarm,
        public ?int $chilledOn,
        public ?int $youngOn,
        public ?int $readyOn,
        public ?float $readyAfter,
        public ?int $livelyUntil,
        public Hazards $hazards,
        public ShelfLife $shelfLife,
        public bool $isLive,
        public bool $isNothing,
        public ?int $condemnedOn,
        public array $done,
        public ?int $useBy = null,
    ) {}
}
