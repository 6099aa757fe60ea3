<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeWeek;
use App\Household\CurrentHousehold;
use App\Intake\BackgroundIntake;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Views\DayView;
use App\Week\KitchenWeek;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Method\Method;

/**
 * Everyone's salt line on a day.
 */
final class DayController
{
    /**
     * The jars that were there on a day: those on the shelf, or for a day that is over those of that day.
     *
     * @return Collection<int, Batch>
     */
    private static function jars(string $date, Household $household): Collection
    {
        if ($date >= $household->today()) {
            return Batch::eatable()->orderBy('started_at')->get();
        }
        $begins = CarbonImmutable::parse($date, $household->time_zone)->utc();
        $ends = CarbonImmutable::parse($date, $household->time_zone)->addDay()->utc();
        $jars = Batch::whole()->where('started_at', '<', $ends)->where('method', '!=', Method::SpareBrine);
        $jars->where(
            static fn(Builder $either): Builder => $either
                ->whereNull('emptied_at')
                ->orWhere('emptied_at', '>=', $begins),
        );

        return $jars->orderBy('started_at')->get();
    }

    /**
     * What was planned for the last days and not eaten, and what is planned for the rest of the week; only today asks for it.
     *
     * @return Collection<int, PlannedServing>
     */
    private static function around(string $date, Household $household): Collection
    {
        $day = CarbonImmutable::parse($date);
        $from = KitchenWeek::firstDayOf($household, 'today');

        return $date !== $household->today()
            ? new Collection()
            : PlannedServing::open(
                $day->subDays(ChangeWeek::GOES_ON_DAYS)->toDateString(),
                CarbonImmutable::parse($from)->addDays(6)->toDateString(),
            )->where('planned_on', '!=', $date);
    }

    public function __invoke(string $date, CurrentHousehold $current): JsonResponse
    {
        if ($date === 'today') {
            $date = $current->get()->today();
        }
        if (!CarbonImmutable::canBeCreatedFromFormat($date, 'Y-m-d')) {
            throw ValidationException::withMessages(['date' => 'errors.date']);
        }

        return new JsonResponse(
            DayView::of(
                $date,
                $current->get(),
                Person::atTableOn([$date]),
                Serving::query()
                    ->with(['person', 'batch', 'entry'])
                    ->where('eaten_on', $date)
                    ->whereNull('undone_at')
                    ->oldest()
                    ->get(),
                BackgroundIntake::between($date, $date),
                PlannedServing::open($date, $date),
                self::jars($date, $current->get()),
                self::around($date, $current->get()),
            ),
        );
    }
}
