<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\AccessToken;
use App\Models\Device;
use App\Models\Membership;
use App\Models\User;

/**
 * A cook, where they are signed in, which kitchens they may enter, and the tokens that were made in their name.
 */
final class AccountView
{
    /** @return array<string, mixed> */
    public static function of(User $user, ?string $here): array
    {
        return [
            'name' => $user->name,
            'email' => $user->email,
            'devices' => $user
                ->devices()
                ->latest('last_seen_at')
                ->get()
                ->map(
                    static fn(Device $device): array => [
                        'id' => $device->id,
                        'browser' => $device->browser,
                        'system' => $device->system,
                        'isThis' => $device->id === $here,
                        'since' => $device->created_at->toIso8601String(),
                        'lastSeenAt' => $device->last_seen_at->toIso8601String(),
                    ],
                )
                ->all(),
            'kitchens' => $user
                ->memberships()
                ->with('household')
                ->oldest('id')
                ->get()
                ->map(
                    static fn(Membership $membership): array => [
                        'id' => $membership->household_id,
                        'name' => $membership->household->name,
                        'access' => $membership->access,
                        'isOpen' => $membership->household_id === $user->household_id,
                        'isLastKeeper' => $membership->isLastKeeper(),
                    ],
                )
                ->all(),
            'tokens' => AccessToken::query()
                ->where('tokenable_id', $user->id)
                ->where('household_id', $user->household_id)
                ->oldest('id')
                ->get()
                ->map(
                    static fn(AccessToken $token): array => [
                        'id' => (string) $token->id,
                        'name' => $token->name,
                        'access' => $token->access(),
                        'lastUsedAt' => $token->last_used_at?->toIso8601String(),
                        'expiresAt' => $token->expires_at?->toIso8601String(),
                    ],
                )
                ->all(),
        ];
    }
}
