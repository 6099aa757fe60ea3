<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\BenchFields;

/**
 * What stands on the bench, with a name and a place for the jar.
 */
final class StartBatchRequest extends BenchRequest
{
    use StartedOn;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...BenchFields::rules(),
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
            ...parent::messages(),
            'name.required' => 'Give the jar a name.',
            'name.max' => 'A name has at most 120 letters.',
            'startedOn.*' => 'A date is written like 2026-11-24.',
            'requestKey.*' => 'The request is missing its key; reload the page.',
        ];
    }
}
