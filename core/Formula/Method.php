<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Salt\Basis;

/**
 * A way to bring salt and vegetable together. Usual strengths, headspaces and draws are common practice, no source.
 */
enum Method: string
{
    case DrySalting = 'dry_salting';
    case PouredBrine = 'poured_brine';
    case EquilibriumBrine = 'equilibrium_brine';
    case Mash = 'mash';

    public function label(): string
    {
        return match ($this) {
            self::DrySalting => 'Dry salting',
            self::PouredBrine => 'Poured brine',
            self::EquilibriumBrine => 'Equilibrium brine',
            self::Mash => 'Mash',
        };
    }

    public function note(): string
    {
        return match ($this) {
            self::DrySalting => 'Salt on the cut vegetable; it makes its own juice.',
            self::PouredBrine => 'Salt on the water; the vegetable takes about half of it.',
            self::EquilibriumBrine => 'Salt on vegetable and water together; what you set is what it ends at.',
            self::Mash => 'Chopped or blended, salt on its weight, no water; stir daily in the first week.',
        };
    }

    /** The basis in which its strength is usually said. */
    public function usualBasis(): Basis
    {
        return match ($this) {
            self::DrySalting, self::Mash => Basis::OfVegetable,
            self::PouredBrine => Basis::OfWater,
            self::EquilibriumBrine => Basis::OfEverything,
        };
    }

    public function usualShare(): float
    {
        return match ($this) {
            self::DrySalting => 0.0225,
            self::PouredBrine => 0.03,
            self::EquilibriumBrine => 0.025,
            self::Mash => 0.03,
        };
    }

    public function usualHeadspace(): Millimetres
    {
        return Millimetres::of(match ($this) {
            self::DrySalting => 50.0,
            self::PouredBrine, self::EquilibriumBrine => 20.0,
            self::Mash => 38.0,
        });
    }

    public function hasPouredBrine(): bool
    {
        return $this === self::PouredBrine || $this === self::EquilibriumBrine;
    }

    /** What is served from such a batch. */
    public function servedPhase(): Phase
    {
        return $this === self::Mash ? Phase::Sauce : Phase::Pieces;
    }

    /**
     * Juice drawn out of the pieces, as a share of their weight.
     *
     * @param  float  $brineStrength  of the poured brine; strong ones can shrink the pieces
     */
    public function draw(float $brineStrength): Band
    {
        return match (true) {
            $this === self::DrySalting => Band::of(0.10, 0.20, 0.30),
            $this === self::Mash => Band::exact(0.0),
            $brineStrength < 0.05 => Band::of(-0.03, 0.0, 0.05),
            default => Band::of(-0.03, 0.0, 0.15),
        };
    }
}
