<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Account\SignedIn;
use App\Household\Access;
use App\Household\AccessRules;
use App\Household\CurrentHousehold;
use App\Models\AccessToken;
use App\Models\Household;
use App\Models\Membership;
use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/**
 * Binds the request to a kitchen: the one that the cook's session has open, or the one that a token was made for. What
 * the request asks for has to be within what both the cook and the token may do there.
 */
final readonly class BindHousehold
{
    public function __construct(private CurrentHousehold $current) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $route = $request->route();
        $address = [$request->method(), $route instanceof Route ? $route->uri() : ''];
        [$user, $household, $most] = $request->bearerToken() === null ? self::bySession($request) : self::byToken();
        $access = Membership::of($household)->where('user_id', $user->id)->first()?->access;
        if ($access === null) {
            throw new AuthenticationException();
        }
        $access = $access->within($most);
        $why = match (true) {
            $request->bearerToken() !== null && AccessRules::isOnesOwn(...$address) => 'errors.may_not_by_token',
            !$access->covers(AccessRules::of(...$address)) => "errors.may_{$access->value}",
            $household->is_demo && !AccessRules::isOpenInDemo(...$address) => 'errors.may_not_in_demo',
            default => null,
        };
        if ($why !== null) {
            throw new AccessDeniedHttpException($why);
        }
        $this->current->set($household, $access);

        return $next($request);
    }

    /** @return array{User, Household, Access} */
    private static function bySession(Request $request): array
    {
        $user = SignedIn::user($request) ?? throw new AuthenticationException();

        return [$user, $user->household, Access::Keep];
    }

    /** @return array{User, Household, Access} */
    private static function byToken(): array
    {
        Auth::shouldUse('sanctum');
        $user = Auth::user();
        $token = $user instanceof User ? $user->currentAccessToken() : null;
        if (!($user instanceof User) || !($token instanceof AccessToken)) {
            throw new AuthenticationException();
        }

        return [$user, Household::query()->findOrFail($token->household_id), $token->access()];
    }
}
