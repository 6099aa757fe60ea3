<?php

declare(strict_types=1);

return [
    /*
    | Addresses of servers before this one, with commas between; what they say of who asks and how is believed.
    */
    'proxies' => env('TRUSTED_PROXIES'),
];
