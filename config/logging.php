<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'daily'),

    'channels' => [
        /*
        | One file a day, each kept for two weeks.
        */
        'daily' => [
            'driver' => 'daily',
            'days' => 14,
            'path' => env('TEMPESAL_LOGS', storage_path('logs')) . '/tempesal.log',
            'level' => 'debug',
            'replace_placeholders' => true,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
