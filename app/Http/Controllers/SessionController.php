<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\SignedIn;
use App\Account\SignInLimits;
use App\Http\Responses\SessionState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * Signing in and out.
 */
final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return SessionState::answer(SignedIn::user($request));
    }

    public function store(Request $request, SignInLimits $limits): JsonResponse
    {
        $typed = $request->validate(
            [
                'email' => ['required', 'string', 'max:190'],
                'password' => ['required', 'string', 'max:200'],
            ],
            ['email.required' => 'errors.email_missing', 'password.required' => 'errors.password_missing'],
        );
        $user =
            $limits->signIn($request, (string) $typed['email'], (string) $typed['password']) ??
            throw ValidationException::withMessages(['email' => 'errors.sign_in']);
        SignedIn::begin($request, $user);

        return SessionState::answer($user);
    }

    public function demo(Request $request): JsonResponse
    {
        $cook = SessionState::demoCook() ?? abort(404);
        SignedIn::begin($request, $cook);

        return SessionState::answer($cook);
    }

    public function destroy(Request $request): JsonResponse
    {
        SignedIn::end($request);

        return SessionState::answer(null);
    }
}
