<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeServing;
use App\Actions\ServeDish;
use App\Actions\ServePortion;
use App\Actions\UndoServing;
use App\Http\Requests\DishRequest;
use App\Http\Requests\ServeRequest;
use App\Models\Serving;
use App\Views\ServingView;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/**
 * Portions eaten, and taken back.
 */
final class ServingController
{
    private const SHOWN = ['person', 'batch', 'entry'];

    public function store(ServeRequest $request, ServePortion $serve): JsonResponse
    {
        $serving = $serve(
            $request->string('batchId')->value(),
            $request->string('personId')->value(),
            $request->grams(),
            $request->phase(),
            $request->moment(),
            $request->string('requestKey')->value(),
            way: $request->way(),
            plannedId: $request->filled('plannedId') ? $request->string('plannedId')->value() : null,
        );

        return new JsonResponse(ServingView::of($serving->load(self::SHOWN)), 201);
    }

    /** Several people at once, from one jar; with "dishAmount" as shares of what went into a dish. */
    public function together(DishRequest $request, ServeDish $serve): JsonResponse
    {
        $servings = $serve(
            $request->string('batchId')->value(),
            $request->portions(),
            $request->dish(),
            $request->phase(),
            $request->way(),
            $request->moment(),
            $request->string('requestKey')->value(),
        );

        return new JsonResponse(['servings' => self::shown($servings)], 201);
    }

    /** Puts right what was written down wrongly; it keeps the moment at which it was eaten. */
    public function change(string $serving, ServeRequest $request, ChangeServing $change): JsonResponse
    {
        Serving::query()->findOrFail($serving);

        return new JsonResponse(
            ServingView::of(
                $change
                    ->one(
                        $serving,
                        $request->string('batchId')->value(),
                        $request->string('personId')->value(),
                        $request->grams(),
                        $request->phase(),
                        $request->way(),
                        $request->moment(),
                        $request->string('requestKey')->value(),
                    )
                    ->load(self::SHOWN),
            ),
        );
    }

    /** The same for a dish, by any share of it. */
    public function changeDish(string $serving, DishRequest $request, ChangeServing $change): JsonResponse
    {
        Serving::query()->findOrFail($serving);
        $dish = $request->dish() ?? throw ValidationException::withMessages(['dishAmount' => 'errors.dish_amount']);

        return new JsonResponse([
            'servings' => self::shown(
                $change->dish(
                    $serving,
                    $request->string('batchId')->value(),
                    $request->portions(),
                    $dish,
                    $request->phase(),
                    $request->way(),
                    $request->moment(),
                    $request->string('requestKey')->value(),
                ),
            ),
        ]);
    }

    public function destroy(string $serving, UndoServing $undo): JsonResponse
    {
        return new JsonResponse(ServingView::of($undo($serving)->load(self::SHOWN)));
    }

    /**
     * @param  list<Serving>  $servings
     * @return list<array<string, mixed>>
     */
    private static function shown(array $servings): array
    {
        return array_map(static fn(Serving $one): array => ServingView::of($one->load(self::SHOWN)), $servings);
    }
}
