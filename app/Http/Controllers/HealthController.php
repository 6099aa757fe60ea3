<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ServerAway;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Whether the installation works: for whoever watches it.
 */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        try {
            DB::select('select 1');
        } catch (Throwable) {
            return new JsonResponse(['status' => 'down', 'database' => 'down'], 503, [
                'Retry-After' => (string) ServerAway::ASK_AGAIN_S,
            ]);
        }

        return new JsonResponse(['status' => 'up', 'database' => 'up']);
    }
}
