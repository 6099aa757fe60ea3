<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;

/**
 * A cook who signs in. Users and the people who eat are apart.
 *
 * @property string $id
 * @property string $household_id  the kitchen that is open
 * @property string $email  in small letters
 * @property string $name
 * @property string $password
 * @property CarbonImmutable|null $sessions_from  earlier ones have ended
 * @property Household $household
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<AccessToken> */
    use HasApiTokens, HasUlids;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['name' => '', 'sessions_from' => null, 'remember_token' => null];

    protected $hidden = ['password', 'remember_token'];

    /** @var list<string> */
    protected $with = ['household'];

    /** The cook with this address; spelt with other letters it is nobody's. */
    public static function withEmail(string $email): ?self
    {
        return self::query()->where('email', mb_strtolower(trim($email)))->first();
    }

    /** @return BelongsTo<Household, $this> */
    public function household(): BelongsTo
    {
        return $this->belongsTo(Household::class);
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    protected function casts(): array
    {
        return ['password' => 'hashed', 'sessions_from' => 'immutable_datetime'];
    }
}
