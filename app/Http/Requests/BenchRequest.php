<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\BenchFields;
use App\Household\CurrentHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Method\Place;

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
        return [
            ...BenchFields::rules(),
            // Of the tag only what a forecast needs; the jar may have been packed on another day.
            'place' => ['nullable', 'string', Rule::enum(Place::class)],
            'startedOn' => ['nullable', 'string', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...BenchFields::messages(), 'place.*' => 'errors.place', 'startedOn.*' => 'errors.date'];
    }

    public function place(): Place
    {
        return Place::tryFrom($this->string('place')->value()) ?? Place::Counter;
    }

    /** Noon of the day on which it was packed, or now where that is still to come; null for a jar that begins. */
    public function packedAt(): ?CarbonImmutable
    {
        $household = app(CurrentHousehold::class)->get();
        $day = $this->string('startedOn')->value();

        return $day === '' || $day === $household->today()
            ? null
            : $household->noonOf($day)->min(CarbonImmutable::now());
    }

    /** @return Typed */
    public function typed(): array
    {
        /** @var Typed */
        return array_intersect_key($this->validated(), BenchFields::rules());
    }
}
