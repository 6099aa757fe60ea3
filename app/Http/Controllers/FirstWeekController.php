<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BeginRotation;
use App\Household\CurrentHousehold;
use App\Views\FirstWeekView;
use App\Week\FirstWeek;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * The way into a kitchen's first weeks.
 */
final readonly class FirstWeekController
{
    public function __construct(private CurrentHousehold $current) {}

    public function show(): JsonResponse
    {
        return new JsonResponse(FirstWeekView::of(FirstWeek::of($this->current->get())));
    }

    public function begin(Request $request, BeginRotation $begin): JsonResponse
    {
        $asked = $request->validate(
            ['requestKey' => ['required', 'string', 'ulid']],
            ['requestKey.*' => 'errors.request_key'],
        );
        return new JsonResponse(FirstWeekView::of($begin($asked['requestKey'])));
    }
}
