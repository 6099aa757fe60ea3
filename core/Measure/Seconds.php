<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A length of time in seconds.
 */
final readonly class Seconds extends Quantity
{
    /** @throws InvalidQuantity */
    public static function ofHours(float $hours): self
    {
        return self::of($hours * 3600.0);
    }

    /** @throws InvalidQuantity */
    public static function ofDays(float $days): self
    {
        return self::of($days * 86_400.0);
    }

    protected static function unit(): string
    {
        return 's';
    }

    protected static function most(): float
    {
        return 3_650.0 * 86_400.0;
    }
}
