<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

/**
 * The acid that a live batch is likely to have by now. A rough guide, never a clearance: a reading always wins.
 *
 *     pH(t) = pH_end + (pH_0 - pH_end) / (1 + (t / tau)^2)
 *
 * The constants are common practice, no source.
 */
final class ExpectedAcid
{
    private const START = 6.0;

    private const END = 3.5;

    /** Seconds at the reference temperature and the usual salt. */
    private const TAU_S = 3.0 * 86_400.0;

    /** Brine strength at which the time is said, and by how much each further hundredth slows it. */
    private const USUAL_STRENGTH = 0.02;

    private const SLOWER_PER_HUNDREDTH = 0.1;

    /**
     * @param  float  $ripenedS  seconds at the reference temperature
     * @param  float  $brineStrength  salt / (salt + water) of the whole batch, 0 to 1
     * @return float pH, dimensionless
     */
    public static function ph(float $ripenedS, float $brineStrength): float
    {
        return self::END + (self::START - self::END) / (1.0 + ($ripenedS / self::tau($brineStrength)) ** 2);
    }

    /**
     * The acid that follows from a reading: the same way goes on from where the reading found it.
     *
     * @param  float  $reading  pH that was read
     * @param  float  $sinceS  seconds at the reference temperature since then
     * @param  float  $brineStrength  salt / (salt + water) of the whole batch, 0 to 1
     * @return float pH, dimensionless
     */
    public static function after(float $reading, float $sinceS, float $brineStrength): float
    {
        if ($reading <= self::END) {
            return $reading;
        }
        $covered =
            $reading >= self::START
                ? 0.0
                : self::tau($brineStrength) * sqrt((self::START - $reading) / ($reading - self::END));

        return self::ph($covered + $sinceS, $brineStrength);
    }

    private static function tau(float $brineStrength): float
    {
        return self::TAU_S *
            (1.0 + self::SLOWER_PER_HUNDREDTH * max(0.0, ($brineStrength - self::USUAL_STRENGTH) * 100.0));
    }
}
