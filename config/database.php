<?php

declare(strict_types=1);

return [
    'default' => 'mariadb',

    'connections' => [
        /*
        | Started on loopback by the `tempesal` command, which also sets these variables.
        */
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3306'),
            // What is only read can come from a copy of the database; whoever has just written reads from the first.
            ...env('DB_READ_HOST') === null
                ? []
                : [
                    'read' => ['host' => env('DB_READ_HOST'), 'port' => env('DB_READ_PORT', env('DB_PORT', '3306'))],
                    'write' => ['host' => env('DB_HOST', '127.0.0.1')],
                    'sticky' => true,
                ],
            'database' => env('DB_DATABASE', 'tempesal'),
            'username' => env('DB_USERNAME', 'tempesal'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            // Whoever waited for a row sees what was written to it, and to what hangs on it, while they waited.
            'isolation_level' => 'READ COMMITTED',
            'engine' => 'InnoDB',
        ],
    ],

    /*
    | For installations of more than one machine: SESSION_DRIVER=redis and CACHE_STORE=redis.
    */
    'redis' => [
        'client' => 'predis',
        'options' => ['prefix' => 'tempesal:'],
        'default' => [
            'host' => env('REDIS_HOST', '127.0.0.1'),
            'port' => env('REDIS_PORT', '6379'),
            'password' => env('REDIS_PASSWORD'),
            'database' => 0,
        ],
        'cache' => [
            'host' => env('REDIS_HOST', '127.0.0.1'),
            'port' => env('REDIS_PORT', '6379'),
            'password' => env('REDIS_PASSWORD'),
            'database' => 1,
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
