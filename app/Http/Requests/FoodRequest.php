<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Ingredient;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Uptake\Tissue;

/**
 * A food of the cook's own, from its package label or by hand; or other values for one that Tempesal knows.
 */
final class FoodRequest extends FormRequest
{
    use LabelSodiumFields, PartialUpdate;

    private const SODIUM = ['sodiumPer100g', 'labelSodiumMg', 'labelServingGrams', 'labelSaltPer100g'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:80'],
            'use' => ['required', 'string', 'in:vegetable,starter,seasoning,pantry'],
            ...self::LABEL_RULES,
            'waterPer100g' => ['required', 'numeric', 'min:0', 'max:100'],
            'potassiumPer100g' => ['nullable', 'numeric', 'min:0', 'max:53000'],
            'density' => ['required', 'numeric', 'min:0.05', 'max:5'],
            'shape' => ['required', 'string', Rule::enum(PieceShape::class)],
            'tissue' => ['required', 'string', Rule::enum(Tissue::class)],
            'hollow' => ['required', 'boolean'],
            'live' => ['required', 'boolean'],
            'traits' => ['nullable', 'array', 'max:10'],
            'traits.*' => ['string', Rule::enum(FoodTrait::class)],
            'allergens' => ['present', 'array', 'max:20'],
            'allergens.*' => ['string', Rule::enum(Allergen::class)],
            'notFor' => ['present', 'array', 'max:4'],
            'notFor.*' => ['string', 'in:vegan,vegetarian'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'errors.food_name',
            ...self::LABEL_MESSAGES,
            'waterPer100g.*' => 'errors.water_range',
            'traits.*' => 'errors.trait',
            'potassiumPer100g.*' => 'errors.potassium_range',
            'density.*' => 'errors.density',
        ];
    }

    /** @return array<string, mixed> its sodium by the label where it came from one */
    protected function before(): array
    {
        $food = Ingredient::query()->findOrFail((string) $this->route('food'));
        $sodium = $this->hasAny(self::SODIUM) ? [] : ['sodiumPer100g' => $food->produce()->sodiumPer100g->typical];

        return [
            ...$sodium,
            'name' => $food->name,
            'use' => $food->use,
            'waterPer100g' => $food->water_g_per_100g,
            'potassiumPer100g' => $food->potassium_mg_per_100g,
            'density' => $food->density_g_per_ml,
            'shape' => $food->shape->value,
            'tissue' => $food->tissue->value,
            'hollow' => $food->hollow,
            'live' => $food->live,
            'traits' => array_column($food->traits(), 'value'),
            'allergens' => $food->allergens,
            'notFor' => $food->not_for,
        ];
    }

    /**
     * @return array<string, mixed> columns of the ingredient
     *
     * @throws ValidationException
     */
    public function columns(): array
    {
        $band = $this->sodium();
        if ($this->float('waterPer100g') + SodiumChloride::gramsFor($band->high) > 100.0) {
            throw ValidationException::withMessages(['waterPer100g' => 'errors.food_too_heavy']);
        }

        return [
            'name' => $this->string('name')->trim()->value(),
            'use' => $this->string('use')->value(),
            'water_g_per_100g' => $this->float('waterPer100g'),
            ...$this->isSent(...self::SODIUM)
                ? [
                    ...Ingredient::sodium()->write($band),
                    'source' => $this->source(),
                    'label_sodium_mg' => $this->input('labelSodiumMg'),
                    'label_serving_g' => $this->input('labelServingGrams'),
                ]
                : [],
            ...$this->isSent('traits') && $this->input('traits') !== null
                ? ['traits' => array_values((array) $this->validated('traits'))]
                : [],
            ...$this->isSent('potassiumPer100g') ? ['potassium_mg_per_100g' => $this->input('potassiumPer100g')] : [],
            'density_g_per_ml' => $this->float('density'),
            'shape' => $this->string('shape')->value(),
            'tissue' => $this->string('tissue')->value(),
            'hollow' => $this->boolean('hollow'),
            'live' => $this->boolean('live'),
            'allergens' => array_values((array) $this->validated('allergens')),
            'not_for' => array_values((array) $this->validated('notFor')),
        ];
    }
}
