<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

use Tempesal\Core\Measure\Celsius;

/**
 * How much faster a batch ripens when it is warmer: rates scale with Q10^((T - T_ref) / 10).
 *
 * Kraut takes 3 to 4 weeks at 70-75 °F and 5 to 6 weeks at 60-65 °F (USDA Complete Guide to Home Canning, National
 * Center for Home Food Preservation; from memory). The pair gives Q10 = 2.25.
 */
final class Ripening
{
    public const Q10 = 2.25;

    /** Degrees Celsius to which times are said. */
    public const REFERENCE_CELSIUS = 21.0;

    /** The rate at a temperature over that at the reference, dimensionless. */
    public static function factor(Celsius $temperature): float
    {
        return self::Q10 ** (($temperature->value - self::REFERENCE_CELSIUS) / 10.0);
    }
}
