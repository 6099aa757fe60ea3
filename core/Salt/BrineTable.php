<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;

/**
 * Density of sodium chloride solutions at 20 °C by brine strength (salt / (salt + water)).
 * CRC Handbook of Chemistry and Physics, from memory; straight lines between the rows.
 */
final class BrineTable
{
    /** Brine strength in percent => g/ml. */
    private const G_PER_ML = [
        0 => 0.9982,
        1 => 1.0053,
        2 => 1.0125,
        3 => 1.0196,
        4 => 1.0268,
        5 => 1.034,
        6 => 1.0413,
        8 => 1.0559,
        10 => 1.0707,
        12 => 1.0857,
        15 => 1.1085,
        20 => 1.1478,
        26 => 1.1972,
    ];

    /**
     * @param  float  $brineStrength  salt / (salt + water), 0 to 1; past saturation the densest row counts
     * @return float g/ml
     */
    public static function density(float $brineStrength): float
    {
        $percent = $brineStrength * 100.0;
        $lowerStrength = 0;
        $lowerDensity = self::G_PER_ML[0];
        foreach (self::G_PER_ML as $strength => $density) {
            if ($percent <= $strength) {
                return $strength === $lowerStrength
                    ? $density
                    : $lowerDensity +
                            (($density - $lowerDensity) * ($percent - $lowerStrength)) / ($strength - $lowerStrength);
            }
            [$lowerStrength, $lowerDensity] = [$strength, $density];
        }

        return $lowerDensity;
    }

    /** The volume that salt and water fill together once dissolved. */
    public static function volume(Grams $salt, Grams $water): Millilitres
    {
        $mass = $salt->value + $water->value;

        return Millilitres::of($mass === 0.0 ? 0.0 : $mass / self::density($salt->value / $mass));
    }

    /** The weight of a brine of this strength that fills the volume. */
    public static function mass(Millilitres $volume, float $brineStrength): Grams
    {
        return Grams::of($volume->value * self::density($brineStrength));
    }
}
