<?php

return [Laravel\Sanctum\SanctumServiceProvider::class, App\Providers\AppServiceProvider::class];
