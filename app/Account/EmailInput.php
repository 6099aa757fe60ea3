<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Http\Request;

/**
 * An address as it was typed becomes what it is known by: small letters, nothing around them.
 */
final class EmailInput
{
    public static function normalise(Request $request): void
    {
        $typed = $request->input('email');
        if (is_string($typed)) {
            $request->merge(['email' => mb_strtolower(trim($typed))]);
        }
    }
}
