<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

use InvalidArgumentException;
use Tempesal\Core\Message\Explains;
use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;

/**
 * A number that cannot be the quantity it was given for.
 */
class InvalidQuantity extends InvalidArgumentException implements TempesalException
{
    use Explains;

    public static function notFinite(): self
    {
        return new self(Message::of('errors.quantity_finite'));
    }

    public static function belowLeast(float $least, string $unit): self
    {
        return new self(Message::of('errors.quantity_least', least: $least, unit: $unit));
    }

    public static function aboveMost(float $most, string $unit): self
    {
        return new self(Message::of('errors.quantity_most', most: $most, unit: $unit));
    }

    public static function moreThanThereIs(): self
    {
        return new self(Message::of('errors.quantity_negative'));
    }

    public static function bandOutOfOrder(): self
    {
        return new self(Message::of('errors.band_order'));
    }
}
