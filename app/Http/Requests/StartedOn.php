<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;

/**
 * The day on which a jar was started, when that was not today.
 */
trait StartedOn
{
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
