<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

use InvalidArgumentException;
use Tempesal\Core\TempesalException;

/**
 * A number that cannot be the quantity it was given for.
 */
final class InvalidQuantity extends InvalidArgumentException implements TempesalException
{
    public static function notFinite(string $what): self
    {
        return new self("{$what} must be an ordinary number.");
    }

    public static function belowLeast(string $what, string $least): self
    {
        return new self("{$what} cannot be less than {$least}.");
    }

    public static function aboveMost(string $what, string $most): self
    {
        return new self("{$what} cannot be more than {$most} here.");
    }

    public static function moreThanThereIs(string $what): self
    {
        return new self("{$what} cannot be taken from less than itself.");
    }

    public static function bandOutOfOrder(): self
    {
        return new self('A band runs from its low over its typical to its high value.');
    }

    public static function notUnderstood(string $typed, string $hint): self
    {
        return new self(sprintf('"%s" is not an amount Tempesal can read. %s', mb_strimwidth($typed, 0, 40, '…'), $hint));
    }
}
