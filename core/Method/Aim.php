<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

/**
 * How far a cook wants a batch to go before it counts as ready.
 */
enum Aim: string
{
    case Young = 'young';
    case Middle = 'middle';
    case Long = 'long';
    case Own = 'own';

    public function label(): string
    {
        return match ($this) {
            self::Young => 'young and crunchy',
            self::Middle => 'in the middle',
            self::Long => 'long and sour',
            self::Own => 'as we liked it best',
        };
    }
}
