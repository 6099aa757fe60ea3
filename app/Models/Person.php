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
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Intake\DayTotal;
use Tempesal\Core\Intake\DietKnowledge;
use Tempesal\Core\Intake\Tolerance;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Produce\Allergen;

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
 * @property bool $is_careful  planned with the upper end of what jars bring
 * @property list<string> $allergens
 * @property list<string> $dislikes
 * @property array<string, string> $tolerances  a Tolerance by kind of cultures
 * @property list<string> $away  days on which they do not eat here, as intervals of ISO 8601, both days included
 * @property list<string> $stays  days on which a guest eats here, as such intervals; none: they live here
 * @property CarbonImmutable $created_at
 * @property Collection<int, IntakeTarget> $intakeTargets  oldest first, never none
 */
final class Person extends Model
{
    use BelongsToHousehold, CanBeRemoved, HasVersion;

    /** How likely a day may pass the target before it is warned of. */
    private const USUAL_CHANCE = 0.5;

    private const CAREFUL_CHANCE = 0.25;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $table = 'people';

    protected $attributes = [
        'diet_knowledge' => 'rough',
        'is_careful' => false,
        'tolerances' => '{}',
        'away' => '[]',
        'stays' => '[]',
    ];

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

    /**
     * What they usually take, in grams: of a condiment its own spoon, of a drink its own glass, of anything else their
     * fork.
     */
    public function usualPortion(Served $served, float $serving): float
    {
        return $served === Served::Sauce || $served === Served::Brine ? $serving : $this->usual_serving_g;
    }

    /** Whether nothing that a formula brings is to be avoided, or disliked. */
    public function eats(FormulaAnswer $answer): bool
    {
        $allergens = array_map(static fn(Allergen $one): string => $one->value, $answer->allergens());
        $foods = array_map(static fn(FormulaLine $one): ?string => $one->food?->id, $answer->lines);

        return array_intersect($allergens, $this->allergens) === [] && array_intersect($foods, $this->dislikes) === [];
    }

    /** How a kind of cultures sits with them; null where nobody said. */
    public function toleranceOf(CultureGroup $group): ?Tolerance
    {
        return Tolerance::tryFrom(($this->tolerances ?? [])[$group->value] ?? '');
    }

    /** What is said of a day that may well pass their target; null where it hardly does. */
    public function warning(DayTotal $total, string $date): ?Message
    {
        $target = (float) $this->targetOn($date)->target_sodium_mg;

        return $total->chanceOver($target) > ($this->is_careful ? self::CAREFUL_CHANCE : self::USUAL_CHANCE)
            ? $total->chanceInWords($target)
            : null;
    }

    /** Whether they eat elsewhere on a day, YYYY-MM-DD: a guest on all days but those of a stay. */
    public function isAwayOn(string $date): bool
    {
        $isIn = static fn(string $one): bool => $date >= substr($one, 0, 10) && $date <= substr($one, -10);

        return array_any($this->away, $isIn) || ($this->stays !== [] && !array_any($this->stays, $isIn));
    }

    /**
     * Everyone who lives here, and the guests of some days.
     *
     * @param  list<string>  $dates  YYYY-MM-DD
     * @return Collection<int, self>
     */
    public static function atTableOn(array $dates): Collection
    {
        return self::atTable()
            ->reject(
                static fn(self $one): bool => $one->stays !== [] &&
                    !array_any($dates, static fn(string $date): bool => !$one->isAwayOn($date)),
            )
            ->values();
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
            'is_careful' => 'boolean',
            'allergens' => 'array',
            'dislikes' => 'array',
            'tolerances' => 'array',
            'away' => 'array',
            'stays' => 'array',
            'created_at' => 'immutable_datetime',
        ];
    }
}
