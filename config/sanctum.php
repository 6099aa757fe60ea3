<?php

declare(strict_types=1);

return [
    /*
    | A request that shows a token is judged by the token alone, and one without by its session.
    */
    'guard' => [],

    'stateful' => [],

    'routes' => false,

    'expiration' => null,

    /*
    | So that whoever finds one in a file knows what it is.
    */
    'token_prefix' => 'tempesal_',
];
