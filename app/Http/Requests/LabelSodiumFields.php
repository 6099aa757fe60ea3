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
        'sodiumPer100g.*' => '100 g hold between 0 and 39340 mg of sodium.',
        'labelSodiumMg.*' => 'A serving holds between 0 and 20000 mg of sodium.',
        'labelServingGrams.*' => 'Say how many grams a serving on the label has, between 0.5 and 5000.',
        'labelSaltPer100g.*' => 'A label says between 0 and 100 g of salt in 100 g.',
    ];

    /** Where the sodium was read. */
    public function source(): string
    {
        return match (true) {
            $this->filled('labelSodiumMg') => 'the package label',
            $this->filled('labelSaltPer100g') => 'the package label, salt / 2.5 (Regulation (EU) 1169/2011)',
            default => 'a value of your own',
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
            $this->filled('labelSodiumMg') => $this->float('labelSodiumMg') / $this->float('labelServingGrams') * 100.0,
            $this->filled('labelSaltPer100g') => LabelSodium::ofSalt($this->float('labelSaltPer100g')),
            $this->filled('sodiumPer100g') => $this->float('sodiumPer100g'),
            default => throw ValidationException::withMessages(['sodiumPer100g' => 'Say how much sodium it holds, as the label does or in 100 g.']),
        };
        if ($typical > SodiumChloride::LABEL_MG_PER_100_G) {
            throw ValidationException::withMessages(['labelSodiumMg' => 'That is more sodium than pure salt holds; check the serving.']);
        }

        return LabelSodium::per100g($typical);
    }
}
