<?php

declare(strict_types=1);

namespace App\Actions;

use App\Account\SignedIn;
use App\Household\Access;
use App\Models\CalendarLink;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * Ends everything by which a cook is let in anywhere but here: sessions, tokens, and the addresses of the calendars of the
 * kitchens that they keep.
 */
final readonly class EndSessions
{
    public function __invoke(Request $request, User $user): void
    {
        DB::transaction(static function () use ($request, $user): void {
            SignedIn::endOthers($request, $user);
            $user->tokens()->delete();
            CalendarLink::query()
                ->withoutGlobalScopes()
                ->whereIn('household_id', $user->memberships()->where('access', Access::Keep)->select('household_id'))
                ->where('revoked_at', null)
                ->update(['revoked_at' => CarbonImmutable::now()]);
        });
    }
}
