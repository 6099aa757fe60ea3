<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\Access;
use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

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
    use BelongsToHousehold;

    public const VALID_DAYS = 7;

    protected $guarded = [];

    protected $hidden = ['secret'];

    public static function issue(Access $access, string $forWhom): self
    {
        $secret = Str::random(40);

        return self::create([
            'access' => $access,
            'for_whom' => $forWhom,
            'secret' => $secret,
            'secret_hash' => hash('sha256', $secret),
            'expires_at' => CarbonImmutable::now()->addDays(self::VALID_DAYS),
        ]);
    }

    /** The one with this secret, whichever kitchen's; null where it is used, withdrawn or too old. */
    public static function withSecret(string $secret): ?self
    {
        return self::query()
            ->withoutGlobalScopes()
            ->where('secret_hash', hash('sha256', $secret))
            ->where('expires_at', '>', CarbonImmutable::now())
            ->first();
    }

    protected function casts(): array
    {
        return ['access' => Access::class, 'secret' => 'encrypted', 'expires_at' => 'immutable_datetime'];
    }
}
