<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * How a jar stands: all that decides what it asks for. Days are whole days of the kitchen's calendar since it was
 * begun.
 */
final readonly class CareContext
{
    /**
     * @param  int  $day  today
     * @param  bool  $isWarm  whether it stands where it ferments, not in the fridge
     * @param  bool  $isLive  whether it holds living cultures
     * @param  bool  $isNothing  whether there is less in it than one could serve
     * @param  int|null  $useBy  the last day that is printed on a bought jar
     */
    public function __construct(
        public Method $method,
        public ?Cover $cover,
        public int $day,
        public bool $isWarm,
        public RipeningDays $ripening,
        public Hazards $hazards,
        public ShelfLife $shelfLife,
        public bool $isLive,
        public bool $isNothing,
        public CareRecord $record,
        public ?int $useBy = null,
    ) {}
}
