<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A volume in millilitres.
 */
final readonly class Millilitres extends Quantity
{
    /** @throws InvalidQuantity */
    public static function ofUnit(float $amount, VolumeUnit $unit): self
    {
        return self::of($amount * $unit->millilitres());
    }

    protected static function unit(): string
    {
        return 'ml';
    }
}
