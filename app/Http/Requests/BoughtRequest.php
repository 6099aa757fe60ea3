<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Ingredient;
use App\Pantry\FoodMeasures;
use App\Pantry\KitchenAmounts;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * A jar from a shop.
 */
final class BoughtRequest extends FormRequest
{
    use LabelSodiumFields, ListFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'foodId' => ['required', 'string', 'max:26'],
            'amount' => ['required', 'string', 'max:60'],
            'servingAmount' => ['required', 'string', 'max:60'],
            'phase' => ['required', 'string', Rule::in([Phase::Pieces->value, Phase::Sauce->value])],
            'isLive' => ['required', 'boolean'],
            'allergens' => ['present', 'array', 'max:20'],
            'allergens.*' => ['string', Rule::enum(Allergen::class)],
            'useBy' => ['nullable', 'string', 'date_format:Y-m-d'],
            'place' => ['required', 'string', Rule::enum(Place::class)],
            'requestKey' => ['required', 'string', 'ulid'],
            ...self::LABEL_RULES,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'errors.jar_name_80',
            'foodId.*' => 'errors.bought_food',
            'amount.*' => 'errors.bought_amount',
            'servingAmount.*' => 'errors.bought_serving',
            'phase.*' => 'errors.bought_phase',
            'isLive.*' => 'errors.is_live',
            'allergens.*' => 'errors.allergen',
            'useBy.*' => 'errors.date',
            'place.*' => 'errors.place',
            'requestKey.*' => 'errors.request_key',
            ...self::LABEL_MESSAGES,
        ];
    }

    public function food(): Ingredient
    {
        return Ingredient::query()->findOrFail($this->string('foodId')->value());
    }

    /**
     * What the ledger takes in: the food with the label's sodium, and the allergens that the label names.
     *
     * @throws ValidationException
     */
    public function produce(): Produce
    {
        $food = $this->food()->produce();
        $sodium = $this->sodium();

        return new Produce(
            $food->id,
            $this->string('name')->trim()->value(),
            min($food->waterPer100g, 100.0 - SodiumChloride::gramsFor($sodium->high)),
            $sodium,
            $food->density,
            $food->shape,
            $food->hollow,
            $this->boolean('isLive'),
            $food->brineFloor,
            $food->tissue,
            array_map(Allergen::from(...), $this->words('allergens')),
            null,
        );
    }

    /** @throws ValidationException */
    public function grams(string $field): Grams
    {
        $grams = app(KitchenAmounts::class)->grams(
            $this->string($field)->value(),
            FoodMeasures::ofFood($this->food()),
            $field,
        );

        return $grams->isZero() || $grams->value > 20_000.0
            ? throw ValidationException::withMessages([$field => 'errors.bought_range'])
            : $grams;
    }
}
