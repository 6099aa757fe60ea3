<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Household;
use App\Models\User;
use App\Support\Database;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Config;

/**
 * Figures of the installation for whoever watches it, as Prometheus reads them: for who knows the token of the settings, and
 * for nobody where there is none. Nothing of any kitchen is in them.
 *
 * Source: Prometheus, "Exposition formats", text-based format 0.0.4.
 */
final class MetricsController
{
    public function __invoke(Request $request): Response
    {
        $token = Config::get('tempesal.metrics_token');
        if (!is_string($token) || $token === '' || !hash_equals($token, (string) $request->bearerToken())) {
            abort(404);
        }
        $isUp = Database::answers();
        $figures = [
            'tempesal_database_up' => ['Whether the database answers.', $isUp ? 1 : 0],
            'tempesal_disk_free_bytes' => [
                'Room where photos lie.',
                (int) disk_free_space(dirname(Config::string('tempesal.photos'))),
            ],
        ];
        if ($isUp) {
            $figures['tempesal_kitchens'] = ['Kitchens.', Household::query()->count()];
            $figures['tempesal_cooks'] = ['Accounts.', User::query()->count()];
        }
        $text = '';
        foreach ($figures as $name => [$help, $value]) {
            $text .= "# HELP {$name} {$help}\n# TYPE {$name} gauge\n{$name} {$value}\n";
        }

        return new Response($text, 200, ['Content-Type' => 'text/plain; version=0.0.4; charset=utf-8']);
    }
}
