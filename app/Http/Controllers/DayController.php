<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Intake\Rest;
use App\Models\Batch;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Views\DayView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/**
 * Everyone's salt line on a day.
 */
final class DayController
{
    public function __invoke(string $date, CurrentHousehold $current): JsonResponse
    {
        if ($date === 'today') {
            $date = $current->get()->today();
        }
        if (! CarbonImmutable::canBeCreatedFromFormat($date, 'Y-m-d')) {
            throw ValidationException::withMessages(['date' => 'A date is written like 2026-11-24.']);
        }

        return new JsonResponse(DayView::of(
            $date,
            $current->get(),
            Person::atTable(),
            Serving::query()->with(['person', 'batch', 'entry'])->where('eaten_on', $date)->whereNull('undone_at')->oldest()->get(),
            Rest::between($date, $date),
            PlannedServing::open($date, $date),
            Batch::onShelf()->orderBy('started_at')->get(),
        ));
    }
}
