<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Formulas\FormulaScaler;
use Illuminate\Foundation\Http\FormRequest;

/**
 * A jar to be started from a formula.
 */
final class FormulaStartRequest extends FormRequest
{
    use StartFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...FormulaScaler::rules(),
            ...$this->jarRules(),
            'version' => ['nullable', 'integer', 'min:1'],
            'plannedBatchId' => ['nullable', 'string', 'max:26'],
            'intoJarId' => ['nullable', 'string', 'max:26'],
            'hasOneMore' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...FormulaScaler::messages(), ...$this->jarMessages()];
    }

    public function jarId(): ?string
    {
        $id = $this->string('intoJarId')->value();

        return $id === '' ? null : $id;
    }
}
