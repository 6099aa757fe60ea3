<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Method\Place;

/**
 * A temperature that was read in one of the kitchen's places.
 *
 * @property Place $place
 * @property CarbonImmutable $read_at
 * @property float $celsius
 * @property string $source
 */
final class RoomReading extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['place' => Place::class, 'read_at' => 'immutable_datetime', 'celsius' => 'float'];
    }
}
