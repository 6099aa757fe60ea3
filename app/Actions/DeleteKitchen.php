<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Household;
use App\Models\Membership;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/**
 * Deletes a kitchen with everything in it, and the accounts that have no other.
 */
final readonly class DeleteKitchen
{
    public function __construct(private LeaveKitchen $leave) {}

    public function __invoke(Household $household): void
    {
        DB::transaction(function () use ($household): void {
            Household::query()->lockForUpdate()->findOrFail($household->id);
            foreach (Membership::of($household)->get() as $membership) {
                $this->leave->part($membership);
            }
            $household->delete();
        });
        File::deleteDirectory(SavePhoto::folderOf($household->id));
    }
}
