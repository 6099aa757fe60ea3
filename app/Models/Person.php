<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use App\Household\HasVersion;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use LogicException;
use Tempesal\Core\Intake\DietKnowledge;
use Tempesal\Core\Intake\Tolerance;
use Tempesal\Core\Method\CultureGroup;

/**
 * Someone who eats, with a day's sodium target of their own.
 *
 * @property string $name
 * @property int $position
 * @property float $usual_serving_g
 * @property float $usual_condiment_g
 * @property int $live_goal
 * @property DietKnowledge $diet_knowledge
 * @property bool $limit_is_hard
 * @property list<string> $allergens
 * @property list<string> $dislikes
 * @property array<string, string> $tolerances  a Tolerance by kind of cultures
 * @property list<string> $away  days on which they do not eat here, as intervals of ISO 8601, both days included
 * @property CarbonImmutable $created_at
 * @property Collection<int, IntakeTarget> $intakeTargets  oldest first, never none
 */
final class Person extends Model
{
    use BelongsToHousehold, CanBeRemoved, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $table = 'people';

    protected $attributes = ['diet_knowledge' => 'rough', 'tolerances' => '{}', 'away' => '[]'];

    protected $guarded = [];

    /** @var list<string> */
    protected $with = ['intakeTargets'];

    /**
     * Everyone who eats here, in their order.
     *
     * @return Collection<int, self>
     */
    public static function atTable(): Collection
    {
        return self::query()->orderBy('position')->orderBy('id')->get();
    }

    /** @return HasMany<IntakeTarget, $this> */
    public function intakeTargets(): HasMany
    {
        $rows = $this->hasMany(IntakeTarget::class);
        $rows->orderBy('since');

        return $rows;
    }

    /** How a kind of cultures sits with them; null where nobody said. */
    public function toleranceOf(CultureGroup $group): ?Tolerance
    {
        return Tolerance::tryFrom(($this->tolerances ?? [])[$group->value] ?? '');
    }

    /** Whether they eat elsewhere on a day, YYYY-MM-DD. */
    public function isAwayOn(string $date): bool
    {
        return array_any(
            $this->away,
            static fn(string $one): bool => $date >= substr($one, 0, 10) && $date <= substr($one, -10),
        );
    }

    /** What their days are held against now. */
    public function currentTarget(): IntakeTarget
    {
        return $this->intakeTargets->last() ?? throw new LogicException('Someone without a target.');
    }

    /** What a day of theirs is held against, YYYY-MM-DD. */
    public function targetOn(string $date): IntakeTarget
    {
        return $this->intakeTargets->last(static fn(IntakeTarget $one): bool => $one->since <= $date) ??
            $this->intakeTargets->firstOrFail();
    }

    /**
     * @param  iterable<self>  $people
     * @return list<string> keys of the foods that one of them does not like
     */
    public static function dislikedBy(iterable $people): array
    {
        $keys = [];
        foreach ($people as $person) {
            array_push($keys, ...$person->dislikes);
        }

        return array_values(array_unique($keys));
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'usual_serving_g' => 'float',
            'usual_condiment_g' => 'float',
            'position' => 'integer',
            'live_goal' => 'integer',
            'diet_knowledge' => DietKnowledge::class,
            'limit_is_hard' => 'boolean',
            'allergens' => 'array',
            'dislikes' => 'array',
            'tolerances' => 'array',
            'away' => 'array',
            'created_at' => 'immutable_datetime',
        ];
    }
}
