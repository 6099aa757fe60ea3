<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ServePortion;
use App\Actions\ServeTogether;
use App\Actions\UndoServing;
use App\Http\Requests\ServeRequest;
use App\Http\Requests\TogetherRequest;
use App\Models\Serving;
use App\Views\ServingView;
use Illuminate\Http\JsonResponse;

/**
 * Portions eaten, and taken back.
 */
final class ServingController
{
    public function store(ServeRequest $request, ServePortion $serve): JsonResponse
    {
        $serving = $serve(
            $request->string('batchId')->value(),
            $request->string('personId')->value(),
            $request->grams(),
            $request->phase(),
            $request->eatenOn(),
            $request->string('requestKey')->value(),
            way: $request->way(),
            plannedId: $request->filled('plannedId') ? $request->string('plannedId')->value() : null,
        );

        return new JsonResponse(ServingView::of($serving->load(['person', 'batch'])), 201);
    }

    /** Several people at once, from one jar; with "dishAmount" as shares of what went into a dish. */
    public function together(TogetherRequest $request, ServeTogether $serve): JsonResponse
    {
        $servings = $serve(
            $request->string('batchId')->value(), $request->portions(), $request->dish(), $request->phase(), $request->way(),
            $request->eatenOn(), $request->string('requestKey')->value(),
        );

        return new JsonResponse(['servings' => array_map(static fn (Serving $one): array => ServingView::of($one->load(['person', 'batch'])), $servings)], 201);
    }

    public function destroy(string $serving, UndoServing $undo): JsonResponse
    {
        return new JsonResponse(ServingView::of($undo($serving)->load(['person', 'batch'])));
    }
}
