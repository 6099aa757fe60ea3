<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Message;

/**
 * What a cook can measure on a batch.
 */
enum Reading: string
{
    /** Grams of the pieces, drained. */
    case DrainedWeight = 'drained_weight';
    /** Brine strength by refractometer, salinity meter or strip: salt / (salt + water). */
    case BrineStrength = 'brine_strength';
    /** Milligrams of sodium in 100 g of pieces, by strip or laboratory. */
    case PiecesSodium = 'pieces_sodium';
    /** Milligrams of sodium in 100 g of sauce. */
    case SauceSodium = 'sauce_sodium';

    public function phase(): Phase
    {
        return match ($this) {
            self::DrainedWeight, self::PiecesSodium => Phase::Pieces,
            self::BrineStrength => Phase::Brine,
            self::SauceSodium => Phase::Sauce,
        };
    }

    public function label(): Message
    {
        return Message::of("reading.{$this->value}");
    }

    /** The largest value that can be: a weight in grams, a share, or mg in 100 g. */
    public function most(): float
    {
        return match ($this) {
            self::DrainedWeight => 1_000_000.0,
            self::BrineStrength => SodiumChloride::STRONGEST,
            self::PiecesSodium, self::SauceSodium => 12_000.0,
        };
    }

    /** The sodium, in mg, that a phase holds when this is read of it; its water and other matter stay as they are. */
    public function sodiumMg(Composition $phase, float $value): float
    {
        if ($this === self::BrineStrength) {
            return (SodiumChloride::MG_SODIUM_PER_G * $phase->waterG * $value) / (1.0 - $value);
        }
        $perGram = $value / 100.0;

        return ($perGram * $phase->saltFreeG()) / (1.0 - SodiumChloride::gramsFor($perGram));
    }
}
