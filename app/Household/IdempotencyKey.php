<?php

declare(strict_types=1);

namespace App\Household;

use App\Models\AnsweredRequest;
use Carbon\CarbonImmutable;

/**
 * Keys by which a second press of a button is known.
 */
final class IdempotencyKey
{
    /** A key of its own for each of several things that one press does; always the same for the same number. */
    public static function numbered(string $key, int $number): string
    {
        return substr(strtoupper(hash('sha256', "{$key} {$number}")), 0, 26);
    }

    /**
     * Says that what was written with a key was undone: the key writes nothing any more, and its answer no longer
     * holds.
     */
    public static function spend(?string $key): void
    {
        if ($key !== null) {
            AnsweredRequest::query()
                ->where('key', $key)
                ->where('spent_at', null)
                ->update(['spent_at' => CarbonImmutable::now()]);
        }
    }
}
