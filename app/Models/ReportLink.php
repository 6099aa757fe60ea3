<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * A secret address under which somebody outside, a clinician say, reads what one person ate, until it ends.
 *
 * @property string $person_id
 * @property string $secret
 * @property CarbonImmutable $expires_at
 */
final class ReportLink extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected $hidden = ['secret'];

    /** The link to somebody's report: a new one, or the one that there is, for longer or shorter. */
    public static function issue(string $personId, int $days): self
    {
        $until = CarbonImmutable::now()->addDays($days);
        $known = self::query()
            ->where('person_id', $personId)
            ->where('expires_at', '>', CarbonImmutable::now())
            ->first();
        if ($known !== null) {
            $known->update(['expires_at' => $until]);

            return $known;
        }
        $secret = Str::random(40);

        return self::create([
            'person_id' => $personId,
            'secret' => $secret,
            'secret_hash' => hash('sha256', $secret),
            'expires_at' => $until,
        ]);
    }

    /** The one with this secret, whichever kitchen's; null where it was withdrawn or has ended. */
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
        return ['secret' => 'encrypted', 'expires_at' => 'immutable_datetime'];
    }
}
