<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Measure\Seconds;

/**
 * What is done with the vegetable before it is packed.
 */
final readonly class Pretreatment
{
    /**
     * @param  Seconds|null  $salting  how long it rests or soaks before it is drained or, quickly pickled, eaten; null:
     *     as long as its method takes
     * @param  Seconds|null  $rinse  under the tap after salting; null: it is not rinsed
     */
    public function __construct(
        public ?Seconds $salting = null,
        public ?Seconds $rinse = null,
        public bool $isSqueezed = false,
    ) {}
}
