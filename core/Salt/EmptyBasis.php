<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use DomainException;
use Tempesal\Core\Message\Explains;
use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;

/**
 * A percentage of something that is not in the jar.
 */
final class EmptyBasis extends DomainException implements TempesalException
{
    use Explains;

    public static function nothingToBe(SaltBasis $basis): self
    {
        return new self(Message::of('errors.empty_basis'));
    }

    public static function tooStrong(): self
    {
        return new self(Message::of('errors.pure_salt'));
    }
}
