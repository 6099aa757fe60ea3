<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\UptakeSeries;

/**
 * Sodium moving between pieces and the brine around them.
 *
 * Each new bath starts from evenly spread sodium. Within one, time adds up: a rest of ten hours and two of five end at
 * the same, because what is left of the way is carried on from the time already bathed.
 */
final class Diffusion
{
    /** What is left of the way counts as none below this. */
    private const THERE = 1e-9;

    /**
     * Sodium, in mg, that the pieces hold at rest. The sodium per gram of water is then the same on both sides,
     * but for the partition coefficient K: c = (Na_pieces + Na_brine) / (W_brine + K W_pieces).
     */
    public static function atEquilibrium(Composition $pieces, Composition $brine, float $partition = 1.0): float
    {
        $water = $brine->waterG + $partition * $pieces->waterG;

        return $water > 0.0
            ? ($partition * $pieces->waterG * ($pieces->sodiumMg + $brine->sodiumMg)) / $water
            : $pieces->sodiumMg;
    }

    /** The state at rest: sodium evened out. */
    public static function settle(BatchState $state, ?Piece $piece = null): BatchState
    {
        return self::towards($state, 1.0, ($piece ?? $state->piece)->partition ?? 1.0, INF);
    }

    /**
     * The state after a time in the bath, section by section of the way.
     *
     * @param  Piece|null  $piece  null: the pieces that are in the jar
     * @param  float  $secondsAt20  seconds at 20 °C in which salt would go as far
     */
    public static function during(BatchState $state, ?Piece $piece, float $secondsAt20, Point $point): BatchState
    {
        $piece ??= $state->piece;
        $pieceWater = $state->phase(Phase::Pieces)->waterG;
        if ($piece === null || $pieceWater <= 0.0 || $secondsAt20 <= 0.0) {
            return $state;
        }
        $alpha = $state->phase(Phase::Brine)->waterG / ($piece->partition * $pieceWater);
        $bathed = $state->bathedFor + $secondsAt20;
        $leftBefore = $state->bathedFor === 0.0 ? 1.0 : self::left($piece, $state->bathedFor, $alpha, $point);
        $share = $leftBefore < self::THERE ? 1.0 : 1.0 - self::left($piece, $bathed, $alpha, $point) / $leftBefore;

        return self::towards($state, $share, $piece->partition, $bathed);
    }

    /** What is left, 0 to 1, of the way to rest after a time in a fresh bath. */
    private static function left(Piece $piece, float $secondsAt20, float $alpha, Point $point): float
    {
        return is_infinite($secondsAt20)
            ? 0.0
            : 1.0 - UptakeSeries::share($piece->form, $piece->fourier($secondsAt20, $point), $alpha);
    }

    private static function towards(BatchState $state, float $share, float $partition, float $bathedFor): BatchState
    {
        $pieces = $state->phase(Phase::Pieces);
        $inwards = $share * (self::atEquilibrium($pieces, $state->phase(Phase::Brine), $partition) - $pieces->sodiumMg);

        return $state->takeUp($inwards, $bathedFor);
    }
}
