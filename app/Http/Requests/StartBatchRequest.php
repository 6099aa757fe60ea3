<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\BenchFields;

/**
 * What stands on the bench, with a name and a place for the jar.
 */
final class StartBatchRequest extends BenchRequest
{
    use StartFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...BenchFields::rules(), ...$this->jarRules(), 'ph' => ['nullable', 'numeric', 'min:2', 'max:9']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...parent::messages(), ...$this->jarMessages(), 'ph.*' => 'errors.ph'];
    }

    /** As it was read of a sauce before it was bottled. */
    public function ph(): ?float
    {
        return $this->filled('ph') ? $this->float('ph') : null;
    }
}
