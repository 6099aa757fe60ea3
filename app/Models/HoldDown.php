<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\HasVersion;
use Illuminate\Database\Eloquent\Model;

/**
 * Something that holds food under its brine: a glass weight, a small jar, a plate, a bag of brine.
 *
 * @property string $name
 * @property float $volume_ml
 * @property int $how_many
 * @property bool $is_bag  filled with brine
 */
final class HoldDown extends Model
{
    use BelongsToHousehold, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $guarded = [];

    protected function casts(): array
    {
        return ['version' => 'integer', 'volume_ml' => 'float', 'how_many' => 'integer', 'is_bag' => 'boolean'];
    }
}
