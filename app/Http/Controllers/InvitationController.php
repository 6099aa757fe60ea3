<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\EmailInput;
use App\Account\PasswordRule;
use App\Account\SignedIn;
use App\Account\SignInLimits;
use App\Actions\AcceptInvitation;
use App\Http\Responses\SessionState;
use App\Models\Household;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * The way in for somebody who was invited.
 */
final readonly class InvitationController
{
    public function show(Request $request, string $secret): JsonResponse
    {
        $invitation = Invitation::withSecret($secret) ?? abort(404);

        return new JsonResponse([
            'kitchen' => Household::query()->findOrFail($invitation->household_id)->name,
            'access' => $invitation->access,
            'forWhom' => $invitation->for_whom,
            'expiresAt' => $invitation->expires_at->toIso8601String(),
            'signedInAs' => SignedIn::user($request)?->email,
        ]);
    }

    /** Whoever is signed in comes in as they are; anybody else with an account that is made for it. */
    public function accept(
        Request $request,
        string $secret,
        SignInLimits $limits,
        AcceptInvitation $accept,
    ): JsonResponse {
        $invitation = Invitation::withSecret($secret) ?? abort(404);
        $user = SignedIn::user($request);
        if ($user === null) {
            $limits->kitchen($request);
            $user = $accept->withNewAccount($invitation, ...self::newAccount($request));
            SignedIn::begin($request, $user);
        } else {
            $accept($invitation, $user);
        }

        return SessionState::answer(User::query()->findOrFail($user->id), 201);
    }

    /** @return array{string, string, string} name, address, password */
    private static function newAccount(Request $request): array
    {
        EmailInput::normalise($request);
        $typed = $request->validate(
            [
                'name' => ['required', 'string', 'max:60'],
                'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
                'password' => ['required', 'string', new PasswordRule()],
            ],
            [
                'name.*' => 'errors.name',
                'email.required' => 'errors.email_missing',
                'email.unique' => 'errors.email_has_account',
                'email.*' => 'errors.email_invalid',
                'password.required' => 'errors.password_missing',
            ],
        );

        return [trim((string) $typed['name']), (string) $typed['email'], (string) $typed['password']];
    }
}
