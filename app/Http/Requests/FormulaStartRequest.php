<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Formulas\Scale;
use Illuminate\Foundation\Http\FormRequest;

/**
 * A jar to be started from a formula.
 */
final class FormulaStartRequest extends FormRequest
{
    use StartedOn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...Scale::rules(),
            'version' => ['nullable', 'integer', 'min:1'],
            'intoJarId' => ['nullable', 'string', 'max:26'],
            'name' => ['required', 'string', 'max:120'],
            'place' => ['required', 'string', 'in:counter,cool,fridge'],
            'startedOn' => ['nullable', 'string', 'date_format:Y-m-d'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...Scale::messages(),
            'name.required' => 'Give the jar a name.',
            'name.max' => 'A name has at most 120 letters.',
            'place.*' => 'A jar stands on the counter, in the cool place or in the fridge.',
            'startedOn.*' => 'A date is written like 2026-11-24.',
            'requestKey.*' => 'The request is missing its key; reload the page.',
        ];
    }

    public function jarId(): ?string
    {
        $id = $this->string('intoJarId')->value();

        return $id === '' ? null : $id;
    }
}
