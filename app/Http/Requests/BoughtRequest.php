<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Ingredient;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * A jar from a shop.
 */
final class BoughtRequest extends FormRequest
{
    use LabelSodiumFields;

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
            'name.*' => 'Give the jar a name of at most 80 letters.', 'foodId.*' => 'Say what is in it, for the most part.', 'amount.*' => 'Say how much is in it, for example 340 g.',
            'servingAmount.*' => 'Say how much one eats of it, for example 30 g.', 'phase.*' => 'Pieces, or a sauce.', 'isLive.*' => 'Say whether it is live.',
            'allergens.*' => 'That is not an allergen Tempesal keeps track of.', 'useBy.*' => 'A day is written like 2026-11-24.', 'place.*' => 'Say where it stands.',
            'requestKey.*' => 'The request is missing its key; reload the page.', ...self::LABEL_MESSAGES,
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
            $food->id, $this->string('name')->trim()->value(), min($food->waterPer100g, 100.0 - SodiumChloride::gramsFor($sodium->high)), $sodium, $food->density, $food->shape, $food->hollow, $this->boolean('isLive'),
            $food->brineFloor, $food->tissue, array_values(array_map(Allergen::from(...), array_unique((array) $this->validated('allergens')))), null,
        );
    }

    /** @throws ValidationException */
    public function grams(string $field): Grams
    {
        try {
            $grams = KitchenAmount::parse($this->string($field)->value())->grams();
        } catch (InvalidQuantity $refusal) {
            throw ValidationException::withMessages([$field => $refusal->getMessage()]);
        }

        return $grams->isZero() || $grams->value > 20_000.0 ? throw ValidationException::withMessages([$field => 'Between nothing and 20 kg is needed here.']) : $grams;
    }
}
