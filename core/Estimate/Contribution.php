<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

/**
 * What one uncertain input adds to a band.
 */
final readonly class Contribution
{
    /**
     * @param  float  $below  how far the result falls at the input's worse end, in the result's unit, at least 0
     * @param  float  $above  how far the result rises at its other end, at least 0
     * @param  float  $share  its part of the band's variance, 0 to 1
     */
    public function __construct(
        public Uncertain $input,
        public float $below,
        public float $above,
        public float $share,
    ) {}
}
