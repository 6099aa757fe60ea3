<?php

declare(strict_types=1);

namespace App\Providers;

use App\Account\OutboxTransport;
use App\Care\TastingHistory;
use App\Climate\RoomClimates;
use App\Household\CurrentHousehold;
use App\Http\BoundedLists;
use App\Models\AccessToken;
use App\Models\Note;
use App\Models\Room;
use App\Models\RoomSpell;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentHousehold::class);
        $this->app->scoped(RoomClimates::class);
        $this->app->scoped(TastingHistory::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        self::forgetWhatChanged();
        Validator::resolver(
            static fn(
                Translator $translator,
                array $data,
                array $rules,
                array $messages,
                array $attributes,
            ): \Illuminate\Validation\Validator => new \Illuminate\Validation\Validator(
                $translator,
                $data,
                BoundedLists::prune($data, $rules),
                $messages,
                $attributes,
            ),
        );
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Mail::extend('outbox', static fn(array $config): OutboxTransport => new OutboxTransport($config['folder']));
    }

    /** What is read once for each change is read again after one. */
    private static function forgetWhatChanged(): void
    {
        Note::saved(static fn() => app(TastingHistory::class)->forget());
        Room::saved(static fn() => app(RoomClimates::class)->forget());
        RoomSpell::saved(static fn() => app(RoomClimates::class)->forget());
        RoomSpell::deleted(static fn() => app(RoomClimates::class)->forget());
    }
}
