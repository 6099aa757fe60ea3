<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Someone who eats, with a day's sodium target of their own.
 *
 * @property string $name
 * @property int $position
 * @property int $target_sodium_mg
 * @property string $target_source
 * @property float $usual_serving_g
 * @property float $usual_condiment_g
 * @property int $live_goal
 * @property bool $limit_is_hard
 * @property array{morning: float, noon: float, evening: float} $meal_shares
 * @property list<string> $allergens
 * @property list<string> $dislikes
 * @property Collection<int, RestOfDiet> $restOfDiet
 */
final class Person extends Model
{
    use BelongsToHousehold, CanBeRemoved;

    protected $table = 'people';

    protected $guarded = [];

    /**
     * Everyone who eats here, in their order.
     *
     * @return Collection<int, self>
     */
    public static function atTable(): Collection
    {
        return self::query()->with('restOfDiet')->get()->sortBy('position')->values();
    }

    /** @return HasMany<RestOfDiet, $this> */
    public function restOfDiet(): HasMany
    {
        return $this->hasMany(RestOfDiet::class);
    }

    /** Estimated sodium, in mg, from everything but ferments on a day. */
    public function restOn(string $date): int
    {
        $weekday = CarbonImmutable::parse($date)->isoWeekday();

        return (int) ($this->restOfDiet->firstWhere('weekday', $weekday)->sodium_mg ?? 0);
    }

    protected function casts(): array
    {
        return ['target_sodium_mg' => 'integer', 'usual_serving_g' => 'float', 'usual_condiment_g' => 'float', 'position' => 'integer', 'live_goal' => 'integer', 'limit_is_hard' => 'boolean', 'meal_shares' => 'array', 'allergens' => 'array', 'dislikes' => 'array'];
    }
}
