<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

/**
 * How a vegetable is cut. Packing fractions (share of the space that packed pieces fill) are common practice, no source.
 */
enum PieceShape: string
{
    case Shreds = 'shreds';
    case Leaves = 'leaves';
    case Sticks = 'sticks';
    case Florets = 'florets';
    case Rings = 'rings';
    case Chunks = 'chunks';
    case Whole = 'whole';
    case Pulp = 'pulp';

    public function packing(): float
    {
        return match ($this) {
            self::Shreds => 0.885,
            self::Leaves => 0.85,
            self::Sticks => 0.65,
            self::Florets => 0.50,
            self::Rings, self::Chunks => 0.60,
            self::Whole => 0.55,
            self::Pulp => 0.97,
        };
    }
}
