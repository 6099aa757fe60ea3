<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Household\CurrentHousehold;
use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Binds the request to the signed-in cook's household.
 */
final readonly class BindHousehold
{
    public function __construct(private CurrentHousehold $current) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (!($user instanceof User)) {
            throw new AuthenticationException();
        }
        $this->current->set($user->household);

        return $next($request);
    }
}
