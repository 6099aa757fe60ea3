<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * Sodium (the element, not the salt) in milligrams.
 */
final readonly class MilligramsSodium extends Quantity
{
    protected static function unit(): string
    {
        return 'mg';
    }

    protected static function most(): float
    {
        return 400_000_000.0;
    }
}
