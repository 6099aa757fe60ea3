<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Responses\SessionState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/**
 * Signing in and out.
 */
final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return SessionState::answer($request->user());
    }

    public function store(Request $request): JsonResponse
    {
        $credentials = $request->validate(
            [
                'email' => ['required', 'string', 'max:190'],
                'password' => ['required', 'string', 'max:200'],
            ],
            ['email.required' => 'errors.email_missing', 'password.required' => 'errors.password_missing'],
        );
        if (!Auth::attempt($credentials, remember: true)) {
            throw ValidationException::withMessages(['email' => 'errors.sign_in']);
        }
        $request->session()->regenerate();

        return SessionState::answer($request->user());
    }

    public function demo(Request $request): JsonResponse
    {
        $cook = SessionState::demoCook() ?? abort(404);
        Auth::login($cook);
        $request->session()->regenerate();

        return SessionState::answer($request->user());
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return SessionState::answer($request->user());
    }
}
