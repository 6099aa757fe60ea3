<?php

declare(strict_types=1);

namespace App\Views;

use App\Household\Access;
use App\Models\Household;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\ReportLink;
use App\Models\User;
use Carbon\CarbonImmutable;

/**
 * Who may enter a kitchen; for those who keep it also the addresses by which somebody else could.
 */
final class MembersView
{
    /** @return array<string, mixed> */
    public static function of(Household $household, ?User $reader, Access $access): array
    {
        $keeps = $access === Access::Keep;
        $members = Membership::of($household)->with('user')->oldest('id')->get();
        $keepers = $members->where('access', Access::Keep)->count();

        return [
            'members' => $members
                ->map(
                    static fn(Membership $membership): array => [
                        'id' => $membership->id,
                        'name' => $membership->user->name,
                        'email' => $membership->user->email,
                        'access' => $membership->access,
                        'isYou' => $membership->user_id === $reader?->id,
                        'isLastKeeper' => $membership->access === Access::Keep && $keepers === 1,
                    ],
                )
                ->all(),
            'invitations' => $keeps
                ? Invitation::query()
                    ->where('expires_at', '>', CarbonImmutable::now())
                    ->oldest('id')
                    ->get()
                    ->map(
                        static fn(Invitation $invitation): array => [
                            'id' => $invitation->id,
                            'forWhom' => $invitation->for_whom,
                            'access' => $invitation->access,
                            'path' => "/join/{$invitation->secret}",
                            'expiresAt' => $invitation->expires_at->toIso8601String(),
                        ],
                    )
                    ->all()
                : [],
            'reports' => $keeps
                ? ReportLink::query()
                    ->where('expires_at', '>', CarbonImmutable::now())
                    ->oldest('id')
                    ->get()
                    ->map(
                        static fn(ReportLink $link): array => [
                            'id' => $link->id,
                            'personId' => $link->person_id,
                            'path' => "/report/{$link->secret}",
                            'expiresAt' => $link->expires_at->toIso8601String(),
                        ],
                    )
                    ->all()
                : [],
        ];
    }
}
