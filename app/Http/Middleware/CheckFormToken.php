<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/**
 * A request from a page carries that page's token. A script's carries a token of its own, and no cookie is looked at.
 */
final class CheckFormToken extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return $request->bearerToken() !== null || parent::inExceptArray($request);
    }
}
