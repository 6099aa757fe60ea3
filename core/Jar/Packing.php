<?php

declare(strict_types=1);

namespace Tempesal\Core\Jar;

use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;

/**
 * How a jar is to be filled: the air left on top, the weight that holds the food down, the spare brine.
 */
final readonly class Packing
{
    /** Spare brine that is mixed but not needed for the jar: common practice, no source. */
    public const SPARE_BRINE = 0.1;

    /**
     * @param  float|null  $fraction  share of the room that this food as cut fills in this kitchen, 0 to 1; null: as such
     *     pieces usually do
     */
    public function __construct(
        public Millimetres $headspace,
        public Millilitres $weightVolume,
        public float $spareBrine = self::SPARE_BRINE,
        public ?float $fraction = null,
    ) {}
}
