<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Care\BatchStatus;
use App\Language\Words;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\PlannedBatch;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Config;
use Sabre\VObject\Component\VCalendar;
use Tempesal\Core\Care\DueChore;
use Tempesal\Core\Message\Message;

/**
 * The kitchen's chores as an iCalendar (RFC 5545). What is wanted on a day is an event of that whole day, without a
 * clock or a time zone, so that it is the same day everywhere; what is wanted at an hour is a moment in UTC with an
 * alarm.
 */
final class ChoreCalendar
{
    /** Days ahead for which what comes again and again is written down. */
    private const AHEAD_DAYS = 60;

    private const TAKES_MINUTES = 15;

    /**
     * @param  Collection<int, Batch>  $batches  whole, on the shelf
     * @param  Collection<int, PlannedBatch>  $planned  to be started
     */
    public static function of(Household $household, Collection $batches, Collection $planned, Words $words): string
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Tempesal//Chores//EN',
            'METHOD' => 'PUBLISH',
            'X-WR-CALNAME' => $words->say(Message::of('calendar.name', kitchen: $household->name)),
        ]);
        foreach ($batches as $batch) {
            $status = BatchStatus::of($batch, Ledgers::of($batch), $household);
            foreach ($status->dues as $due) {
                self::event($calendar, $status, $due, $words);
            }
        }
        foreach ($planned as $one) {
            self::toStart($calendar, $one, $household->today(), $words);
        }

        return $calendar->serialize();
    }

    private static function toStart(VCalendar $calendar, PlannedBatch $planned, string $today, Words $words): void
    {
        $on = CarbonImmutable::parse(max($today, $planned->start_on));
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "{$planned->id}-start@tempesal",
            'DTSTAMP' => CarbonImmutable::now('UTC')->toDateTime(),
            'SUMMARY' => $words->say(
                Message::of('calendar.start', formula: $planned->formula->label(), jar: $planned->jar->name),
            ),
            'DESCRIPTION' => $words->say(Message::of('calendar.start_why')),
            'URL' => self::address(
                "/formulas/{$planned->formula_id}?by=jar&jarId={$planned->jar_id}&planned={$planned->id}",
            ),
            'TRANSP' => 'TRANSPARENT',
            'CATEGORIES' => $words->say(Message::of('calendar.category')),
        ]);
        $calendar->add($event);
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $on->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
    }

    private static function address(string $path): string
    {
        return rtrim(Config::string('app.url'), '/') . $path;
    }

    private static function event(VCalendar $calendar, BatchStatus $status, DueChore $due, Words $words): void
    {
        $today = $status->household->today();
        $on = CarbonImmutable::parse(max($today, $status->dateOf($due)));
        $task = $due->chore->task;
        $late = $due->lateOn($status->day);
        $event = $calendar->createComponent('VEVENT', [
            'UID' =>
                "{$status->batch->id}-{$task->value}" .
                ($due->step === null ? '' : "-{$due->step->value}") .
                '@tempesal',
            'DTSTAMP' => CarbonImmutable::now('UTC')->toDateTime(),
            'SUMMARY' => $words->say(Message::of('calendar.chore', jar: $status->batch->name, task: $due->text())),
            'DESCRIPTION' => $words->say($late > 0 ? $task->whenLate($late) : $due->text()),
            'URL' => self::address(($due->step === null ? '/shelf/' : '/counter/') . $status->batch->id),
            'TRANSP' => 'TRANSPARENT',
            'CATEGORIES' => $words->say(Message::of('calendar.category')),
        ]);
        $calendar->add($event);
        if ($due->at !== null) {
            $moment = $status->callAt($due)->utc();
            $event->add('DTSTART', $moment->toDateTime());
            $event->add('DTEND', $moment->addMinutes(self::TAKES_MINUTES)->toDateTime());
            $event->add('VALARM', [
                'ACTION' => 'DISPLAY',
                'DESCRIPTION' => $words->say($due->text()),
                'TRIGGER' => 'PT0S',
            ]);

            return;
        }
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $on->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
        $count = self::times($status, $due, $on);
        if ($count > 1) {
            $event->add('RRULE', "FREQ=DAILY;INTERVAL={$due->chore->every};COUNT={$count}");
        }
    }

    /** How often it comes from a day on, that day included. */
    private static function times(BatchStatus $status, DueChore $due, CarbonImmutable $on): int
    {
        if ($due->chore->every === 0) {
            return 1;
        }
        $first = Household::daysBetween($status->household->dateOf($status->batch->started_at), $on->toDateString());
        $last = min($due->chore->last ?? PHP_INT_MAX, $status->day + self::AHEAD_DAYS);

        return max(1, 1 + intdiv($last - $first, $due->chore->every));
    }
}
