<?php

declare(strict_types=1);

return [
    /*
    | Where photos of jars are kept: never below public/. The tempesal command puts them beside the database.
    */
    'photos' => env('TEMPESAL_PHOTOS', storage_path('app/photos')),

    /*
    | Where large files lie while they come in.
    */
    'uploads' => env('TEMPESAL_UPLOADS', storage_path('app/uploads')),

    /*
    | With it as a bearer token /metrics can be read; without one nobody can.
    */
    'metrics_token' => env('TEMPESAL_METRICS_TOKEN'),

    /*
    | How many kitchens may be opened from one address within ten minutes.
    */
    'kitchens_at_once' => (int) env('TEMPESAL_KITCHENS_AT_ONCE', 20),
];
