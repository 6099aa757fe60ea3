<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * What one may want to do with a jar that needs more than time in the cold.
 */
enum ReleasePurpose: string
{
    case Bottle = 'bottle';
    case StoreOut = 'store_out';
    case GiveAway = 'give_away';

    public function label(): string
    {
        return match ($this) {
            self::Bottle => 'Bottle it',
            self::StoreOut => 'Keep it out of the fridge',
            self::GiveAway => 'Give it away',
        };
    }
}
