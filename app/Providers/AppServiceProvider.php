<?php

declare(strict_types=1);

namespace App\Providers;

use App\Care\OwnTastes;
use App\Climate\Climates;
use App\Household\CurrentHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentHousehold::class);
        $this->app->scoped(Climates::class);
        $this->app->scoped(OwnTastes::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(20)
            ->by(($request->ip() ?? '').'|'.$request->string('email')->lower()->limit(190)));
    }
}
