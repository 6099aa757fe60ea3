<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A temperature in degrees Celsius, as kitchens know them.
 */
final readonly class Celsius extends Quantity
{
    public const KELVIN_AT_ZERO = 273.15;

    public function kelvin(): float
    {
        return $this->value + self::KELVIN_AT_ZERO;
    }

    protected static function unit(): string
    {
        return '°C';
    }

    protected static function least(): float
    {
        return -30.0;
    }

    protected static function most(): float
    {
        return 150.0;
    }
}
