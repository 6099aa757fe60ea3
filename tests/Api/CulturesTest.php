<?php

declare(strict_types=1);

use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/*
 * What someone ate live, by kind; how it sits with them; what it means for their plan.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-02T10:00:00Z'));
    $this->asCook($this->cook());
    $this->person = Person::query()->firstOrFail()->id;
    $this->jar = $this->startJar(['name' => 'Sticks'])->json('id');
    $this->eat = fn(float $grams) => $this->postJson('/api/servings', [
        'batchId' => $this->jar,
        'personId' => $this->person,
        'amount' => "{$grams} g",
        'phase' => 'pieces',
        'way' => 'drained',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->intake = fn(): array => $this->getJson("/api/intake?personId={$this->person}&days=7")
        ->assertOk()
        ->json();
    $this->mark = fn(array $tolerances) => $this->putJson("/api/people/{$this->person}", [
        'version' => Person::query()->findOrFail($this->person)->version,
        'tolerances' => $tolerances,
    ]);
});

it('has a thread for what was eaten live, young first, then ripe, and says when it was long ago', function (): void {
    ($this->eat)(20.0);
    expect(($this->intake)()['cultures']['kinds'])->toBe([]);
    $this->travelTo(CarbonImmutable::parse('2026-11-08T10:00:00Z'));
    ($this->eat)(20.0);
    $this->travelTo(CarbonImmutable::parse('2026-11-20T10:00:00Z'));
    ($this->eat)(30.0);
    $answer = ($this->intake)()['cultures'];
    expect(count($answer['weeks']))
        ->toBe(12)
        ->and($answer['weeks'][11]['to'])
        ->toBe('2026-11-20')
        ->and($answer['weeks'][11]['grams'])
        ->toEqualWithDelta(30.0, 1e-9)
        ->and($answer['kinds'])
        ->toHaveCount(1)
        ->and($answer['kinds'][0])
        ->toMatchArray([
            'group' => 'brined',
            'family' => 'plant',
            'names' => ['Sticks'],
            'lastOn' => '2026-11-20',
            'isNew' => true,
            'isMissed' => false,
            'young' => 1,
            'ripe' => 1,
            'tolerance' => null,
        ]);
    $this->travelTo(CarbonImmutable::parse('2026-12-11T10:00:00Z'));
    expect(($this->intake)()['cultures']['kinds'][0])->toMatchArray(['isNew' => false, 'isMissed' => true]);
});

it('writes how a kind sits, and takes it off again', function (): void {
    ($this->mark)(['brined' => 'little'])
        ->assertOk()
        ->assertJsonPath('people.0.tolerances.brined', 'little');
    ($this->mark)(['brined' => 'not_now', 'dairy' => 'well'])->assertOk();
    $person = collect($this->getJson('/api/kitchen')->json('people'))->firstWhere('id', $this->person);
    expect($person['tolerances'])->toBe(['brined' => 'not_now', 'dairy' => 'well']);
    ($this->mark)([])->assertOk();
    expect(Person::query()->findOrFail($this->person)->tolerances)->toBe([]);
    ($this->mark)(['brined' => 'badly'])->assertJsonValidationErrors('tolerances.brined');
    ($this->mark)(['cheese' => 'well'])->assertJsonValidationErrors('tolerances');
});

it('plans nothing of a kind that is not for now, and says why', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-16T10:00:00Z'));
    $objection = function (): ?string {
        $week = $this->getJson('/api/weeks/2026-11-16')->assertOk()->json();
        $jar = collect($week['jars'])->firstWhere('id', $this->jar);

        return collect($jar['portions'])->firstWhere('personId', $this->person)['notFor'] ?? null;
    };
    $before = $objection();
    ($this->mark)(['brined' => 'not_now'])->assertOk();
    expect($before)->toBeNull()->and($objection())->toBe('Marked “not for now”.');
    ($this->mark)(['brined' => 'little'])->assertOk();
    expect($objection())->toBeNull();
});

it('says the potassium of a portion, and of a jar with a potassium salt that not all may eat it', function (): void {
    $kitchen = $this->wholeKitchen();
    $salt = collect($kitchen['salts'])->firstWhere('key', 'half-potassium')['id'];
    $blend = $this->startJar(['name' => 'Blend', 'saltId' => $salt])->json('id');
    $plain = $this->getJson("/api/batches/{$this->jar}")->json();
    $with = $this->getJson("/api/batches/{$blend}")->json();
    $about = static fn(array $jar): int => preg_match('/about ([\d,]+) mg in/', $jar['potassium'], $found) === 1
        ? (int) str_replace(',', '', $found[1])
        : 0;
    expect($about($plain))
        ->toBeGreaterThan(20)
        ->and($about($with))
        ->toBeGreaterThan(2 * $about($plain))
        ->and($plain['allergens'])
        ->not->toContain('potassium_salt')
        ->and($with['allergens'])
        ->toContain('potassium_salt');
    $this->putJson("/api/people/{$this->person}", [
        'version' => Person::query()->findOrFail($this->person)->version,
        'allergens' => ['added' => ['potassium_salt'], 'removed' => []],
    ])->assertOk();
    $portion = collect($this->getJson("/api/batches/{$blend}")->json('portions'))->firstWhere(
        'personId',
        $this->person,
    );
    expect($portion['clashes'])->toBe(['potassium_salt']);
    $rows = collect($this->getJson("/api/labels?batches={$blend}")->json('labels'))->first()['rows'];
    expect(array_column($rows, 0))->toContain('potassium')->toContain('keep until');
});
