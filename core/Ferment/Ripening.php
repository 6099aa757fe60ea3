<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

use Tempesal\Core\Measure\Celsius;

/**
 * How much faster a batch ripens when it is warmer: rates scale with Q10^((T - T_ref) / 10), in the cold with a steeper
 * slope of its own.
 *
 * Kraut takes 3 to 4 weeks at 70-75 °F and 5 to 6 weeks at 60-65 °F (USDA Complete Guide to Home Canning, National
 * Center for Home Food Preservation; from memory). The pair gives Q10 = 2.25.
 *
 * Below 12 °C that slope would be too flat: a kimchi that takes four days at 18 °C takes three weeks at 4 °C (common
 * practice, no source). The six degrees down to 12 °C account for a factor of 1.63, so that the eight below it must
 * account for 3.23.
 */
final class Ripening
{
    public const Q10 = 2.25;

    public const COLD_Q10 = 4.33;

    /** Degrees Celsius below which the cold slope holds. */
    public const COLD_CELSIUS = 12.0;

    /** Degrees Celsius to which times are said. */
    public const REFERENCE_CELSIUS = 21.0;

    /** The rate at a temperature over that at the reference, dimensionless. */
    public static function factor(Celsius $temperature): float
    {
        $mild = max($temperature->value, self::COLD_CELSIUS) - self::REFERENCE_CELSIUS;
        $cold = min($temperature->value - self::COLD_CELSIUS, 0.0);

        return self::Q10 ** ($mild / 10.0) * self::COLD_Q10 ** ($cold / 10.0);
    }

    /**
     * The temperature at which things ripen at a rate.
     *
     * @param  float  $rate  over that at the reference, above 0
     */
    public static function temperature(float $rate): Celsius
    {
        $turn = self::Q10 ** ((self::COLD_CELSIUS - self::REFERENCE_CELSIUS) / 10.0);

        return Celsius::of(
            $rate >= $turn
                ? self::REFERENCE_CELSIUS + (10.0 * log($rate)) / log(self::Q10)
                : self::COLD_CELSIUS + (10.0 * log($rate / $turn)) / log(self::COLD_Q10),
        );
    }
}
