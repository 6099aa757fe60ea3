<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * What a person's other food brings on a weekday.
 *
 * @property string $person_id
 * @property int $weekday
 * @property int $sodium_mg
 */
final class RestOfDiet extends Model
{
    use BelongsToHousehold;

    protected $table = 'rest_of_diet';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['weekday' => 'integer', 'sodium_mg' => 'integer'];
    }
}
