<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\Database;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where what is read comes from a copy of the database: whoever has written a moment ago reads from the one that was written
 * to, until the copy has surely caught up.
 */
final class ReadOwnWrites
{
    private const WROTE_AT = 'wrote_at';

    /** How far the copy may be behind, in seconds. */
    private const BEHIND_S = 10;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (!Database::hasCopy()) {
            return $next($request);
        }
        $session = $request->hasSession() ? $request->session() : null;
        $wroteAt = $session?->get(self::WROTE_AT);
        $writes = !$request->isMethodSafe();
        // A script has no session in which it could be known that it wrote.
        if (
            $writes ||
            $session === null ||
            $request->bearerToken() !== null ||
            (is_int($wroteAt) && time() - $wroteAt < self::BEHIND_S)
        ) {
            Database::readFromOriginal();
        }
        if ($writes) {
            $session?->put(self::WROTE_AT, time());
        }

        return $next($request);
    }
}
