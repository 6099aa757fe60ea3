<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\Ingredient;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/*
 * Jars from a shop: what the label says is what they bring, and only what was never heated is live.
 */

beforeEach(function (): void {
    $this->travelTo(Carbon::parse('2026-11-25 12:00:00'));
    $this->asCook($this->cook());
    [$this->ada] = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    $this->shelve = fn(array $as = []): TestResponse => $this->postJson('/api/batches/bought', [
        'name' => 'Kraut from the market',
        'foodId' => Ingredient::query()->where('key', 'green-cabbage')->sole()->id,
        'amount' => '400 g',
        'servingAmount' => '40 g',
        'phase' => 'pieces',
        'isLive' => true,
        'allergens' => [],
        'place' => 'fridge',
        'labelSodiumMg' => 180,
        'labelServingGrams' => 30,
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ]);
});

/** @return array<string, mixed> what someone's serving of it is */
function eatBought(Tests\TestCase $test, string $batch, string $amount = '40 g', array $as = []): array
{
    return $test
        ->postJson('/api/servings', [
            'batchId' => $batch,
            'personId' => $test->ada,
            'amount' => $amount,
            'requestKey' => (string) Str::ulid(),
            ...$as,
        ])
        ->assertCreated()
        ->json();
}

it('serves by its label, with what a label leaves open', function (array $label): void {
    $jar = ($this->shelve)(['labelSodiumMg' => null, 'labelServingGrams' => null, ...$label])
        ->assertCreated()
        ->json();
    // 180 mg in 30 g are 600 mg in 100 g, 240 mg in 40 g; a fifth either way: 21 CFR 101.9(g)(5), from memory.
    $serving = eatBought($this, $jar['id']);
    expect($serving['sodium']['typical'])
        ->toEqualWithDelta(240.0, 1e-6)
        ->and($serving['sodium']['low'])
        ->toEqualWithDelta(192.0, 1e-6)
        ->and($serving['sodium']['high'])
        ->toEqualWithDelta(288.0, 1e-6);
    $left = $this->getJson("/api/batches/{$jar['id']}")->json();
    expect($left['gramsLeft'])
        ->toEqualWithDelta(360.0, 1e-6)
        ->and($left['methodLabel'])
        ->toBe('Bought')
        ->and($left['expectedPh'])
        ->toBeNull()
        ->and($left['jar'])
        ->not->toBeNull()
        ->and($left['isReady'])
        ->toBeTrue();
})->with([
    'a serving' => [['labelSodiumMg' => 180, 'labelServingGrams' => 30]],
    'salt in 100 g' => [['labelSaltPer100g' => 1.5]],
    'sodium in 100 g' => [['sodiumPer100g' => 600]],
]);

it('counts as live only what was never heated', function (): void {
    $live = ($this->shelve)()->json();
    $tinned = ($this->shelve)(['name' => 'Tinned kraut', 'isLive' => false])->json();
    expect($live['isLive'])->toBeTrue()->and($tinned['isLive'])->toBeFalse();
    eatBought($this, $tinned['id']);
    expect($this->getJson("/api/intake?personId={$this->ada}&days=7")->json('live'))->toBe(0);
    eatBought($this, $live['id']);
    expect($this->getJson("/api/intake?personId={$this->ada}&days=7")->json())->toMatchArray([
        'live' => 1,
        'kinds' => 1,
    ]);
    // The week is planned with the live one, at the sodium of its label.
    $week = $this->postJson('/api/weeks/today/fill', [
        'rest' => false,
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertOk()
        ->json();
    $planned = array_column($week['servings'], 'batchId');
    expect($planned)->toContain($live['id'])->and($week['people'][0]['kinds'])->toBe(1);
});

it('asks for nothing but to be used up by its date', function (): void {
    $jar = ($this->shelve)(['useBy' => '2026-12-10', 'place' => 'counter'])->json();
    expect($this->getJson('/api/chores')->json('now'))->toBe([]);
    expect($this->getJson("/api/labels?batches={$jar['id']}")->json('labels.0'))->toMatchArray([
        'rows' => [
            ['opened', '25 Nov 2026'],
            ['use by', '10 Dec'],
            ['sodium', '240 mg in 40 g'],
            ['potassium', 'about 90 mg in 40 g'],
        ],
        'foot' => 'None of the listed allergens; live',
    ]);
    $this->putJson("/api/batches/{$jar['id']}/place", [
        'place' => 'fridge',
        'requestKey' => (string) Str::ulid(),
    ])->assertSuccessful();
    $this->travelTo(Carbon::parse('2026-11-27 12:00:00'));
    expect(array_column($this->getJson('/api/chores')->json('now'), 'task'))->toBe(['use_up']);
    // Beyond the date nothing of it is planned.
    $this->travelTo(Carbon::parse('2026-12-09 12:00:00'));
    $week = $this->postJson('/api/weeks/2026-12-07/fill', [
        'rest' => false,
        'requestKey' => (string) Str::ulid(),
    ])->json();
    expect($week['servings'])->not->toBe([]);
    foreach ($week['servings'] as $serving) {
        expect($serving['date'])->toBeLessThanOrEqual('2026-12-10');
    }
});

it('is one jar for one press, and names what cannot be', function (array $wrong, string $field): void {
    $key = (string) Str::ulid();
    $first = ($this->shelve)(['requestKey' => $key])
        ->assertCreated()
        ->json('id');
    expect(($this->shelve)(['requestKey' => $key])->json('id'))->toBe($first);
    ($this->shelve)($wrong)->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Batch::query()->count())->toBe(1);
})->with([
    [['name' => ''], 'name'],
    [['amount' => 'much'], 'amount'],
    [['amount' => '0 g'], 'amount'],
    [['servingAmount' => '99 kg'], 'servingAmount'],
    [['phase' => 'brine'], 'phase'],
    [['labelSodiumMg' => null], 'sodiumPer100g'],
    [['labelServingGrams' => 0.5, 'labelSodiumMg' => 20_000], 'labelSodiumMg'],
    [['allergens' => ['air']], 'allergens.0'],
    [['useBy' => 'soon'], 'useBy'],
]);

it('is neither made on the bench nor by a formula', function (): void {
    $this->postJson('/api/bench', $this->bench(['method' => 'bought']))->assertJsonValidationErrors('method');
    $id = $this->getJson('/api/formulas')->json('formulas.0.id');
    $formula = $this->getJson("/api/formulas/{$id}")->json('document');
    $this->postJson('/api/formulas', [
        'document' => [...$formula, 'method' => 'bought'],
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors([
            'document.method' => 'Bought jars are not made. Add one on the shelf.',
        ]);
});
