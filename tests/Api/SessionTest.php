<?php

declare(strict_types=1);

use App\Demo\DemoKitchen;
use App\Models\Household;
use App\Models\Person;
use App\Models\User;

it('lets a cook in with the right key only', function (): void {
    $this->cook('cook@example.org');
    $this->getJson('/api/session')->assertOk()->assertJsonPath('isSignedIn', false);
    $this->postJson('/api/session', ['email' => 'cook@example.org', 'password' => 'wrong'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.email.0', 'Wrong e-mail or password.');
    $this->postJson('/api/session', [])
        ->assertUnprocessable()
        ->assertJsonPath('errors.password.0', 'Enter your password.');
    $this->postJson('/api/session', ['email' => 'cook@example.org', 'password' => 'a long enough password'])
        ->assertOk()
        ->assertJsonPath('household.name', 'Test kitchen');
    $this->deleteJson('/api/session')->assertOk()->assertJsonPath('isSignedIn', false);
});

it('shows nothing to a stranger', function (string $method, string $uri): void {
    $this->json($method, $uri)
        ->assertUnauthorized()
        ->assertJson(['message' => 'Please sign in again. What you typed is kept.']);
})->with([
    ['GET', '/api/kitchen'],
    ['POST', '/api/bench'],
    ['GET', '/api/batches'],
    ['POST', '/api/batches'],
    ['GET', '/api/batches/x'],
    ['GET', '/api/days/today'],
    ['POST', '/api/servings'],
    ['DELETE', '/api/servings/x'],
    ['DELETE', '/api/session'],
]);

it('opens the demo kitchen in one request, and only where it is on', function (): void {
    $this->postJson('/api/session/demo')->assertNotFound();
    app(DemoKitchen::class)->layOut();
    $this->getJson('/api/session')->assertJsonPath('demoIsOpen', true);
    $this->postJson('/api/session/demo')->assertOk()->assertJsonPath('household.isDemo', true);
    config(['app.demo' => false]);
    $this->getJson('/api/session')->assertJsonPath('demoIsOpen', false);
});

it('lays the demo out once a day, around today', function (): void {
    $demo = app(DemoKitchen::class);
    $demo->layOut();
    $first = Household::query()->sole()->id;
    $demo->layOut();
    expect(Household::query()->sole()->id)->toBe($first);
    $this->travel(1)->days();
    $demo->layOut();
    expect(Household::query()->sole()->id)->not->toBe($first);

    $this->postJson('/api/session/demo')->assertOk();
    $day = $this->getJson('/api/days/today')->assertOk();
    $targets = collect($day->json('people'))->pluck('targetMg');
    expect($targets)
        ->toHaveCount(3)
        ->and($targets->unique()->count())
        ->toBeGreaterThan(1)
        ->and(count($day->json('jars')))
        ->toBeGreaterThanOrEqual(5)
        ->and(collect($day->json('jars'))->pluck('dayCount')->unique()->count())
        ->toBeGreaterThan(4)
        ->and(collect($day->json('people'))->pluck('marginMg')->min())
        ->toBeLessThan(100);
});

it('opens a kitchen of one\'s own and stocks it', function (): void {
    $kitchen = [
        'name' => 'New kitchen',
        'email' => 'New@Example.org',
        'password' => 'ten letters at least',
        'timeZone' => 'Europe/Paris',
        'spoonSystem' => 'metric',
        'people' => [
            ['name' => 'Cy', 'preset' => 'who_adult', 'restOfDietMg' => 1300],
            ['name' => 'Di', 'preset' => null, 'targetMg' => 1350, 'restOfDietMg' => 900],
        ],
        'jarCounts' => [1, 2, 0],
    ];
    $this->postJson('/api/kitchens', $kitchen)->assertCreated()->assertJsonPath('isSignedIn', true);
    expect(User::query()->sole()->email)->toBe('new@example.org');
    $this->getJson('/api/kitchen')
        ->assertOk()
        ->assertJsonPath('people.0.targetMg', 2000)
        ->assertJsonPath('people.1.targetMg', 1350)
        ->assertJsonPath('jars.1.howMany', 2)
        ->assertJsonCount(10, 'salts');
    expect(Person::query()->withoutGlobalScopes()->count())->toBe(2);

    $this->postJson('/api/kitchens', $kitchen)
        ->assertUnprocessable()
        ->assertJsonPath('errors.email.0', 'This e-mail address already has a kitchen. Sign in instead.');
    $this->postJson('/api/kitchens', [
        ...$kitchen,
        'email' => 'x',
        'people' => [['name' => '', 'preset' => null, 'targetMg' => -5, 'restOfDietMg' => 'much']],
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['email', 'people.0.name', 'people.0.targetMg', 'people.0.restOfDietMg']);
    expect(Household::query()->count())->toBe(1);
});

it('names the source of every preset', function (): void {
    $presets = $this->getJson('/api/presets')->assertOk()->json('targets');
    expect(collect($presets)->pluck('source')->filter())
        ->toHaveCount(count($presets))
        ->and(collect($presets)->firstWhere('id', 'who_adult')['milligrams'])
        ->toBe(2000);
});
