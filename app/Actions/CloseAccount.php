<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Membership;
use App\Models\User;
use App\Support\InvalidInput;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Deletes an account: it leaves its kitchens, and those that nobody else may enter are deleted with it.
 */
final readonly class CloseAccount
{
    public function __construct(private LeaveKitchen $leave, private DeleteKitchen $delete) {}

    /** @throws ValidationException where others would be left in a kitchen that nobody keeps */
    public function __invoke(User $user): void
    {
        $memberships = $user->memberships()->with('household')->get();
        $alone = $memberships->filter(
            static fn(Membership $one): bool => Membership::of($one->household)->count() === 1,
        );
        $stuck = $memberships->diff($alone)->first(static fn(Membership $one): bool => $one->isLastKeeper());
        if ($stuck !== null) {
            throw InvalidInput::at(
                'password',
                Message::of(
                    'errors.last_keeper_of',
                    kitchen: Message::of('text.quoted', text: $stuck->household->name),
                ),
            );
        }
        DB::transaction(function () use ($memberships, $alone): void {
            foreach ($memberships->diff($alone) as $membership) {
                ($this->leave)($membership);
            }
            foreach ($alone as $membership) {
                ($this->delete)($membership->household);
            }
        });
    }
}
