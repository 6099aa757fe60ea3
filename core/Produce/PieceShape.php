<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Uptake\PieceForm;

/**
 * How a vegetable is cut. Packing fractions (share of the space that packed pieces fill) and sizes are common practice,
 * no source.
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
            self::Florets => 0.5,
            self::Rings, self::Chunks => 0.6,
            self::Whole => 0.55,
            self::Pulp => 0.97,
        };
    }

    /** The body that stands for such a piece when salt moves into it. */
    public function form(): PieceForm
    {
        return match ($this) {
            self::Shreds, self::Leaves, self::Rings => PieceForm::Sheet,
            self::Sticks, self::Whole => PieceForm::Cylinder,
            self::Florets, self::Chunks, self::Pulp => PieceForm::Sphere,
        };
    }

    /** Half the thickness, or the radius. */
    public function reach(): Millimetres
    {
        return Millimetres::of(
            match ($this) {
                self::Shreds, self::Pulp => 1.0,
                self::Leaves => 1.5,
                self::Rings => 3.0,
                self::Sticks => 6.0,
                self::Florets, self::Chunks => 10.0,
                self::Whole => 16.0,
            },
        );
    }
}
