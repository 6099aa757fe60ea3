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

    private function down(float $grams): float
    {
        return floor($grams / $this->stepG + self::ROUNDING) * $this->stepG;
    }
}
