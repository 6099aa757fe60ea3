<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that holds food under its brine: a glass weight, a small jar, a plate.
 *
 * @property string $name
 * @property float $volume_ml
 * @property int $how_many
 */
final class HoldDown extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['volume_ml' => 'float', 'how_many' => 'integer'];
    }
}
