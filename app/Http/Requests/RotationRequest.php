<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Week\Planning;
use Illuminate\Foundation\Http\FormRequest;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Plan\WeekPlan;

/**
 * What is to come round, and how weeks are to be planned.
 */
final class RotationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'lines' => ['present', 'array', 'list', 'max:30'],
            'lines.*.id' => ['nullable', 'string', 'max:26'],
            'lines.*.name' => ['required', 'string', 'max:120'],
            'lines.*.formulaId' => ['nullable', 'string', 'max:26'],
            'lines.*.likenesses' => ['present', 'array', 'list', 'max:20'],
            'lines.*.likenesses.*' => ['string', 'max:80'],
            'lines.*.weekdays' => ['present', 'array', 'list', 'max:7'],
            'lines.*.weekdays.*' => ['integer', 'min:1', 'max:7', 'distinct'],
            'lines.*.timesAWeek' => ['required', 'numeric', 'min:0', 'max:7'],
            'lines.*.months' => ['present', 'array', 'list', 'max:12'],
            'lines.*.months.*' => ['integer', 'min:1', 'max:12', 'distinct'],
            'perDay' => ['required', 'integer', 'min:1', 'max:' . WeekPlan::MOST_PER_DAY],
            'hasNew' => ['required', 'boolean'],
            'weights' => ['required', 'array:' . implode(',', Planning::WEIGHTS)],
            'weights.*' => ['numeric', 'min:0', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'lines.*.name.*' => 'errors.name',
            'lines.*.weekdays.*' => 'errors.weekdays',
            'lines.*.timesAWeek.*' => 'errors.times_a_week',
            'lines.*.months.*' => 'errors.months',
            'lines.*' => 'errors.rotation_long',
            'perDay.*' => Message::of('errors.per_day', most: WeekPlan::MOST_PER_DAY)->encode(),
            'hasNew.*' => 'errors.has_new',
            'weights.*' => 'errors.weight_range',
        ];
    }

    /**
     * @return list<array{id: string|null, name: string, formula_id: string|null, likenesses: list<string>,
     *     weekdays: list<int>, times_a_week: float, months: list<int>}>
     */
    public function lines(): array
    {
        /**
         * @var list<array{ id?: string|null, name: string, formulaId?: string|null, likenesses: list<string>,
         *     weekdays: list<int|numeric-string>, timesAWeek: int|float|numeric-string,
         *     months: list<int|numeric-string>
         * }> $lines
         */
        $lines = $this->validated('lines');

        return array_map(
            static fn(array $line): array => [
                'id' => $line['id'] ?? null,
                'name' => trim($line['name']),
                'formula_id' => $line['formulaId'] ?? null,
                'likenesses' => $line['likenesses'],
                'weekdays' => array_map(intval(...), $line['weekdays']),
                'times_a_week' =>
                    $line['weekdays'] === [] ? (float) $line['timesAWeek'] : (float) count($line['weekdays']),
                'months' => array_map(intval(...), $line['months']),
            ],
            $lines,
        );
    }

    public function planning(): Planning
    {
        return Planning::of([
            'perDay' => $this->integer('perDay'),
            'hasNew' => $this->boolean('hasNew'),
            'weights' => $this->validated('weights'),
        ]);
    }
}
