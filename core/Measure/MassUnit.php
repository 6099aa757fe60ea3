<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * Units of mass. Pound and ounce are exact: NIST Handbook 44, appendix C.
 */
enum MassUnit: string
{
    case Milligram = 'mg';
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';

    public function grams(): float
    {
        return match ($this) {
            self::Milligram => 0.001,
            self::Gram => 1.0,
            self::Kilogram => 1000.0,
            self::Ounce => 28.349523125,
            self::Pound => 453.59237,
        };
    }
}
