<?php

declare(strict_types=1);

namespace App\Household;

use App\Models\Household;
use Closure;
use Illuminate\Support\Facades\DB;

/**
 * A transaction in which no other of the same household that asked likewise can run: two presses of a button come one
 * after the other, and the second finds what the first has written.
 */
final readonly class HouseholdTransaction
{
    /** How often it is begun anew when two of them waited for each other. */
    private const ATTEMPTS = 3;

    public function __construct(private CurrentHousehold $current) {}

    /**
     * @template T
     *
     * @param  Closure(): T  $work  run anew from its start after a deadlock
     * @return T
     */
    public function __invoke(Closure $work): mixed
    {
        return DB::transaction(function () use ($work): mixed {
            Household::query()->lockForUpdate()->findOrFail($this->current->id());

            return $work();
        }, self::ATTEMPTS);
    }
}
