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

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
