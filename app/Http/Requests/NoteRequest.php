<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Note;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/**
 * Something to be written into a batch's log; at least one thing must be said.
 */
final class NoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'marks' => ['nullable', 'array:' . implode(',', Note::MARKS)],
            'marks.*' => ['nullable', 'integer', 'min:1', 'max:5'],
            ...array_map(static fn(array $words): array => ['nullable', 'string', Rule::in($words)], Note::WORDS),
            'celsius' => ['nullable', 'numeric', 'min:-10', 'max:60'],
            'ph' => ['nullable', 'numeric', 'min:2', 'max:9'],
            'phBy' => ['nullable', 'string', 'in:meter,strips'],
            'phMargin' => ['nullable', 'numeric', 'min:0', 'max:1'],
            'text' => ['nullable', 'string', 'max:2000'],
            'at' => ['bail', 'nullable', 'string', 'max:40', 'date'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'marks.*' => 'errors.score',
            'marks' => 'errors.score_kind',
            'smell.*' => 'errors.smell',
            'colour.*' => 'errors.colour',
            'bubbles.*' => 'errors.bubbles',
            'celsius.*' => 'errors.jar_temperature',
            'ph.*' => 'errors.ph',
            'phBy.*' => 'errors.ph_by',
            'phMargin.*' => 'errors.ph_margin',
            'text.*' => 'errors.note_long',
            'at.*' => 'errors.moment',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $columns = $this->columns();
                if (
                    $columns['marks'] === [] &&
                    array_filter(
                        [...array_diff_key($columns, ['marks' => 0])],
                        static fn($value): bool => $value !== null && $value !== '',
                    ) === []
                ) {
                    $validator->errors()->add('text', 'errors.note_empty');
                }
            },
        ];
    }

    /** @return array<string, mixed> of the note */
    public function columns(): array
    {
        $marks = $this->input('marks');
        $number = fn(string $key): ?float => is_numeric($this->input($key)) ? $this->float($key) : null;
        $word = fn(string $key): ?string => is_string($this->input($key)) ? $this->input($key) : null;

        return [
            'marks' => array_map(intval(...), array_filter(is_array($marks) ? $marks : [], is_numeric(...))),
            'smell' => $word('smell'),
            'colour' => $word('colour'),
            'bubbles' => $word('bubbles'),
            'celsius' => $number('celsius'),
            'ph' => $number('ph'),
            'ph_by' => $number('ph') === null ? null : $word('phBy'),
            'ph_margin' => $number('ph') === null || $word('phBy') !== 'meter' ? null : $number('phMargin'),
            'text' => trim($word('text') ?? ''),
        ];
    }

    public function at(): ?CarbonImmutable
    {
        $at = $this->string('at')->value();

        return $at === '' ? null : CarbonImmutable::parse($at);
    }
}
