<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;

/**
 * A step that was done, when, and how otherwise than planned.
 */
final class StepRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'at' => ['nullable', 'date'],
            'weighed' => ['nullable', 'array', 'max:60'],
            'weighed.*.line' => ['required', 'integer', 'min:0', 'max:100'],
            'weighed.*.grams' => ['required', 'numeric', 'gt:0', 'max:200000'],
            'rinseSeconds' => ['nullable', 'numeric', 'min:1', 'max:7200'],
            'keepGrams' => ['nullable', 'numeric', 'min:0', 'max:200000'],
            // Nothing is written by looking at what a step would do.
            'requestKey' => [$this->is('*/preview') ? 'nullable' : 'required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'at.*' => 'errors.date',
            'weighed.*' => 'errors.weighed_out',
            'rinseSeconds.*' => 'errors.rinse_time',
            'keepGrams.*' => 'errors.weighed_out',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    public function at(): ?CarbonImmutable
    {
        return $this->filled('at') ? CarbonImmutable::parse($this->string('at')->value()) : null;
    }

    public function requestKey(): string
    {
        return $this->filled('requestKey') ? $this->string('requestKey')->value() : (string) Str::ulid();
    }

    /** The step as it was done. */
    public function change(Step $planned): Step
    {
        $step = $planned;
        /** @var list<array{line: int|string, grams: int|float|string}> $weighed */
        $weighed = $this->input('weighed') ?? [];
        if ($weighed !== []) {
            $grams = [];
            foreach ($weighed as $one) {
                $grams[(int) $one['line']] = Grams::of((float) $one['grams']);
            }
            $step = $step->weighing($grams);
        }
        $step = $this->filled('rinseSeconds') ? $step->rinsedFor(Seconds::of($this->float('rinseSeconds'))) : $step;

        return $this->filled('keepGrams') ? $step->keeping(Grams::of($this->float('keepGrams'))) : $step;
    }
}
