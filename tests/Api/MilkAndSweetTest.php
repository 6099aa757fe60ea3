<?php

declare(strict_types=1);

use App\Models\Formula;
use App\Models\Ingredient;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/*
 * Milk and sweet cultures from the bench and from a formula, to the plate: no salt, a place and hours of their own, a
 * keeping of their own, kinds of cultures of their own.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-02T08:00:00Z'));
    $this->asCook($this->cook());
    $this->food = fn(string $key): string => Ingredient::query()->where('key', $key)->sole()->id;
    $this->bench = fn(array $change): array => [
        'method' => 'milk_and_sweet',
        'vegetableId' => ($this->food)('milk'),
        'vegetableAmount' => '900 g',
        'fixed' => 'strength',
        'strengthPercent' => '0',
        'strengthBasis' => 'of_everything',
        'starterId' => ($this->food)('yogurt'),
        'starterAmount' => '40 g',
        ...$change,
    ];
    $this->fromLibrary = function (string $key, ?string $place = null): array {
        $id = Formula::query()->where('key', $key)->sole()->id;
        $formula = $this->getJson("/api/formulas/{$id}")->json();

        return $this->postJson("/api/formulas/{$id}/batches", [
            'by' => 'as_written',
            'intoJarId' => null,
            'hasOneMore' => true,
            'name' => $formula['name'],
            'place' => $place ?? $formula['place'],
            'startedOn' => null,
            'plannedBatchId' => null,
            'begin' => 'packed',
            'requestKey' => (string) Str::ulid(),
        ])
            ->assertCreated()
            ->json();
    };
    $this->page = fn(array $jar): array => $this->getJson("/api/batches/{$jar['id']}")
        ->assertOk()
        ->json();
});

it('needs no salt on the bench, and warns of none', function (): void {
    $answer = $this->postJson('/api/bench', $this->bench(($this->bench)([])))->assertOk()->json();
    expect($answer['salt']['grams'] ?? 0.0)
        ->toEqualWithDelta(0.0, 1e-9)
        ->and(array_column($answer['advice'], 'code'))
        ->not->toContain('below_floor')
        // Milk 43 and yogurt 55 mg in 100 g (USDA composition tables, from memory): 43.5 in 100 g of both.
        ->and($answer['serving']['sodium']['typical'] / $answer['serving']['grams'])
        ->toEqualWithDelta((900 * 0.43 + 40 * 0.55) / 940, 0.01);
});

it('is ready at once in the warm, and never before its hours', function (): void {
    $jar = ($this->fromLibrary)('plain-yogurt');
    expect($jar['place'])->toBe('warm')->and($jar['isLive'])->toBeFalse();
    $this->travelTo(CarbonImmutable::parse('2026-11-02T15:00:00Z'));
    expect(($this->page)($jar)['isLive'])->toBeFalse();
    $this->travelTo(CarbonImmutable::parse('2026-11-02T16:05:00Z'));
    expect(($this->page)($jar)['isLive'])->toBeTrue();
});

it('is much slower on the counter than in the warm box', function (): void {
    $jar = ($this->fromLibrary)('plain-yogurt', 'counter');
    $this->travelTo(CarbonImmutable::parse('2026-11-03T08:00:00Z'));
    expect(($this->page)($jar)['isLive'])->toBeFalse();
    $this->travelTo(CarbonImmutable::parse('2026-11-04T20:00:00Z'));
    expect(($this->page)($jar)['isLive'])->toBeTrue();
});

it('keeps milk for two weeks and a sweet drink for longer', function (string $key, int $days): void {
    $jar = ($this->fromLibrary)($key);
    $ready = CarbonImmutable::parse(($this->page)($jar)['window']['readyOn'])->addHours(20);
    $this->travelTo($ready);
    $this->putJson("/api/batches/{$jar['id']}/place", [
        'place' => 'fridge',
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $attention = fn(): ?string => collect($this->getJson('/api/batches')->json('batches'))->firstWhere(
        'id',
        $jar['id'],
    )['attention']['code'] ?? null;
    $this->travelTo($ready->addDays($days - 1));
    expect($attention())->not->toBe('long');
    $this->travelTo($ready->addDays($days + 1));
    expect($attention())->toBe('long');
})->with([['plain-yogurt', 14], ['milk-kefir', 14], ['cultured-cream', 10], ['water-kefir', 14], ['kombucha', 60]]);

it('says what it is: milk is dairy, the others are drinks, and milk is an allergen', function (): void {
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $jars = array_map(fn(string $key): array => ($this->fromLibrary)($key), ['milk-kefir', 'kombucha']);
    $this->travelTo(CarbonImmutable::parse('2026-11-14T08:00:00Z'));
    foreach ($jars as $jar) {
        $this->postJson('/api/servings', [
            'batchId' => $jar['id'],
            'personId' => $person,
            'amount' => '100 g',
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
    }
    $kinds = collect($this->getJson("/api/intake?personId={$person}&days=7")->json('cultures.kinds'));
    expect($kinds->pluck('family', 'group')->sortKeys()->all())
        ->toBe(['dairy' => 'dairy', 'drink' => 'drink'])
        ->and(($this->page)($jars[0])['allergens'])
        ->toBe(['milk'])
        ->and(($this->page)($jars[1])['allergens'])
        ->toBe([]);
});

it('lends a starter that brings its milk along', function (): void {
    $jar = ($this->fromLibrary)('milk-kefir');
    $this->travelTo(CarbonImmutable::parse('2026-11-03T10:00:00Z'));
    $next = $this->startJar(
        ($this->bench)([
            'vegetableId' => ($this->food)('coconut-milk'),
            'vegetableAmount' => '400 g',
            'starterId' => null,
            'starterBatchId' => $jar['id'],
            'starterAmount' => '30 g',
            'name' => 'Coconut kefir',
        ]),
    )
        ->assertCreated()
        ->json();
    expect($next['allergens'] ?? ($this->page)($next)['allergens'])->toBe(['milk']);
});

it('is cared for without skimming, and its salt is not missed anywhere', function (): void {
    $jar = ($this->fromLibrary)('kombucha');
    $this->travelTo(CarbonImmutable::parse('2026-11-06T08:00:00Z'));
    $tasks = collect($this->getJson('/api/chores')->json('now'))
        ->where('batchId', $jar['id'])
        ->pluck('task');
    expect($tasks->all())
        ->not->toContain('skim')
        ->and(array_column(($this->page)($jar)['advice'], 'code'))
        ->not->toContain('below_floor')
        ->not->toContain('low_salt')
        ->not->toContain('too_warm');
});
