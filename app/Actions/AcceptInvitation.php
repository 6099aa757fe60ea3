<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/**
 * Lets in whoever was invited. The invitation is used up; it opens no second door.
 */
final readonly class AcceptInvitation
{
    /** @throws ModelNotFoundException<Invitation> where somebody else was faster */
    public function __invoke(Invitation $invitation, User $user): void
    {
        DB::transaction(static function () use ($invitation, $user): void {
            self::useUp($invitation);
            $membership = Membership::query()->firstOrCreate(
                ['household_id' => $invitation->household_id, 'user_id' => $user->id],
                ['access' => $invitation->access],
            );
            // An invitation gives, and takes nothing.
            if (!$membership->access->covers($invitation->access)) {
                $membership->update(['access' => $invitation->access]);
            }
            $user->update(['household_id' => $invitation->household_id]);
        });
    }

    /** @throws ModelNotFoundException<Invitation> where somebody else was faster */
    public function withNewAccount(
        Invitation $invitation,
        string $name,
        string $email,
        #[\SensitiveParameter] string $password,
    ): User {
        return DB::transaction(function () use ($invitation, $name, $email, $password): User {
            $user = User::create([
                'household_id' => $invitation->household_id,
                'name' => $name,
                'email' => $email,
                'password' => $password,
            ]);
            $this($invitation, $user);

            return $user;
        });
    }

    private static function useUp(Invitation $invitation): void
    {
        $isOurs = Invitation::query()->withoutGlobalScopes()->whereKey($invitation->id)->delete() === 1;
        if (!$isOurs) {
            throw (new ModelNotFoundException())->setModel(Invitation::class, [$invitation->id]);
        }
    }
}
