<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\SodiumChloride;

/**
 * The sodium of a food as its package says it: by the serving, as salt in 100 g, or in 100 g.
 */
trait LabelSodiumFields
{
    private const LABEL_RULES = [
        'sodiumPer100g' => ['nullable', 'numeric', 'min:0', 'max:39340'],
        'labelSodiumMg' => ['nullable', 'numeric', 'min:0', 'max:20000'],
        'labelServingGrams' => ['nullable', 'required_with:labelSodiumMg', 'numeric', 'min:0.5', 'max:5000'],
        'labelSaltPer100g' => ['nullable', 'numeric', 'min:0', 'max:100'],
    ];

    private const LABEL_MESSAGES = [
        'sodiumPer100g.*' => 'errors.sodium_per_100',
        'labelSodiumMg.*' => 'errors.label_sodium',
        'labelServingGrams.*' => 'errors.label_serving',
        'labelSaltPer100g.*' => 'errors.label_salt',
    ];

    /** Where the sodium was read. */
    public function source(): string
    {
        return match (true) {
            $this->filled('labelSodiumMg') => '@food_source.label',
            $this->filled('labelSaltPer100g') => '@food_source.label_salt',
            default => '@food_source.own',
        };
    }

    /**
     * Milligrams in 100 g.
     *
     * @throws ValidationException
     */
    private function sodium(): Band
    {
        $typical = match (true) {
            $this->filled('labelSodiumMg') => ($this->float('labelSodiumMg') / $this->float('labelServingGrams')) *
                100.0,
            $this->filled('labelSaltPer100g') => LabelSodium::ofSalt($this->float('labelSaltPer100g')),
            $this->filled('sodiumPer100g') => $this->float('sodiumPer100g'),
            default => throw ValidationException::withMessages(['sodiumPer100g' => 'errors.label_missing']),
        };
        if ($typical > SodiumChloride::LABEL_MG_PER_100_G) {
            throw ValidationException::withMessages(['labelSodiumMg' => 'errors.label_above_salt']);
        }

        return LabelSodium::per100g($typical);
    }
}
