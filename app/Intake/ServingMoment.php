<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Batch;
use App\Models\Household;
use App\Support\InvalidInput;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;

/**
 * When a portion left its jar: a day of the kitchen's calendar, with its meal or hour where they are known. What is
 * written down later is taken from the jar as it was then.
 */
final readonly class ServingMoment
{
    /** Of a day of which nothing more is known. */
    private const SOMETIME = '12:00';

    /**
     * @param  string  $day  YYYY-MM-DD, in the kitchen's calendar
     * @param  string|null  $hour  HH:MM by the kitchen's clock
     */
    public function __construct(public string $day, public ?Meal $meal = null, public ?string $hour = null) {}

    /**
     * The moment for a jar: now where the day is today and nothing more was said, never before it was begun or after
     * now.
     *
     * @throws ValidationException at "eatenOn" for a day before the jar was begun or to come, at "eatenAt" for such an
     *     hour
     */
    public function in(Batch $batch, Household $household): CarbonImmutable
    {
        $now = WhenDone::now()->max($batch->started_at);
        if ($this->day > $household->today()) {
            throw ValidationException::withMessages(['eatenOn' => 'errors.future_day']);
        }
        if ($this->day < $household->dateOf($batch->started_at)) {
            throw InvalidInput::at(
                'eatenOn',
                Message::of(
                    'errors.started_later',
                    name: $batch->name,
                    day: new Day($household->dateOf($batch->started_at)),
                ),
            );
        }
        if ($this->hour === null && $this->meal === null && $this->day === $household->dateOf($now)) {
            return $now;
        }
        $moment = CarbonImmutable::parse(
            $this->day . ' ' . ($this->hour ?? ($this->meal?->hour() ?? self::SOMETIME)),
            $household->time_zone,
        )->utc();
        if ($this->hour !== null && $moment->isAfter($now)) {
            throw ValidationException::withMessages(['eatenAt' => 'errors.future']);
        }
        if ($this->hour !== null && $moment->isBefore($batch->started_at)) {
            throw ValidationException::withMessages(['eatenAt' => 'errors.before_start']);
        }

        return $moment->max($batch->started_at)->min($now);
    }
}
