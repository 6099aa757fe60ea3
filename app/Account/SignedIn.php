<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\Device;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/**
 * Where a cook is signed in. The session knows its device; it is over when the device was taken away.
 */
final class SignedIn
{
    private const DEVICE = 'device';

    private const SINCE = 'signed_in_at';

    /** How exactly it is known when a device was last seen, in minutes. */
    private const SEEN_MINUTES = 5;

    public static function begin(Request $request, User $user): void
    {
        Auth::guard('web')->login($user);
        $request->session()->regenerate();
        $device = Device::create([
            'user_id' => $user->id,
            ...Browser::of((string) $request->userAgent()),
            'last_seen_at' => CarbonImmutable::now(),
        ]);
        $request->session()->put([self::DEVICE => $device->id, self::SINCE => CarbonImmutable::now()->getTimestamp()]);
    }

    /** The cook of this session; null where nobody is signed in, or not any more. */
    public static function user(Request $request): ?User
    {
        $user = Auth::guard('web')->user();
        if (!($user instanceof User)) {
            return null;
        }
        if (!self::goesOn($request, $user)) {
            self::end($request);

            return null;
        }

        return $user;
    }

    public static function device(Request $request): ?string
    {
        $device = $request->hasSession() ? $request->session()->get(self::DEVICE) : null;

        return is_string($device) ? $device : null;
    }

    public static function end(Request $request): void
    {
        Device::query()
            ->whereKey(self::device($request) ?? '')
            ->delete();
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    /** Ends all sessions of a cook but the one of this request. */
    public static function endOthers(Request $request, User $user): void
    {
        $here = self::device($request);
        $user
            ->devices()
            ->where('id', '!=', $here ?? '')
            ->delete();
        // Of sessions from before there were devices only the moment is known.
        $user->update(['sessions_from' => CarbonImmutable::now()]);
        if ($request->hasSession()) {
            $request->session()->put(self::SINCE, CarbonImmutable::now()->getTimestamp());
        }
    }

    private static function goesOn(Request $request, User $user): bool
    {
        $id = self::device($request);
        if ($id === null) {
            $since = $request->hasSession() ? $request->session()->get(self::SINCE) : null;

            return $user->sessions_from === null || (is_int($since) && $since >= $user->sessions_from->getTimestamp());
        }
        $device = Device::query()->whereKey($id)->where('user_id', $user->id)->first();
        if ($device?->last_seen_at->lt(CarbonImmutable::now()->subMinutes(self::SEEN_MINUTES)) === true) {
            $device->update(['last_seen_at' => CarbonImmutable::now()]);
        }

        return $device !== null;
    }
}
