<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Models\Household;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Http\JsonResponse;

/**
 * Who is signed in, and whether the demo kitchen may be entered.
 */
final class SessionState
{
    public static function answer(?User $user, int $status = 200): JsonResponse
    {
        return new JsonResponse(
            [
                'isSignedIn' => $user !== null,
                'demoIsOpen' => self::demoCook() !== null,
                'isNew' => $user === null && !Household::query()->where('is_demo', false)->exists(),
                'user' => $user === null ? null : ['id' => $user->id, 'name' => $user->name, 'email' => $user->email],
                'household' =>
                    $user === null
                        ? null
                        : [
                            'id' => $user->household->id,
                            'name' => $user->household->name,
                            'timeZone' => $user->household->time_zone,
                            'today' => $user->household->today(),
                            'usesInches' => $user->household->uses_inches,
                            'usesFahrenheit' => $user->household->uses_fahrenheit,
                            'isDemo' => $user->household->is_demo,
                            'access' => Membership::of($user->household)->where('user_id', $user->id)->first()?->access,
                        ],
            ],
            $status,
        );
    }

    /** The cook of the demo kitchen; null where none is laid out. */
    public static function demoCook(): ?User
    {
        if (config('app.demo') !== true) {
            return null;
        }
        $household = Household::query()->where('is_demo', true)->first();

        return $household === null ? null : User::query()->where('household_id', $household->id)->first();
    }
}
