<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * A jar as one sees it from before the shelf.
 */
final readonly class ShelfSnapshot
{
    /**
     * @param  int  $day  whole days since it was begun
     * @param  float  $aboveBrineMm  how far its food stands above its liquid
     * @param  int|null  $longSince  whole days since it is past its window, negative before; null where nothing ripens
     * @param  int  $servings  that are left
     * @param  bool  $isNothing  whether there is less in it than one could serve
     */
    public function __construct(
        public int $day,
        public float $aboveBrineMm,
        public ?int $longSince,
        public int $servings,
        public bool $isNothing,
    ) {}
}
