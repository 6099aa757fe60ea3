<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordOtherFood;
use App\Household\CurrentHousehold;
use App\Http\Requests\OtherFoodRequest;
use App\Intake\BackgroundIntake;
use App\Models\OtherFood;
use App\Models\Person;
use App\Views\IntakeView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * What was eaten besides the jars.
 */
final readonly class OtherFoodController
{
    private const RECENT_DAYS = 90;

    public function __construct(private RecordOtherFood $write) {}

    /**
     * What was written down lately, to be written down again; with "personId" what they have most often first, and with "date"
     * what they had on the day before.
     */
    public function known(Request $request, CurrentHousehold $current): JsonResponse
    {
        $asked = $request->validate(
            ['personId' => ['nullable', 'string', 'max:26'], 'date' => ['nullable', 'string', 'date_format:Y-m-d']],
            ['personId.*' => 'errors.which_person', 'date.*' => 'errors.date'],
        );
        $person = $asked['personId'] ?? null;
        if ($person !== null) {
            Person::query()->findOrFail($person);
        }
        $since = CarbonImmutable::parse($current->get()->today())
            ->subDays(self::RECENT_DAYS)
            ->toDateString();
        $written = BackgroundIntake::between($since, '9999-12-31')->written;
        $before =
            $person === null || !isset($asked['date'])
                ? null
                : CarbonImmutable::parse($asked['date'])->subDay()->toDateString();

        return new JsonResponse([
            'foods' => IntakeView::known($written, $person),
            'dayBefore' => IntakeView::known(
                $written
                    ->where('person_id', $person)
                    ->where('eaten_on', $before ?? '')
                    ->values(),
            ),
        ]);
    }

    /** What someone had on another day, once more: all of it or nothing. */
    public function again(Request $request): JsonResponse
    {
        $asked = $request->validate(
            [
                'personId' => ['required', 'string', 'max:26'],
                'eatenOn' => ['required', 'string', 'date_format:Y-m-d'],
                'from' => ['required', 'string', 'date_format:Y-m-d'],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            [
                'personId.*' => 'errors.which_person',
                'eatenOn.*' => 'errors.date',
                'from.*' => 'errors.date',
                'requestKey.*' => 'errors.request_key',
            ],
        );

        return new JsonResponse(
            [
                'foods' => array_map(
                    IntakeView::food(...),
                    $this->write->again($asked['personId'], $asked['from'], $asked['eatenOn'], $asked['requestKey']),
                ),
            ],
            201,
        );
    }

    public function store(OtherFoodRequest $request): JsonResponse
    {
        return new JsonResponse(
            IntakeView::food(($this->write)($request->columns(), $request->string('requestKey')->value())),
            201,
        );
    }

    public function change(string $otherFood, OtherFoodRequest $request): JsonResponse
    {
        OtherFood::query()->findOrFail($otherFood);

        return new JsonResponse(
            IntakeView::food(
                $this->write->change($otherFood, $request->columns(), $request->string('requestKey')->value()),
            ),
        );
    }

    public function destroy(string $otherFood): JsonResponse
    {
        return new JsonResponse(IntakeView::food($this->write->takeBack($otherFood)));
    }
}
