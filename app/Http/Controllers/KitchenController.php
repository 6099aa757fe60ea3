<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OpenKitchen;
use App\Actions\StockPantry;
use App\Household\CurrentHousehold;
use App\Http\Requests\OpenKitchenRequest;
use App\Models\HoldDown;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use App\Views\KitchenView;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;

/**
 * What the household owns and who eats there.
 */
final class KitchenController
{
    public function show(CurrentHousehold $current): JsonResponse
    {
        return new JsonResponse(KitchenView::of(
            $current->get(),
            Person::atTable(),
            Jar::query()->with('batches')->withCount(['batches' => static fn ($query) => $query->where('emptied_at', null)])->orderBy('position')->get(),
            Salt::query()->orderBy('position')->get(),
            Ingredient::query()->orderBy('name')->get(),
            HoldDown::query()->orderBy('name')->get(),
        ));
    }

    public function presets(): JsonResponse
    {
        return new JsonResponse(['targets' => KitchenView::targets(), 'jars' => array_column(StockPantry::JARS, 0)]);
    }

    public function store(OpenKitchenRequest $request, OpenKitchen $open): JsonResponse
    {
        $user = $open(
            $request->string('name')->trim()->value(),
            $request->string('email')->trim()->lower()->value(),
            $request->string('password')->value(),
            $request->string('timeZone')->value(),
            $request->spoons(),
            $request->eaters(),
            $request->jarCounts(),
        );
        Auth::login($user);
        $request->session()->regenerate();

        return app(SessionController::class)->show($request)->setStatusCode(201);
    }
}
