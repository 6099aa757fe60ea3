<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AccessToken;
use App\Models\Household;
use App\Models\Membership;
use App\Models\User;
use App\Support\InvalidInput;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Somebody leaves a kitchen, or is taken out of it. The last who keeps it stays. An account without any kitchen is of no
 * use and goes too.
 */
final readonly class LeaveKitchen
{
    /** @throws ValidationException */
    public function __invoke(Membership $membership): void
    {
        DB::transaction(function () use ($membership): void {
            Household::query()->lockForUpdate()->findOrFail($membership->household_id);
            if ($membership->isLastKeeper()) {
                throw InvalidInput::at('member', Message::of('errors.last_keeper'));
            }
            $this->part($membership);
        });
    }

    /** Without asking who stays behind. */
    public function part(Membership $membership): void
    {
        $user = User::query()->findOrFail($membership->user_id);
        AccessToken::query()
            ->where('tokenable_id', $user->id)
            ->where('household_id', $membership->household_id)
            ->delete();
        $membership->delete();
        $other = $user->memberships()->oldest('id')->first();
        if ($other === null) {
            $user->tokens()->delete();
            $user->delete();
        } elseif ($user->household_id === $membership->household_id) {
            $user->update(['household_id' => $other->household_id]);
        }
    }
}
