<?php

declare(strict_types=1);

namespace App\Console;

use RuntimeException;

/**
 * A document that a door does not let in: the path of the field and the reason.
 */
final class InputError extends RuntimeException
{
    public static function at(string $path, string $reason): self
    {
        return new self($path === '' ? $reason : "{$path}: {$reason}");
    }
}
