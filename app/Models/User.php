<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A cook who signs in.
 *
 * @property string $id
 * @property string $household_id
 * @property string $email
 * @property string $password
 * @property Household $household
 */
final class User extends Authenticatable
{
    use HasUlids;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @var list<string> */
    protected $with = ['household'];

    /** @return BelongsTo<Household, $this> */
    public function household(): BelongsTo
    {
        return $this->belongsTo(Household::class);
    }

    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }
}
