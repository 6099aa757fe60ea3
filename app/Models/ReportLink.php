<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\FoundBySecret;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A secret address under which somebody outside, a clinician say, reads what one person ate, until it ends.
 *
 * @property string $person_id
 * @property string $secret
 * @property CarbonImmutable $expires_at
 */
final class ReportLink extends Model
{
    use BelongsToHousehold, FoundBySecret;

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
        return self::create([
            'person_id' => $personId,
            ...self::newSecret(),
            'expires_at' => $until,
        ]);
    }

    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'expires_at' => 'immutable_datetime'];
    }
}
