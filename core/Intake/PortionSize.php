<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * Portions as they are weighed out: pieces in steps of 5 g and no less than 10 g, a sauce or brine in steps of 1 g and
 * no less than 3 g. Common practice, no source.
 */
final readonly class PortionSize
{
    private const ROUNDING = 1e-6;

    private const SHARES = [0.75, 0.5, 0.25];

    /** A sauce or brine of which so much is usual is a drink. */
    private const GLASS_G = 60.0;

    private const LIVE_SPOON_G = 5.0;

    private function __construct(private float $leastG, private float $stepG) {}

    public static function of(Phase $phase): self
    {
        return $phase === Phase::Pieces ? new self(10.0, 5.0) : new self(3.0, 1.0);
    }

    /**
     * Grams of a smaller portion that keeps at most a share of another, or is the least there is; null where it would
     * be no smaller.
     */
    public function smaller(float $grams, float $share): ?float
    {
        $less = max($this->leastG, $this->down($grams * max(0.0, $share)));

        return $less < $grams - self::ROUNDING ? $less : null;
    }

    /**
     * Grams of the most that can be served without passing an amount of sodium; 0 where not even the least portion can.
     *
     * @param  Serve  $plate  a portion of it, of any weight
     * @param  float  $milligrams  of sodium that there is room for
     * @param  float  $leftG  grams that are left in the jar
     */
    public static function most(BatchState $state, Serve $plate, float $milligrams, float $leftG): float
    {
        $size = self::of($plate->phase);
        // Sodium grows with the weight, though not evenly where brine runs out: taken at the least portion, then made
        // sure of.
        $has = $plate->weighing(Grams::of($size->leastG))->sodiumMg($state, Point::typical());
        $grams = $has <= 0.0 ? $leftG : min($leftG, ($size->leastG * max(0.0, $milligrams)) / $has);
        for ($grams = $size->down($grams); $grams >= $size->leastG; $grams -= $size->stepG) {
            if (
                $plate->weighing(Grams::of($grams))->sodiumMg($state, Point::typical()) <=
                $milligrams + self::ROUNDING
            ) {
                return $grams;
            }
        }

        return 0.0;
    }

    /**
     * The sizes in which a plan offers less than a usual portion: three quarters, half, a quarter.
     *
     * @return list<float> grams, the largest first, each smaller than the usual one
     */
    public function sizes(float $usual): array
    {
        $size = $this->ofGlass($usual);
        $sizes = [];
        foreach (self::SHARES as $share) {
            $grams = round(($usual * $share) / $size->stepG) * $size->stepG;
            if ($grams >= $size->leastG && $grams < $usual - self::ROUNDING) {
                $sizes[] = $grams;
            }
        }

        return array_values(array_unique($sizes));
    }

    /** Grams from which on a portion counts as a live one. */
    public function liveFrom(float $usual): float
    {
        return min(
            $usual,
            $this->stepG < 5.0 && $usual < self::GLASS_G ? self::LIVE_SPOON_G : $this->ofGlass($usual)->leastG,
        );
    }

    /** What is drunk by the glass is measured in larger steps than what comes by the spoon. */
    private function ofGlass(float $usual): self
    {
        return $this->stepG < 5.0 && $usual >= self::GLASS_G ? new self(30.0, 5.0) : $this;
    }

    private function down(float $grams): float
    {
        return floor($grams / $this->stepG + self::ROUNDING) * $this->stepG;
    }
}
