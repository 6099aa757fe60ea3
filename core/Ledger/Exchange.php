<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * Sodium moving between pieces and the brine around them.
 */
final class Exchange
{
    /**
     * Sodium, in mg, that the pieces hold at rest. The sodium per gram of water is then the same on both sides,
     * but for the partition coefficient K: c = (Na_pieces + Na_brine) / (W_brine + K W_pieces).
     */
    public static function atEquilibrium(Masses $pieces, Masses $brine, float $partition = 1.0): float
    {
        $water = $brine->waterG + $partition * $pieces->waterG;

        return $water > 0.0 ? $partition * $pieces->waterG * ($pieces->sodiumMg + $brine->sodiumMg) / $water : $pieces->sodiumMg;
    }

    /**
     * The state after a share of the way to equilibrium.
     *
     * @param  float  $share  0 to 1
     */
    public static function towards(BatchState $state, float $share, float $partition = 1.0): BatchState
    {
        $pieces = $state->phase(Phase::Pieces);
        $inwards = $share * (self::atEquilibrium($pieces, $state->phase(Phase::Brine), $partition) - $pieces->sodiumMg);

        return $state->move(new Masses(sodiumMg: $inwards), Phase::Brine, Phase::Pieces);
    }
}
