<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\BenchFields;
use Illuminate\Foundation\Http\FormRequest;

/**
 * What stands on the bench.
 *
 * @phpstan-import-type Typed from BenchFields
 */
class BenchRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return BenchFields::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return BenchFields::messages();
    }

    /** @return Typed */
    public function typed(): array
    {
        /** @var Typed */
        return array_intersect_key($this->validated(), BenchFields::rules());
    }
}
