<?php

declare(strict_types=1);

use App\Models\PlannedServing;
use App\Week\WeekPlanning;
use Carbon\CarbonImmutable;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;

/*
 * Planning goes on beside everything else, can be stopped, and holds unless something has changed by then.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-30T07:00:00Z'));
    $this->asCook($this->cook());
    $this->jar = $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14'])->json('id');
    $this->planning = (string) Str::ulid();
    $this->plan = fn() => $this->postJson("/api/weeks/2026-11-30/plans/{$this->planning}", ['rest' => false]);
    $this->fill = fn(?string $planning = null) => $this->postJson('/api/weeks/2026-11-30/fill', [
        'rest' => false,
        'planning' => $planning,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $this->found = fn(): array => collect($this->getJson('/api/weeks/2026-11-30')->json('servings'))
        ->map(fn(array $one): string => "{$one['personId']} {$one['date']} {$one['grams']}")
        ->sort()
        ->values()
        ->all();
});

it('plans without putting anything in place, and then puts in place what was found', function (): void {
    $answer = ($this->plan)()->assertOk()->json();
    expect($answer['bound'])
        ->toBeGreaterThanOrEqual($answer['objective'])
        ->and($answer['servings'])
        ->toBe((int) ceil(($answer['bound'] - $answer['objective']) / 100))
        ->and(PlannedServing::query()->count())
        ->toBe(0)
        ->and($this->getJson("/api/plans/{$this->planning}")->json('told'))
        ->toBeNull();
    ($this->fill)($this->planning);
    $found = ($this->found)();
    expect($found)->not->toBe([]);
    // The same as planning on the spot.
    $this->postJson('/api/weeks/2026-11-30/undo', ['requestKey' => (string) Str::ulid()])->assertOk();
    ($this->fill)();
    expect(($this->found)())->toBe($found);
});

it('plans again where something has changed since', function (): void {
    ($this->plan)()->assertOk();
    // Nearly all of the jar is eaten meanwhile.
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $left = $this->getJson("/api/batches/{$this->jar}")->json('gramsLeft');
    $this->postJson('/api/servings', [
        'batchId' => $this->jar,
        'personId' => $person,
        'amount' => (string) ((int) $left - 30) . ' g',
        'requestKey' => (string) Str::ulid(),
    ])->assertSuccessful();
    ($this->fill)($this->planning);
    $planned = PlannedServing::query()->get()->sum(static fn(PlannedServing $one): float => $one->grams);
    expect($planned)->toBeLessThanOrEqual($this->getJson("/api/batches/{$this->jar}")->json('gramsLeft') + 1e-6);
});

it('stops when it is asked to, and tells how far it came', function (): void {
    $this->postJson("/api/plans/{$this->planning}/stop")->assertNotFound();
    $told = [];
    Event::listen(KeyWritten::class, function (KeyWritten $event) use (&$told): void {
        str_ends_with($event->key, 'told') ? ($told[] = $event->value) : null;
        // As soon as it has begun somebody stops it.
        str_ends_with($event->key, 'begun') ? app(WeekPlanning::class)->stop($this->planning) : null;
    });
    ($this->plan)()->assertOk();
    // It says one word at most, and what it has by then is a plan.
    expect(count($told))->toBeLessThanOrEqual(1);
    ($this->fill)($this->planning);
    expect(($this->found)())->not->toBe([]);
});

it('finds a planning for its own household alone', function (): void {
    ($this->plan)()->assertOk();
    $this->asCook($this->cook('neighbour@example.org'));
    $this->startJar(['name' => 'Theirs', 'startedOn' => '2026-11-14']);
    ($this->fill)($this->planning);
    expect(array_unique(array_column($this->getJson('/api/weeks/2026-11-30')->json('servings'), 'name')))->toBe([
        'Theirs',
    ]);
    $this->getJson('/api/plans/nonsense')->assertStatus(422);
});

it('answers what cannot be planned in a sentence', function (): void {
    $this->postJson("/api/weeks/2026-11-23/plans/{$this->planning}", ['rest' => false])->assertStatus(422);
    $this->postJson("/api/weeks/2026-11-30/plans/{$this->planning}", [])->assertStatus(422);
    $this->getJson("/api/plans/{$this->planning}")->assertJson(['told' => null]);
});
