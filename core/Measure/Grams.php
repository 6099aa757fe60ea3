<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A weight in grams, from nothing to a tonne.
 */
final readonly class Grams extends Quantity
{
    /** @throws InvalidQuantity */
    public static function ofUnit(float $amount, MassUnit $unit): self
    {
        return self::of($amount * $unit->grams());
    }

    protected static function unit(): string
    {
        return 'g';
    }
}
