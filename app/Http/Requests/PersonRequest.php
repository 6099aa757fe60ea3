<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Language\StoredText;
use App\Models\Person;
use App\Views\KitchenView;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\BackgroundDiet;
use Tempesal\Core\Intake\DietKnowledge;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Intake\Tolerance;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Produce\Allergen;

/**
 * Someone who eats.
 */
final class PersonRequest extends FormRequest
{
    use ListFields, PartialUpdate;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:60'],
            'preset' => ['nullable', 'string', Rule::enum(TargetPreset::class)],
            'targetMg' => ['required_without:preset', 'nullable', 'integer', 'min:200', 'max:10000'],
            'targetSource' => ['nullable', 'string', 'max:160'],
            'usualServingGrams' => ['required', 'numeric', 'min:1', 'max:1000'],
            'usualCondimentGrams' => ['required', 'numeric', 'min:1', 'max:500'],
            'liveGoal' => ['required', 'integer', 'min:0', 'max:20'],
            'limitIsHard' => ['required', 'boolean'],
            'isCareful' => ['nullable', 'boolean'],
            'dietKnowledge' => ['nullable', 'string', Rule::enum(DietKnowledge::class)],
            'holds' => ['nullable', 'string', 'in:from_today,always'],
            'restOfDiet' => ['required', 'array:1,2,3,4,5,6,7', 'size:7'],
            'restOfDiet.*' => ['array:morning,noon,evening', 'size:3'],
            'restOfDiet.*.*' => ['integer', 'min:0', 'max:5000'],
            'allergens' => ['present', 'array', 'max:20'],
            'allergens.*' => ['string', Rule::enum(Allergen::class)],
            'dislikes' => ['present', 'array', 'max:60'],
            'dislikes.*' => ['string', 'max:40'],
            'tolerances' => ['nullable', 'array:' . implode(',', array_column(CultureGroup::cases(), 'value'))],
            'away' => ['nullable', 'array', 'max:20'],
            'away.*' => ['string', self::twoDays(...)],
            'stays' => ['nullable', 'array', 'max:20'],
            'stays.*' => ['string', self::twoDays(...)],
            'tolerances.*' => ['nullable', 'string', Rule::enum(Tolerance::class)],
        ];
    }

    /** Two days with a slash between them, the last not before the first. */
    private static function twoDays(string $field, mixed $value, Closure $fail): void
    {
        $days = is_string($value) ? explode('/', $value) : [];
        $isDay = static fn(string $day): bool => CarbonImmutable::canBeCreatedFromFormat($day, 'Y-m-d');
        if (count($days) !== 2 || !$isDay($days[0]) || !$isDay($days[1]) || $days[1] < $days[0]) {
            $fail('errors.away');
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'errors.name',
            'targetMg.*' => 'errors.target',
            'usualServingGrams.*' => 'errors.usual_portion',
            'usualCondimentGrams.*' => 'errors.usual_spoon',
            'liveGoal.*' => 'errors.live_goal',
            'limitIsHard.*' => 'errors.limit_hard',
            'isCareful.*' => 'errors.limit_hard',
            'holds.*' => 'errors.holds',
            'restOfDiet.*.*.*' => 'errors.meal_sodium',
            'restOfDiet.*' => 'errors.other_food_week',
            'allergens.*' => 'errors.allergen',
            'tolerances' => 'errors.tolerance',
            'away' => 'errors.away',
            'away.*' => 'errors.away',
            'stays' => 'errors.away',
            'stays.*' => 'errors.away',
            'tolerances.*' => 'errors.tolerance',
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $person = Person::query()->findOrFail((string) $this->route('person'));
        $before = KitchenView::person($person);

        // A preset is chosen in this very change or not at all.
        return [
            ...array_diff_key($before, ['id' => 0, 'version' => 0, 'before' => 0]),
            'restOfDiet' => (array) $before['restOfDiet'],
            'tolerances' => $person->tolerances,
            'targetSource' => $person->currentTarget()->target_source,
        ];
    }

    /** @return array<string, mixed> columns of the person */
    public function columns(): array
    {
        return [
            'name' => $this->string('name')->trim()->value(),
            'usual_serving_g' => $this->float('usualServingGrams'),
            'usual_condiment_g' => $this->float('usualCondimentGrams'),
            'live_goal' => $this->integer('liveGoal'),
            'limit_is_hard' => $this->boolean('limitIsHard'),
            'is_careful' => $this->boolean('isCareful'),
            'diet_knowledge' => DietKnowledge::from($this->string('dietKnowledge', 'rough')->value() ?: 'rough'),
            'allergens' => $this->words('allergens'),
            'dislikes' => $this->words('dislikes'),
            'away' => $this->words('away'),
            'stays' => $this->words('stays'),
            'tolerances' => (object) array_filter((array) $this->validated('tolerances')),
        ];
    }

    /**
     * @return array{target_sodium_mg: int, target_source: string, rest: array<int, array<string, int>>} what their days
     *     are held against
     */
    public function figures(): array
    {
        $preset = TargetPreset::tryFrom($this->string('preset')->value());
        $source = $this->string('targetSource')->trim()->value();
        /** @var array<int, array<string, int|numeric-string>> $rest */
        $rest = $this->validated('restOfDiet');

        return [
            'target_sodium_mg' => $preset?->milligrams() ?? $this->integer('targetMg'),
            'target_source' =>
                $preset !== null
                    ? StoredText::of($preset->source())
                    : ($source === ''
                        ? StoredText::of(Message::of('target_preset_source.own'))
                        : $source),
            'rest' => BackgroundDiet::of(
                array_map(static fn(array $meals): array => array_map(intval(...), $meals), $rest),
            )->toArray(),
        ];
    }

    /** Whether the figures hold for days that are over as well. */
    public function holdsAlways(): bool
    {
        return $this->string('holds')->value() === 'always';
    }
}
