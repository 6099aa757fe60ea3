<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Intake\Meal;

/**
 * Something someone ate that is not from a jar, with the sodium that was said of it.
 *
 * @property string $person_id
 * @property string $eaten_on
 * @property string $name
 * @property float $sodium_mg
 * @property list<string> $instead_of  meals whose estimate is not counted that day
 * @property array<string, mixed> $how
 * @property string|null $request_key
 * @property CarbonImmutable|null $undone_at
 * @property CarbonImmutable $created_at
 */
final class OtherFood extends Model
{
    use BelongsToHousehold;

    protected $table = 'other_foods';

    protected $guarded = [];

    /** @return list<Meal> in whose place it stands */
    public function meals(): array
    {
        return array_map(Meal::from(...), $this->instead_of);
    }

    protected function casts(): array
    {
        return [
            'sodium_mg' => 'float',
            'instead_of' => 'array',
            'how' => 'array',
            'undone_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime',
        ];
    }
}
