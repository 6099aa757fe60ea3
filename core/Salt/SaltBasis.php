<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

/**
 * What a percentage of salt is a percentage of.
 */
enum SaltBasis: string
{
    /** salt / water */
    case OfWater = 'of_water';
    /** salt / (salt + water) */
    case BrineStrength = 'brine_strength';
    /** salt / vegetable */
    case OfVegetable = 'of_vegetable';
    /** salt / (vegetable + water + other ingredients) */
    case OfEverything = 'of_everything';

    public function label(): string
    {
        return match ($this) {
            self::OfWater => 'of the water',
            self::BrineStrength => 'brine strength',
            self::OfVegetable => 'of the vegetable',
            self::OfEverything => 'of everything',
        };
    }
}
