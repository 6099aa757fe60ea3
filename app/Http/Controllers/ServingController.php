<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ServePortion;
use App\Actions\UndoServing;
use App\Http\Requests\ServeRequest;
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

    public function destroy(string $serving, UndoServing $undo): JsonResponse
    {
        return new JsonResponse(ServingView::of($undo($serving)->load(['person', 'batch'])));
    }
}
