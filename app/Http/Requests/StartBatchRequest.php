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
        return [...BenchFields::rules(), ...$this->jarRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...parent::messages(), ...$this->jarMessages()];
    }
}
