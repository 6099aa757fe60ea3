<?php

declare(strict_types=1);

return [
    /*
    | Where photos of jars are kept: never below public/. The tempesal command puts them beside the database.
    */
    'photos' => env('TEMPESAL_PHOTOS', storage_path('app/photos')),
];
