<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\SignedIn;
use App\Account\SignInLimits;
use App\Actions\CreateHousehold;
use App\Actions\SeedPantry;
use App\Http\Requests\CreateHouseholdRequest;
use App\Http\Responses\KitchenPage;
use App\Http\Responses\SessionState;
use App\Views\KitchenView;
use Illuminate\Http\JsonResponse;

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
        return new JsonResponse(['targets' => KitchenView::targets(), 'jars' => array_column(SeedPantry::JARS, 0)]);
    }

    public function store(CreateHouseholdRequest $request, SignInLimits $limits, CreateHousehold $open): JsonResponse
    {
        $limits->kitchen($request);
        $user = $open(
            $request->string('name')->trim()->value(),
            $request->string('email')->trim()->lower()->value(),
            $request->string('password')->value(),
            $request->string('timeZone')->value(),
            $request->units(),
            $request->eaters(),
            $request->jarCounts(),
            measureBy: $request->measureBy(),
        );
        SignedIn::begin($request, $user);

        return SessionState::answer($user, 201);
    }
}
