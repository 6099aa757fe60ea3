<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;

/**
 * A portion for a person.
 */
final class ServeRequest extends FormRequest
{
    use PortionFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'batchId' => ['required', 'string', 'max:26'],
            'personId' => ['required', 'string', 'max:26'],
            'amount' => ['required', 'string', 'max:60'],
            'phase' => ['nullable', 'string', Rule::enum(Served::class)],
            'way' => ['nullable', 'string', Rule::enum(ServingStyle::class)],
            ...self::momentRules(),
            'plannedId' => ['nullable', 'string', 'max:26'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'amount.required' => 'errors.portion_amount',
            ...self::momentMessages(),
            'required' => 'errors.required',
            Enum::class => 'errors.choice',
            'ulid' => 'errors.request_key',
        ];
    }

    /** @throws ValidationException */
    public function grams(): Grams
    {
        return $this->portion($this->string('amount')->value(), $this->string('personId')->value(), 'amount');
    }
}
