<?php

declare(strict_types=1);

namespace App\Household;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/**
 * A row that lets in whoever knows its secret, until it ends. The secret is kept encrypted, to be shown again to those who
 * made it, and is looked up by its hash. For rows with the columns "secret", "secret_hash" and "expires_at".
 */
trait FoundBySecret
{
    /** The one with this secret, whichever kitchen's; null where it was withdrawn or has ended. */
    public static function withSecret(string $secret): ?self
    {
        return self::query()
            ->withoutGlobalScopes()
            ->where('secret_hash', hash('sha256', $secret))
            ->where('expires_at', '>', CarbonImmutable::now())
            ->first();
    }

    /** @return array{secret: string, secret_hash: string} */
    private static function newSecret(): array
    {
        $secret = Str::random(40);

        return ['secret' => $secret, 'secret_hash' => hash('sha256', $secret)];
    }
}
