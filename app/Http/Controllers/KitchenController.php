<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OpenKitchen;
use App\Actions\StockPantry;
use App\Http\Requests\OpenKitchenRequest;
use App\Http\Responses\KitchenPage;
use App\Http\Responses\SessionState;
use App\Views\KitchenView;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;

/**
 * What the household owns and who eats there.
 */
final class KitchenController
{
    public function show(KitchenPage $kitchen): JsonResponse
    {
        return $kitchen->answer();
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

        return SessionState::answer($user, 201);
    }
}
