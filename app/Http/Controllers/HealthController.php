<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ServerAway;
use App\Support\Database;
use Illuminate\Http\JsonResponse;

/**
 * Whether the installation works: for whoever watches it.
 */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        if (!Database::answers()) {
            return new JsonResponse(['status' => 'down', 'database' => 'down'], 503, [
                'Retry-After' => (string) ServerAway::ASK_AGAIN_S,
            ]);
        }

        return new JsonResponse(['status' => 'up', 'database' => 'up']);
    }
}
