<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\PasswordRule;
use App\Account\ResetTokens;
use App\Account\SignedIn;
use App\Account\SignInLimits;
use App\Actions\EndSessions;
use App\Actions\SendResetLink;
use App\Http\Responses\SessionState;
use App\Models\User;
use App\Support\InvalidInput;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Tempesal\Core\Message\Message;

/**
 * A new password for somebody who has forgotten theirs.
 */
final readonly class PasswordController
{
    /** Says the same whether there is an account or not, after the same time. */
    public function forgotten(Request $request, SignInLimits $limits, SendResetLink $send): JsonResponse
    {
        $typed = $request->validate(
            ['email' => ['required', 'string', 'email', 'max:190']],
            ['email.required' => 'errors.email_missing', 'email.*' => 'errors.email_invalid'],
        );
        $limits->reset($request, (string) $typed['email']);
        $send(User::withEmail((string) $typed['email']));

        return new JsonResponse(['isAsked' => true], 202);
    }

    public function reset(Request $request, SignInLimits $limits, EndSessions $end): JsonResponse
    {
        $typed = $request->validate(
            [
                'email' => ['required', 'string', 'max:190'],
                'token' => ['required', 'string', 'max:100'],
                'password' => ['required', 'string', new PasswordRule()],
            ],
            [
                'email.*' => 'errors.reset_link',
                'token.*' => 'errors.reset_link',
                'password.required' => 'errors.password_missing',
            ],
        );
        $limits->resetTry($request);
        $user = User::withEmail((string) $typed['email']);
        if ($user === null || !ResetTokens::use($user, (string) $typed['token'])) {
            throw InvalidInput::at('token', Message::of('errors.reset_link'));
        }
        $user->update(['password' => $typed['password']]);
        $end($request, $user);
        SignedIn::begin($request, $user);

        return SessionState::answer($user);
    }
}
