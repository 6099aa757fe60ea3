<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Measure\Band;

/**
 * Brine that clings to pieces, as a share of their weight: common practice, no source.
 */
final class ClingingBrine
{
    /** After draining. */
    public static function drained(): Band
    {
        return Band::of(0.04, 0.07, 0.12);
    }

    /** After squeezing by hand. */
    public static function squeezed(): Band
    {
        return Band::of(0.01, 0.02, 0.04);
    }

    public static function share(Band $film, Point $point): float
    {
        return $point->of(new Uncertain('film', 'film', $film));
    }

    /**
     * The brine beyond the film leaves.
     *
     * @param  Band  $film  share of the pieces' weight that stays
     * @param  float  $keepG  brine, in grams, that is kept at the least
     */
    public static function drain(BatchState $state, Band $film, Point $point, float $keepG = 0.0): BatchState
    {
        $brine = $state->phase(Phase::Brine)->weightG();
        $stays = max(self::share($film, $point) * $state->phase(Phase::Pieces)->weightG(), $keepG);
        $leaves = max(0.0, $brine - $stays);

        return $state
            ->release($state->portion(Phase::Brine, $leaves, $point), Phase::Brine, Account::Discarded)
            ->stirred();
    }
}
