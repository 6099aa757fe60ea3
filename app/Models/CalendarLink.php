<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A secret address under which calendars find the kitchen's chores, until it is revoked.
 *
 * @property string $secret
 * @property string $secret_hash
 * @property CarbonImmutable|null $revoked_at
 * @property CarbonImmutable $created_at
 */
final class CalendarLink extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected $hidden = ['secret'];

    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'revoked_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
