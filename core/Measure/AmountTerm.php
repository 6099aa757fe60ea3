<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * One amount with its unit, as it stands in "2 heaped tsp".
 */
final readonly class AmountTerm
{
    public function __construct(
        public float $amount,
        public MassUnit|VolumeUnit|null $unit,
        public SpoonFill $fill = SpoonFill::Level,
    ) {}
}
