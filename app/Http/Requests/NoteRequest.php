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
            'marks' => ['nullable', 'array:'.implode(',', Note::MARKS)],
            'marks.*' => ['nullable', 'integer', 'min:1', 'max:5'],
            ...array_map(static fn (array $words): array => ['nullable', 'string', Rule::in($words)], Note::WORDS),
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
            'marks.*' => 'A mark goes from 1 to 5.',
            'marks' => 'That is not marked here.',
            'smell.*' => 'Choose one of the words for its smell.', 'colour.*' => 'Choose one of the words for its colour.',
            'bubbles.*' => 'None, few or lively.',
            'celsius.*' => 'A jar stands between -10 and 60 °C.',
            'ph.*' => 'The pH of a jar lies between 2 and 9.',
            'phBy.*' => 'Read with a meter, or with strips.', 'phMargin.*' => 'A meter is off by 0 to 1.',
            'text.*' => 'A note has at most 2000 letters.',
            'at.*' => 'A moment is written like 2026-11-24T18:30:00Z.',
            'requestKey.*' => 'The request is missing its key; reload the page.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $columns = $this->columns();
            if ($columns['marks'] === [] && array_filter([...array_diff_key($columns, ['marks' => 0])], static fn ($value): bool => $value !== null && $value !== '') === []) {
                $validator->errors()->add('text', 'Say at least one thing about it.');
            }
        }];
    }

    /** @return array<string, mixed> of the note */
    public function columns(): array
    {
        $marks = $this->input('marks');
        $number = fn (string $key): ?float => is_numeric($this->input($key)) ? $this->float($key) : null;
        $word = fn (string $key): ?string => is_string($this->input($key)) ? $this->input($key) : null;

        return [
            'marks' => array_map(intval(...), array_filter(is_array($marks) ? $marks : [], is_numeric(...))),
            'smell' => $word('smell'), 'colour' => $word('colour'), 'bubbles' => $word('bubbles'),
            'celsius' => $number('celsius'), 'ph' => $number('ph'),
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
