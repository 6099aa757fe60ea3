<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * A pH that was read, and how far it can be off. Strips tell steps, not hundredths, so that they count down to 4.0
 * only; a meter is as good as its last calibration.
 */
final readonly class AcidReading
{
    /** A cheap meter that was calibrated: common practice, no source. */
    public const METER_MARGIN = 0.1;

    private const ROUNDING = 1e-9;

    /**
     * @param  float  $ph  as it was read
     * @param  bool  $isByMeter  otherwise by strips, or nobody said by what
     * @param  float  $margin  of the meter, in pH
     * @param  int  $daysAgo  when it was read
     */
    public function __construct(public float $ph, public bool $isByMeter, public float $margin, public int $daysAgo) {}

    /** Whether it is at or below a line, its margin counted. */
    public function isAtMost(float $line): bool
    {
        return $this->isByMeter
            ? $this->highest() <= $line + self::ROUNDING
            : $this->ph <= min($line, ReleaseCheck::CAREFUL_PH) + self::ROUNDING;
    }

    /** The highest that it may be by a meter. */
    public function highest(): float
    {
        return $this->ph + $this->margin;
    }
}
