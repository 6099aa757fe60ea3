<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Method\Place;

/**
 * What every jar is given when it is started: a name, a place, and the day on which it was started, when that was not
 * today.
 */
trait StartFields
{
    /** @return array<string, list<string|\Illuminate\Validation\Rules\Enum>> */
    private function jarRules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'place' => ['required', 'string', Rule::enum(Place::class)],
            'startedOn' => ['nullable', 'string', 'date_format:Y-m-d'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    private function jarMessages(): array
    {
        return [
            'name.required' => 'Give the jar a name.',
            'name.max' => 'A name has at most 120 letters.',
            'place.*' => Place::sentence(),
            'startedOn.*' => 'A date is written like 2026-11-24.',
            'requestKey.*' => 'The request is missing its key; reload the page.',
        ];
    }

    /**
     * Noon of the day on which the jar was started, in the household's own calendar; null for now.
     *
     * @throws ValidationException for a day to come, or one that is long gone
     */
    public function startedAt(): ?CarbonImmutable
    {
        $day = $this->string('startedOn')->value();
        $household = app(CurrentHousehold::class)->get();
        if ($day === '' || $day === $household->today()) {
            return null;
        }
        $at = CarbonImmutable::parse("{$day} 12:00", $household->time_zone)->utc();
        if ($at->isFuture()) {
            throw ValidationException::withMessages(['startedOn' => 'That day has not come yet.']);
        }
        if ($at->lessThan(CarbonImmutable::now()->subYears(3))) {
            throw ValidationException::withMessages(['startedOn' => 'No jar is more than three years old here.']);
        }

        return $at;
    }
}
