<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Household;
use App\Models\User;
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
        $user = $request->user();

        return new JsonResponse([
            'isSignedIn' => $user instanceof User,
            'demoIsOpen' => self::demoCook() !== null,
            'household' => $user instanceof User ? [
                'id' => $user->household->id,
                'name' => $user->household->name,
                'timeZone' => $user->household->time_zone,
                'today' => $user->household->today(),
                'isDemo' => $user->household->is_demo,
            ] : null,
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $credentials = $request->validate([
            'email' => ['required', 'string', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
        ], ['email.required' => 'Your e-mail address is needed.', 'password.required' => 'Your password is needed.']);
        if (! Auth::attempt($credentials, remember: true)) {
            throw ValidationException::withMessages(['email' => 'E-mail and password do not belong together. Check both and try again.']);
        }
        $request->session()->regenerate();

        return $this->show($request);
    }

    public function demo(Request $request): JsonResponse
    {
        $cook = self::demoCook() ?? abort(404);
        Auth::login($cook);
        $request->session()->regenerate();

        return $this->show($request);
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->show($request);
    }

    private static function demoCook(): ?User
    {
        if (config('app.demo') !== true) {
            return null;
        }
        $household = Household::query()->where('is_demo', true)->first();

        return $household === null ? null : User::query()->where('household_id', $household->id)->first();
    }
}
