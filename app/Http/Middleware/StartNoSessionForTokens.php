<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Symfony\Component\HttpFoundation\Response;

/**
 * A script shows its token with every request; nothing has to be remembered from one to the next.
 */
final class StartNoSessionForTokens
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->bearerToken() !== null) {
            Config::set('session.driver', 'array');
            $request->cookies->replace();
        }

        return $next($request);
    }
}
