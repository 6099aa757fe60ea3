<?php

declare(strict_types=1);

return [
    'driver' => 'file',

    /*
    | Minutes. A kitchen tablet stays signed in for two weeks.
    */
    'lifetime' => 60 * 24 * 14,

    'expire_on_close' => false,

    'encrypt' => false,

    'files' => storage_path('framework/sessions'),

    'lottery' => [2, 100],

    'cookie' => 'tempesal_session',

    'path' => '/',

    'domain' => null,

    'secure' => env('SESSION_SECURE_COOKIE', false),

    'http_only' => true,

    'same_site' => 'lax',
];
