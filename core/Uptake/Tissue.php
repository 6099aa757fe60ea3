<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * How easily salt moves inside a kind of piece. Diffusion coefficients at 20 °C are from memory, the order of magnitude
 * of published brining work; the band halves and doubles them.
 */
enum Tissue: string
{
    /** Shredded or massaged leaf. */
    case BruisedLeaf = 'bruised_leaf';
    /** Leaf pieces with their cuticle. */
    case WholeLeaf = 'whole_leaf';
    /** Leaves with thick ribs, cut across: napa, pak choi. */
    case RibbedLeaf = 'ribbed_leaf';
    case CutCucumber = 'cut_cucumber';
    case SkinnedCucumber = 'skinned_cucumber';
    case Root = 'root';
    case Onion = 'onion';
    case SplitChilli = 'split_chilli';
    case Floret = 'floret';
    case GarlicClove = 'garlic_clove';

    /** Diffusion coefficient of salt at 20 °C, 1e-10 m²/s. */
    public function diffusivity(): Band
    {
        $typical = match ($this) {
            self::BruisedLeaf, self::RibbedLeaf, self::Root, self::Onion, self::Floret => 5.0,
            self::WholeLeaf, self::SkinnedCucumber, self::GarlicClove => 2.0,
            self::CutCucumber => 6.0,
            self::SplitChilli => 3.0,
        };

        return Band::of($typical / 2.0, $typical, $typical * 2.0);
    }

    public function label(): Message
    {
        return Message::of("tissue.{$this->value}");
    }
}
