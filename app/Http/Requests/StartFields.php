<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Begin;
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
            'isPacked' => ['nullable', 'boolean'],
            'begin' => ['nullable', 'string', Rule::enum(Begin::class)],
            'isSaltedTwice' => ['nullable', 'boolean'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    private function jarMessages(): array
    {
        return [
            'name.required' => 'errors.jar_name',
            'name.max' => 'errors.name_120',
            'place.*' => 'errors.place',
            'startedOn.*' => 'errors.date',
            'begin.*' => 'errors.choice',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /**
     * How far it is; "isPacked" is how it was said before jars were made step by step. A jar
     * of another day, of which nothing is said, is packed.
     */
    public function begin(): Begin
    {
        $isPacked = $this->boolean('isPacked') || (!$this->has('isPacked') && $this->startedAt() !== null);

        return Begin::tryFrom($this->string('begin')->value()) ?? ($isPacked ? Begin::Packed : Begin::Now);
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
        $at = $household->noonOf($day);
        if ($at->isFuture()) {
            throw ValidationException::withMessages(['startedOn' => 'errors.future_day']);
        }
        if ($at->lessThan(CarbonImmutable::now()->subYears(3))) {
            throw ValidationException::withMessages(['startedOn' => 'errors.too_old']);
        }

        return $at;
    }
}
