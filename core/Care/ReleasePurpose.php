<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Message\Message;

/**
 * What one may want to do with a jar that needs more than time in the cold.
 */
enum ReleasePurpose: string
{
    case Bottle = 'bottle';
    case StoreOut = 'store_out';
    case GiveAway = 'give_away';

    public function label(): Message
    {
        return Message::of("release_purpose.{$this->value}");
    }
}
