<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

use Tempesal\Core\Measure\Celsius;

/**
 * How temperature speeds salt up: D(T) = D20 exp(-(Ea / R) (1 / T - 1 / 293.15 K)).
 */
final class Diffusivity
{
    /** Activation energy in J/mol, from memory. */
    private const ACTIVATION = 20_000.0;

    /** Molar gas constant in J/(mol K), 2019 SI. */
    private const GAS_CONSTANT = 8.314462618;

    private const REFERENCE_KELVIN = 20.0 + Celsius::KELVIN_AT_ZERO;

    /** D(T) / D20, dimensionless. */
    public static function factor(Celsius $temperature): float
    {
        return exp(
            (-self::ACTIVATION / self::GAS_CONSTANT) * (1.0 / $temperature->kelvin() - 1.0 / self::REFERENCE_KELVIN),
        );
    }
}
