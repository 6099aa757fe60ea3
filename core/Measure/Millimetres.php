<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A length in millimetres.
 */
final readonly class Millimetres extends Quantity
{
    protected static function unit(): string
    {
        return 'mm';
    }

    protected static function most(): float
    {
        return 2_000.0;
    }
}
