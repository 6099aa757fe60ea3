<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordOtherFood;
use App\Household\CurrentHousehold;
use App\Http\Requests\OtherFoodRequest;
use App\Intake\BackgroundIntake;
use App\Models\OtherFood;
use App\Views\IntakeView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;

/**
 * What was eaten besides the jars.
 */
final readonly class OtherFoodController
{
    private const RECENT_DAYS = 90;

    public function __construct(private RecordOtherFood $write) {}

    /** What was written down lately, to be written down again. */
    public function known(CurrentHousehold $current): JsonResponse
    {
        $since = CarbonImmutable::parse($current->get()->today())
            ->subDays(self::RECENT_DAYS)
            ->toDateString();

        return new JsonResponse([
            'foods' => IntakeView::known(BackgroundIntake::between($since, '9999-12-31')->written),
        ]);
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
