<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\Access;
use App\Household\BelongsToHousehold;
use App\Household\FoundBySecret;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A secret address that lets one more cook into the kitchen, once and for a week.
 *
 * @property Access $access
 * @property string $for_whom
 * @property string $secret
 * @property CarbonImmutable $expires_at
 */
final class Invitation extends Model
{
    use BelongsToHousehold, FoundBySecret;

    public const VALID_DAYS = 7;

    protected $guarded = [];

    protected $hidden = ['secret'];

    public static function issue(Access $access, string $forWhom): self
    {
        return self::create([
            'access' => $access,
            'for_whom' => $forWhom,
            ...self::newSecret(),
            'expires_at' => CarbonImmutable::now()->addDays(self::VALID_DAYS),
        ]);
    }

    protected function casts(): array
    {
        return ['access' => Access::class, 'secret' => 'encrypted', 'expires_at' => 'immutable_datetime'];
    }
}
