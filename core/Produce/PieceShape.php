<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\Tissue;

/**
 * How a vegetable is cut. Packing fractions (share of the space that packed pieces fill) and sizes are common practice,
 * no source.
 */
enum PieceShape: string
{
    case Shreds = 'shreds';
    case Leaves = 'leaves';
    /** The thin part of leaves, where their ribs count apart. */
    case Leaf = 'leaf';
    /** The thick part of leaves. */
    case Ribs = 'ribs';
    case Sticks = 'sticks';
    case Florets = 'florets';
    case Rings = 'rings';
    case Chunks = 'chunks';
    case Whole = 'whole';
    case Pulp = 'pulp';

    /** Ribs of a head of napa or pak choi, as a share of its weight: common practice, no source. */
    private const RIBS = 0.45;

    public function packing(): float
    {
        return match ($this) {
            self::Shreds => 0.885,
            self::Leaves, self::Leaf => 0.85,
            self::Sticks, self::Ribs => 0.65,
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
            self::Shreds, self::Leaves, self::Leaf, self::Ribs, self::Rings => PieceForm::Sheet,
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
                self::Leaf => 0.75,
                self::Ribs => 4.0,
                self::Rings => 3.0,
                self::Sticks => 6.0,
                self::Florets, self::Chunks => 10.0,
                self::Whole => 16.0,
            },
        );
    }

    /** "rib" */
    public function label(): Message
    {
        return Message::of("shape.{$this->value}");
    }

    /** What the tissue of a food is in this cut: whole cucumbers keep the skin that slows salt down. */
    public function tissue(Tissue $tissue): Tissue
    {
        return $tissue === Tissue::CutCucumber && $this === self::Whole ? Tissue::SkinnedCucumber : $tissue;
    }

    /**
     * The parts that such a cut comes in where nobody says otherwise; none: all alike.
     *
     * @return list<CutShare>
     */
    public function usualParts(Tissue $tissue): array
    {
        return $this === self::Leaves && $tissue === Tissue::RibbedLeaf
            ? [new CutShare(self::Leaf, 1.0 - self::RIBS), new CutShare(self::Ribs, self::RIBS)]
            : [];
    }
}
