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
 * Portions eaten, corrected and undone.
 */
final class ServingController
{
    private const SHOWN = ['person', 'batch', 'entry'];

    public function store(ServeRequest $request, ServePortion $serve): JsonResponse
    {
        $serving = $serve(
            $request->servedFrom(),
            $request->string('personId')->value(),
            $request->grams(),
            $request->string('requestKey')->value(),
            $request->filled('plannedId') ? $request->string('plannedId')->value() : null,
        );

        return new JsonResponse(ServingView::of($serving->load(self::SHOWN)), 201);
    }

    /** Several people at once, from one jar; with "dishAmount" as shares of what went into a dish. */
    public function dish(DishRequest $request, ServeDish $serve): JsonResponse
    {
        $servings = $serve(
            $request->servedFrom(),
            $request->portions(),
            $request->dish(),
            $request->string('requestKey')->value(),
        );

        return new JsonResponse(['servings' => self::shown($servings)], 201);
    }

    /** Corrects a serving; it keeps the moment at which it was eaten. */
    public function change(string $serving, ServeRequest $request, ChangeServing $change): JsonResponse
    {
        Serving::query()->findOrFail($serving);

        return new JsonResponse(
            ServingView::of(
                $change
                    ->one(
                        $serving,
                        $request->servedFrom(),
                        $request->string('personId')->value(),
                        $request->grams(),
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
                    $request->servedFrom(),
                    $request->portions(),
                    $dish,
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
