<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Message\Message;

/**
 * How far a cook wants a batch to go before it counts as ready.
 */
enum Aim: string
{
    case Young = 'young';
    case Middle = 'middle';
    case Long = 'long';
    case Own = 'own';

    public function label(): Message
    {
        return Message::of("aim.{$this->value}");
    }
}
