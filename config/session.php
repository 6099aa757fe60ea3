<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),

    /*
    | Minutes since it was last used. A kitchen tablet stays signed in for two months.
    */
    'lifetime' => 60 * 24 * 60,

    'connection' => env('SESSION_CONNECTION', 'default'),

    'expire_on_close' => false,

    'encrypt' => false,

    'files' => env('TEMPESAL_SESSIONS', storage_path('framework/sessions')),

    'lottery' => [2, 100],

    'cookie' => 'tempesal_session',

    'path' => '/',

    'domain' => null,

    'secure' => env('SESSION_SECURE_COOKIE', false),

    'http_only' => true,

    'same_site' => 'lax',
];
