<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Message\Message;

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

    public function label(): Message
    {
        return Message::of("salt_basis.{$this->value}");
    }

    /** "3 % of the water" */
    public function strength(float $percent): Message
    {
        return Message::of("strength.{$this->value}", percent: $percent);
    }
}
