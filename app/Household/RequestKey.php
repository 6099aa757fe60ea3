<?php

declare(strict_types=1);

namespace App\Household;

/**
 * Keys by which a second press of a button is known.
 */
final class RequestKey
{
    /** A key of its own for each of several things that one press does; always the same for the same number. */
    public static function numbered(string $key, int $number): string
    {
        return substr(strtoupper(hash('sha256', "{$key} {$number}")), 0, 26);
    }
}
