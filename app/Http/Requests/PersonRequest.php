<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Produce\Allergen;

/**
 * Someone who eats.
 */
final class PersonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'preset' => ['nullable', 'string', Rule::enum(TargetPreset::class)],
            'targetMg' => ['required_without:preset', 'nullable', 'integer', 'min:200', 'max:10000'],
            'targetSource' => ['nullable', 'string', 'max:160'],
            'usualServingGrams' => ['required', 'numeric', 'min:1', 'max:1000'],
            'usualCondimentGrams' => ['required', 'numeric', 'min:1', 'max:500'],
            'liveGoal' => ['required', 'integer', 'min:0', 'max:20'],
            'limitIsHard' => ['required', 'boolean'],
            'restOfDietMg' => ['required', 'array:1,2,3,4,5,6,7', 'size:7'],
            'restOfDietMg.*' => ['integer', 'min:0', 'max:10000'],
            'mealShares' => ['required', 'array:morning,noon,evening', 'size:3'],
            'mealShares.*' => ['numeric', 'min:0', 'max:100'],
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
            'name.required' => 'A name is needed here.',
            'targetMg.*' => 'A daily target lies between 200 and 10000 mg of sodium.',
            'usualServingGrams.*' => 'A usual portion lies between 1 and 1000 g.',
            'usualCondimentGrams.*' => 'A usual spoon lies between 1 and 500 g.',
            'liveGoal.*' => 'Between 0 and 20 live servings a day.',
            'limitIsHard.*' => 'Say whether a plan may pass the limit.',
            'restOfDietMg.*' => 'The rest of the diet lies between 0 and 10000 mg of sodium, for each day of the week.',
            'mealShares*' => 'Each meal takes between 0 and 100 % of the rest of the diet.',
            'mealShares.*' => 'Each meal takes between 0 and 100 % of the rest of the diet.',
            'allergens.*' => 'That is not an allergen Tempesal keeps track of.',
        ];
    }

    /** @return array<string, mixed> columns of the person */
    public function columns(): array
    {
        $preset = TargetPreset::tryFrom($this->string('preset')->value());
        $source = $this->string('targetSource')->trim()->value();

        return [
            'name' => $this->string('name')->trim()->value(),
            'target_sodium_mg' => $preset?->milligrams() ?? $this->integer('targetMg'),
            'target_source' => $preset?->source() ?? ($source === '' ? 'A number of your own' : $source),
            'usual_serving_g' => $this->float('usualServingGrams'), 'usual_condiment_g' => $this->float('usualCondimentGrams'),
            'live_goal' => $this->integer('liveGoal'), 'limit_is_hard' => $this->boolean('limitIsHard'), 'meal_shares' => array_map(floatval(...), (array) $this->validated('mealShares')),
            'allergens' => array_values(array_unique((array) $this->validated('allergens'))),
            'dislikes' => array_values(array_unique((array) $this->validated('dislikes'))),
        ];
    }

    /** @return array<int, int> milligrams by ISO weekday */
    public function restOfDiet(): array
    {
        $rest = [];
        foreach (range(1, 7) as $weekday) {
            $rest[$weekday] = $this->integer("restOfDietMg.{$weekday}");
        }

        return $rest;
    }
}
