<?php

declare(strict_types=1);

namespace App\Household;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;

/**
 * Something that leaves the kitchen and stays in its history: it is no longer found, but what was made with it is.
 *
 * @property CarbonImmutable|null $removed_at
 */
trait CanBeRemoved
{
    public static function bootCanBeRemoved(): void
    {
        static::addGlobalScope('present', static function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('removed_at'), null);
        });
    }

    public function remove(): void
    {
        $this->update(['removed_at' => CarbonImmutable::now()]);
    }
}
