<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * Where a cook is signed in. Taken away, the session there ends with its next request.
 *
 * @property string $id
 * @property string $user_id
 * @property string $browser
 * @property string $system
 * @property CarbonImmutable $last_seen_at
 * @property CarbonImmutable $created_at
 */
final class Device extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['last_seen_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
