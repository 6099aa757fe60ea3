<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Person;
use App\Views\KitchenView;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\BackgroundDiet;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Produce\Allergen;

/**
 * Someone who eats.
 */
final class PersonRequest extends FormRequest
{
    use PartialUpdate;

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
            'holds' => ['nullable', 'string', 'in:from_today,always'],
            'restOfDiet' => ['required', 'array:1,2,3,4,5,6,7', 'size:7'],
            'restOfDiet.*' => ['array:morning,noon,evening', 'size:3'],
            'restOfDiet.*.*' => ['integer', 'min:0', 'max:5000'],
            'allergens' => ['present', 'array', 'max:20'],
            'allergens.*' => ['string', Rule::enum(Allergen::class)],
            'dislikes' => ['present', 'array', 'max:60'],
            'dislikes.*' => ['string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'A name is needed here.',
            'targetMg.*' => 'A daily target lies between 200 and 10000 mg of sodium.',
            'usualServingGrams.*' => 'A usual portion lies between 1 and 1000 g.',
            'usualCondimentGrams.*' => 'A usual spoon lies between 1 and 500 g.',
            'liveGoal.*' => 'Between 0 and 20 live servings a day.',
            'limitIsHard.*' => 'Say whether a plan may pass the limit.',
            'holds.*' => 'From today on, or always.',
            'restOfDiet.*.*.*' => 'A meal lies between 0 and 5000 mg of sodium.',
            'restOfDiet.*' => 'The rest of the diet is needed for each day of the week and each of its meals.',
            'allergens.*' => 'That is not an allergen Tempesal keeps track of.',
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $before = KitchenView::person(Person::query()->findOrFail((string) $this->route('person')));

        // A preset is chosen in this very change or not at all.
        return [...array_diff_key($before, ['id' => 0, 'version' => 0, 'before' => 0]), 'restOfDiet' => (array) $before['restOfDiet']];
    }

    /** @return array<string, mixed> columns of the person */
    public function columns(): array
    {
        return [
            'name' => $this->string('name')->trim()->value(),
            'usual_serving_g' => $this->float('usualServingGrams'), 'usual_condiment_g' => $this->float('usualCondimentGrams'),
            'live_goal' => $this->integer('liveGoal'), 'limit_is_hard' => $this->boolean('limitIsHard'),
            'allergens' => array_values(array_unique((array) $this->validated('allergens'))),
            'dislikes' => array_values(array_unique((array) $this->validated('dislikes'))),
        ];
    }

    /** @return array{target_sodium_mg: int, target_source: string, rest: array<int, array<string, int>>} what their days are held against */
    public function figures(): array
    {
        $preset = TargetPreset::tryFrom($this->string('preset')->value());
        $source = $this->string('targetSource')->trim()->value();

        return [
            'target_sodium_mg' => $preset?->milligrams() ?? $this->integer('targetMg'),
            'target_source' => $preset?->source() ?? ($source === '' ? 'A number of your own' : $source),
            'rest' => BackgroundDiet::of(array_map(static fn (array $meals): array => array_map(intval(...), $meals), (array) $this->validated('restOfDiet')))->toArray(),
        ];
    }

    /** Whether the figures hold for days that are over as well. */
    public function holdsAlways(): bool
    {
        return $this->string('holds')->value() === 'always';
    }
}
