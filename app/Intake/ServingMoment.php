<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Batch;
use App\Models\Household;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Meal;

/**
 * When a portion left its jar: a day of the kitchen's calendar, with its meal or hour where they are known. What is written
 * down later is taken from the jar as it was then.
 */
final readonly class ServingMoment
{
    /** Of a day of which nothing more is known. */
    private const SOMETIME = '12:00';

    /**
     * @param  string  $day  YYYY-MM-DD, in the kitchen's calendar
     * @param  string|null  $hour  HH:MM by the kitchen's clock
     */
    public function __construct(public string $day, public ?Meal $meal = null, public ?string $hour = null)
    {
    }

    /**
     * The moment for a jar: now where the day is today and nothing more was said, never before it was begun or after now.
     *
     * @throws ValidationException at "eatenOn" for a day before the jar was begun or to come, at "eatenAt" for such an hour
     */
    public function in(Batch $batch, Household $household): CarbonImmutable
    {
        $now = CarbonImmutable::now();
        if ($this->day > $household->today()) {
            throw ValidationException::withMessages(['eatenOn' => 'That day has not come yet.']);
        }
        if ($this->day < $household->dateOf($batch->started_at)) {
            throw ValidationException::withMessages(['eatenOn' => sprintf('%s was started on %s. Choose that day or a later one.',
                $batch->name, CarbonImmutable::parse($household->dateOf($batch->started_at))->format('j M Y'))]);
        }
        if ($this->hour === null && $this->meal === null && $this->day === $household->today()) {
            return $now;
        }
        $moment = CarbonImmutable::parse($this->day.' '.($this->hour ?? $this->meal?->hour() ?? self::SOMETIME),
            $household->time_zone)->utc();
        if ($this->hour !== null && $moment->isAfter($now)) {
            throw ValidationException::withMessages(['eatenAt' => 'That hour has not come yet.']);
        }
        if ($this->hour !== null && $moment->isBefore($batch->started_at)) {
            throw ValidationException::withMessages(['eatenAt' => 'The jar was not started by then.']);
        }

        return $moment->max($batch->started_at)->min($now);
    }
}
