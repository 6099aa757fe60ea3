<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\HasVersion;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Method\Place;

/**
 * How warm one of the kitchen's places usually is.
 *
 * @property Place $place
 * @property float $usual_celsius
 * @property float $swing_celsius
 * @property int $warmest_hour
 */
final class Room extends Model
{
    use BelongsToHousehold, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    /** By the kitchen clock: common practice, no source. */
    public const WARMEST_HOUR = 16;

    protected $guarded = [];

    /** The room as the kitchen has set it, or as it usually is. */
    public static function at(Place $place): self
    {
        return self::query()->where('place', $place->value)->first() ??
            new self([
                'place' => $place,
                'usual_celsius' => $place->usual()->value,
                'swing_celsius' => 0.0,
                'warmest_hour' => self::WARMEST_HOUR,
                'version' => 0,
            ]);
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'place' => Place::class,
            'usual_celsius' => 'float',
            'swing_celsius' => 'float',
            'warmest_hour' => 'integer',
        ];
    }
}
