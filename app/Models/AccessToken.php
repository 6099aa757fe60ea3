<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\Access;
use Carbon\CarbonImmutable;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a script shows instead of a password: for one kitchen, in a cook's name, and for no more than was given to it.
 *
 * @property int $id
 * @property string $household_id
 * @property string $tokenable_id
 * @property string $name
 * @property list<string> $abilities
 * @property CarbonImmutable|null $last_used_at
 * @property CarbonImmutable|null $expires_at
 * @property CarbonImmutable $created_at
 */
final class AccessToken extends PersonalAccessToken
{
    protected $table = 'access_tokens';

    protected $guarded = [];

    protected $fillable = [];

    public function access(): Access
    {
        return Access::tryFrom($this->abilities[0] ?? '') ?? Access::Read;
    }

    protected function casts(): array
    {
        return [
            'abilities' => 'json',
            'last_used_at' => 'immutable_datetime',
            'expires_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime',
        ];
    }
}
