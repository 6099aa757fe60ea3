<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * A jar as one sees it from before the shelf.
 */
final readonly class Glance
{
    /**
     * @param  int  $day  whole days since it was begun
     * @param  float  $aboveBrineMm  how far its food stands above its liquid
     * @param  int|null  $youngSince  whole days since it may be tasted, negative before; null where nothing ripens
     * @param  int|null  $readySince  whole days since it is ready
     * @param  int|null  $longSince  whole days since it is past its window
     * @param  int  $servings  that are left
     * @param  bool  $isNothing  whether there is less in it than one could serve
     * @param  bool  $isWarm  whether it stands where it ferments, not in the fridge
     */
    public function __construct(
        public int $day,
        public float $aboveBrineMm,
        public ?int $youngSince,
        public ?int $readySince,
        public ?int $longSince,
        public int $servings,
        public bool $isNothing,
        public bool $isWarm,
    ) {
    }
}
