<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Method\Place;

/**
 * Days for which the cook expects another temperature: a warm spell, a holiday with the heating off.
 *
 * @property Place $place
 * @property string $from_on
 * @property string $to_on
 * @property float $celsius
 */
final class RoomSpell extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['place' => Place::class, 'celsius' => 'float'];
    }
}
