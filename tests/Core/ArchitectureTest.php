<?php

declare(strict_types=1);

arch('the core stands alone')
    ->expect('Tempesal\Core')
    ->not->toUse(['Illuminate', 'App', 'Symfony', 'Carbon', 'Opis', 'Database']);

arch('the core has no clock, no chance and no way out')
    ->expect([
        'date',
        'time',
        'microtime',
        'now',
        'rand',
        'mt_rand',
        'random_int',
        'file_get_contents',
        'fopen',
        'getenv',
        'config',
        'app',
        'dump',
        'dd',
    ])
    ->not->toBeUsedIn('Tempesal\Core');

arch('every file is strict')
    ->expect(['Tempesal\Core', 'App'])
    ->toUseStrictTypes();

arch('controllers leave the database to actions, models and views')
    ->expect('Illuminate\Support\Facades\DB')
    ->not->toBeUsedIn('App\Http');
