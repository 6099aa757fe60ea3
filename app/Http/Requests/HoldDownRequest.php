<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\HoldDown;
use Illuminate\Foundation\Http\FormRequest;

/**
 * Something that holds food under its brine.
 */
final class HoldDownRequest extends FormRequest
{
    use PartialUpdate;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:80'],
            'volumeMl' => ['required', 'numeric', 'min:0', 'max:5000'],
            'howMany' => ['required', 'integer', 'min:0', 'max:200'],
            'isBag' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.*' => 'errors.name',
            'volumeMl.*' => 'errors.weight_volume',
            'howMany.*' => 'errors.weight_count',
            'isBag.*' => 'errors.choice',
        ];
    }

    /** @return array<string, mixed> columns of the row */
    public function columns(): array
    {
        return [
            'name' => $this->string('name')->trim()->value(),
            'volume_ml' => $this->float('volumeMl'),
            'how_many' => $this->integer('howMany'),
            'is_bag' => $this->boolean('isBag'),
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $row = HoldDown::query()->findOrFail((string) $this->route('holdDown'));

        return [
            'name' => $row->name,
            'volumeMl' => $row->volume_ml,
            'howMany' => $row->how_many,
            'isBag' => $row->is_bag,
        ];
    }
}
