<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;

/**
 * Something that was done to a batch, in the documented form of an entry.
 */
final class EntryRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'entry' => ['required', 'array', 'max:40'],
            'at' => ['nullable', 'string', 'max:40', 'date'],
            'requestKey' => $this->routeIs('preview') ? ['nullable'] : ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'entry.*' => 'errors.entry',
            'at.*' => 'errors.moment',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /** @return array<string, mixed> */
    public function entry(): array
    {
        /** @var array<string, mixed> the whole of it, so that unknown fields can be named */
        return $this->input('entry');
    }

    public function at(): ?CarbonImmutable
    {
        $at = $this->string('at')->value();

        return $at === '' ? null : CarbonImmutable::parse($at);
    }
}
