<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * Units of volume. US customary units are exact from the gallon of 231 cubic inches
 * (NIST Handbook 44, appendix C); the metric spoons are 5, 15 and 250 ml, the Australian tablespoon 20 ml.
 */
enum VolumeUnit: string
{
    case Millilitre = 'ml';
    case Centilitre = 'cl';
    case Decilitre = 'dl';
    case Litre = 'l';
    case UsTeaspoon = 'tsp';
    case UsTablespoon = 'tbsp';
    case UsFluidOunce = 'fl oz';
    case UsCup = 'cup';
    case UsPint = 'pint';
    case UsQuart = 'quart';
    case UsGallon = 'gallon';
    case Pinch = 'pinch';
    case Dash = 'dash';
    case MetricTeaspoon = 'metric tsp';
    case MetricTablespoon = 'metric tbsp';
    case MetricCup = 'metric cup';
    case AustralianTablespoon = 'Australian tbsp';
    case ImperialPint = 'imperial pint';

    /** Cubic inch to millilitre is exact, since the inch is 25.4 mm. */
    private const US_GALLON_ML = 231 * 16.387064;

    public function millilitres(): float
    {
        return match ($this) {
            self::Millilitre => 1.0,
            self::Centilitre => 10.0,
            self::Decilitre => 100.0,
            self::Litre => 1000.0,
            self::UsTeaspoon => self::US_GALLON_ML / 768,
            self::UsTablespoon => self::US_GALLON_ML / 256,
            self::UsFluidOunce => self::US_GALLON_ML / 128,
            self::UsCup => self::US_GALLON_ML / 16,
            self::UsPint => self::US_GALLON_ML / 8,
            self::UsQuart => self::US_GALLON_ML / 4,
            self::UsGallon => self::US_GALLON_ML,
            self::Pinch => self::US_GALLON_ML / 768 / 16,
            self::Dash => self::US_GALLON_ML / 768 / 8,
            self::MetricTeaspoon => 5.0,
            self::MetricTablespoon => 15.0,
            self::MetricCup => 250.0,
            self::AustralianTablespoon => 20.0,
            self::ImperialPint => 568.26125,
        };
    }

    /** Whether the unit is a measuring spoon, which can be level, rounded or heaped. */
    public function isSpoon(): bool
    {
        return in_array(
            $this,
            [
                self::UsTeaspoon,
                self::UsTablespoon,
                self::MetricTeaspoon,
                self::MetricTablespoon,
                self::AustralianTablespoon,
            ],
            true,
        );
    }
}
