<?php

declare(strict_types=1);

return [
    'name' => 'Tempesal',

    'env' => env('APP_ENV', 'production'),

    'debug' => (bool) env('APP_DEBUG', false),

    'url' => env('APP_URL', 'http://127.0.0.1'),

    /*
    | Moments are stored in UTC. The day a serving belongs to is the household's own: see Household::today().
    */
    'timezone' => 'UTC',

    'locale' => 'en',

    'fallback_locale' => 'en',

    'cipher' => 'AES-256-CBC',

    'key' => env('APP_KEY'),

    'maintenance' => ['driver' => 'file'],

    /*
    | Whether the sign-in page offers one click into the demo kitchen. `./tempesal demo` turns it on.
    */
    'demo' => (bool) env('TEMPESAL_DEMO', false),
];
