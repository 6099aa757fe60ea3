<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * Something someone ate that is not from a jar, with the sodium that was said of it.
 *
 * @property string $person_id
 * @property string $eaten_on
 * @property string $name
 * @property float $sodium_mg
 * @property float $instead_mg
 * @property array<string, mixed> $how
 * @property CarbonImmutable|null $undone_at
 * @property CarbonImmutable $created_at
 */
final class OtherFood extends Model
{
    use BelongsToHousehold;

    protected $table = 'other_foods';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['sodium_mg' => 'float', 'instead_mg' => 'float', 'how' => 'array', 'undone_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
