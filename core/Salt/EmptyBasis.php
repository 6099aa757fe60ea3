<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use DomainException;
use Tempesal\Core\TempesalException;

/**
 * A percentage of something that is not in the jar.
 */
final class EmptyBasis extends DomainException implements TempesalException
{
    public static function nothingToBe(SaltBasis $basis): self
    {
        return new self(sprintf('There is nothing in the jar yet for a percentage "%s".', $basis->label()));
    }

    public static function tooStrong(): self
    {
        return new self('A brine strength of 100 % would be salt without water.');
    }
}
