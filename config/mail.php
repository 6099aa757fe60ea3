<?php

declare(strict_types=1);

return [
    /*
    | "outbox" writes each mail to a file; "smtp" sends it by the server below.
    */
    'default' => env('MAIL_MAILER', 'outbox'),

    'mailers' => [
        'outbox' => ['transport' => 'outbox', 'folder' => env('TEMPESAL_OUTBOX', storage_path('app/outbox'))],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 15,
        ],
        'array' => ['transport' => 'array'],
    ],

    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'tempesal@localhost'), 'name' => 'Tempesal'],
];
