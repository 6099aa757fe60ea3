<?php

declare(strict_types=1);

use App\Http\ApiErrors;
use App\Http\Middleware\ApplyIdempotencyKey;
use App\Http\Middleware\BindHousehold;
use App\Http\Middleware\CheckFormToken;
use App\Http\Middleware\GuardAnswers;
use App\Http\Middleware\LeaveGarbage;
use App\Http\Middleware\PackAnswer;
use App\Http\Middleware\ReadOwnWrites;
use App\Http\Middleware\RejectMalformedRequests;
use App\Http\Middleware\StartNoSessionForTokens;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Middleware\SetCacheHeaders;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__ . '/../routes/web.php', commands: __DIR__ . '/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->appendToGroup('web', ReadOwnWrites::class);
        $middleware->alias(['household' => BindHousehold::class, 'once' => ApplyIdempotencyKey::class]);
        $middleware->prepend(RejectMalformedRequests::class);
        $middleware->web(replace: [ValidateCsrfToken::class => CheckFormToken::class]);
        $middleware->prepend(StartNoSessionForTokens::class);
        $middleware->prepend(PackAnswer::class);
        $middleware->prepend(GuardAnswers::class);
        $middleware->prepend(LeaveGarbage::class);
        // What has not changed since is not sent again.
        $middleware->append(SetCacheHeaders::using('no_cache;private;etag'));
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        ApiErrors::register($exceptions);
    })
    ->create();

// Where an installation keeps its settings; without one they come from whoever starts it (config/settings.env).
$settings = getenv('TEMPESAL_SETTINGS');

return is_string($settings) && $settings !== ''
    ? $app->useEnvironmentPath(dirname($settings))->loadEnvironmentFrom(basename($settings))
    : $app->useEnvironmentPath($app->configPath())->loadEnvironmentFrom('settings.env');
