<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Ingredient;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SodiumChloride;
use Tempesal\Core\Uptake\Tissue;

/**
 * A food of the cook's own, from its package label or by hand; or other values for one that Tempesal knows.
 */
final class FoodRequest extends FormRequest
{
    /** A label may be off by a fifth: 21 CFR 101.9(g)(5), from memory. */
    private const LABEL = 0.2;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'use' => ['required', 'string', 'in:vegetable,starter,seasoning,pantry'],
            'sodiumPer100g' => ['nullable', 'numeric', 'min:0', 'max:39340'],
            'labelSodiumMg' => ['nullable', 'numeric', 'min:0', 'max:20000'],
            'labelServingGrams' => ['nullable', 'required_with:labelSodiumMg', 'numeric', 'min:0.5', 'max:5000'],
            'labelSaltPer100g' => ['nullable', 'numeric', 'min:0', 'max:100'],
            'waterPer100g' => ['required', 'numeric', 'min:0', 'max:100'],
            'density' => ['required', 'numeric', 'min:0.05', 'max:5'],
            'shape' => ['required', 'string', Rule::enum(PieceShape::class)],
            'tissue' => ['required', 'string', Rule::enum(Tissue::class)],
            'hollow' => ['required', 'boolean'],
            'live' => ['required', 'boolean'],
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
            'name.required' => 'Give the food a name.',
            'sodiumPer100g.*' => '100 g hold between 0 and 39340 mg of sodium.',
            'labelSodiumMg.*' => 'A serving holds between 0 and 20000 mg of sodium.',
            'labelServingGrams.*' => 'Say how many grams a serving on the label has, between 0.5 and 5000.',
            'labelSaltPer100g.*' => 'A label says between 0 and 100 g of salt in 100 g.',
            'waterPer100g.*' => 'Water lies between 0 and 100 g in 100 g.',
            'density.*' => 'A millilitre weighs between 0.05 and 5 g.',
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
            throw ValidationException::withMessages(['waterPer100g' => 'Water and salt together weigh more than the food itself.']);
        }

        return [
            'name' => $this->string('name')->trim()->value(), 'use' => $this->string('use')->value(),
            'water_g_per_100g' => $this->float('waterPer100g'), ...Ingredient::sodium()->write($band),
            'label_sodium_mg' => $this->input('labelSodiumMg'), 'label_serving_g' => $this->input('labelServingGrams'),
            'density_g_per_ml' => $this->float('density'), 'shape' => $this->string('shape')->value(), 'tissue' => $this->string('tissue')->value(),
            'hollow' => $this->boolean('hollow'), 'live' => $this->boolean('live'),
            'allergens' => array_values((array) $this->validated('allergens')), 'not_for' => array_values((array) $this->validated('notFor')),
        ];
    }

    /** Where the sodium was read. */
    public function source(): string
    {
        return match (true) {
            $this->filled('labelSodiumMg') => 'the package label',
            $this->filled('labelSaltPer100g') => 'the package label, salt / 2.5 (Regulation (EU) 1169/2011)',
            default => 'a value of your own',
        };
    }

    /** @throws ValidationException */
    private function sodium(): Band
    {
        if ($this->filled('labelSodiumMg')) {
            $typical = $this->float('labelSodiumMg') / $this->float('labelServingGrams') * 100.0;
        } elseif ($this->filled('labelSaltPer100g')) {
            $typical = $this->float('labelSaltPer100g') / SodiumChloride::EU_LABEL_SALT_PER_SODIUM * 1000.0;
        } elseif ($this->filled('sodiumPer100g')) {
            $typical = $this->float('sodiumPer100g');
        } else {
            throw ValidationException::withMessages(['sodiumPer100g' => 'Say how much sodium it holds, as the label does or in 100 g.']);
        }
        if ($typical > 39_340.0) {
            throw ValidationException::withMessages(['labelSodiumMg' => 'That is more sodium than pure salt holds; check the serving.']);
        }

        return Band::of($typical * (1.0 - self::LABEL), $typical, min(39_340.0, $typical * (1.0 + self::LABEL)));
    }
}
