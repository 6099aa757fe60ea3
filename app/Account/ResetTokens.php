<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use LogicException;

/**
 * What a link to choose a new password carries: one for each cook, once, and within an hour.
 */
final class ResetTokens
{
    public static function create(User $user): string
    {
        return self::broker()->createToken($user);
    }

    /** As long as making one takes. */
    public static function createNone(): void
    {
        Hash::make(Str::random(40));
    }

    /** Whether it was this cook's; it is not valid a second time. */
    public static function use(User $user, string $token): bool
    {
        if (!self::broker()->tokenExists($user, $token)) {
            return false;
        }
        self::broker()->deleteToken($user);

        return true;
    }

    private static function broker(): PasswordBroker
    {
        $broker = Password::broker();

        return $broker instanceof PasswordBroker ? $broker : throw new LogicException('There is another broker.');
    }
}
