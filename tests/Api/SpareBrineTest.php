<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\Ingredient;
use Illuminate\Support\Str;

beforeEach(fn() => $this->asCook($this->cook()));

/** @return array<string, mixed> a jar of carrots from 2 quarts of brine, of which not all fits */
function twoQuarts(array $change = []): array
{
    return [
        'jarId' => test()->jar('Quart jar'),
        'vegetableAmount' => '500 g',
        'fixed' => 'salt',
        'saltAmount' => '60 g',
        'waterAmount' => '2 quarts',
        ...$change,
    ];
}

/** @return array<string, mixed> the shelf's row of what was kept */
function spare(Tests\TestCase $test): array
{
    return collect($test->getJson('/api/batches')->json('batches'))->firstWhere('method', 'spare_brine');
}

it('keeps what was mixed and not poured, and loses no salt', function (): void {
    $bench = $this->postJson('/api/bench', $this->bench(twoQuarts()))->assertOk()->json();
    $jar = $this->startJar(twoQuarts(['keepsLeftOver' => true]))->assertCreated()->json();
    $spare = spare($this);
    expect($spare['name'])
        ->toBe('Spare brine, Carrots')
        ->and($spare['gramsLeft'])
        ->toEqualWithDelta($bench['leftOverGrams'], 0.01)
        ->and($spare['isFood'])
        ->toBeFalse()
        ->and($spare['isReady'])
        ->toBeFalse()
        ->and($spare['place'])
        ->toBe('fridge')
        // 60 g of salt in 2 quarts: 60 / (60 + 1,893).
        ->and($spare['liquidPercent'])
        ->toEqualWithDelta((60.0 / (60.0 + $bench['waterGrams'])) * 100.0, 0.01);
    // The jar's own book says of the rest that it was not used; it stands in the book of what was kept.
    $sodium = fn(string $id): float => collect($this->getJson("/api/batches/{$id}")->json('flow.to'))
        ->where('name', '!=', 'not_used')
        ->sum('sodiumMg');
    // Sodium chloride is 39.34 % sodium (molar masses 22.99 and 58.44 g/mol); the carrots bring 69 mg per 100 g.
    $carrots = 69.0 * 5.0;
    expect($sodium($jar['id']) + $sodium($spare['id']))->toEqualWithDelta(60_000.0 * 0.3934 + $carrots, 150.0);
});

it('pours it away unless it is to be kept', function (): void {
    $this->startJar(twoQuarts())->assertCreated();
    expect(Batch::query()->where('method', 'spare_brine')->exists())->toBeFalse();
});

it('starts nothing twice', function (): void {
    $key = (string) Str::ulid();
    $this->startJar(twoQuarts(['keepsLeftOver' => true, 'requestKey' => $key]))->assertCreated();
    $this->startJar(twoQuarts(['keepsLeftOver' => true, 'requestKey' => $key]));
    expect(Batch::query()->count())->toBe(2);
});

it('is no food: not on Today, not planned, not served', function (): void {
    $this->startJar(twoQuarts(['keepsLeftOver' => true]))->assertCreated();
    $spare = spare($this);
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $names = array_column($this->getJson('/api/days/today')->json('jars'), 'name');
    expect($names)->toBe(['Carrots']);
    $this->postJson('/api/servings', [
        'batchId' => $spare['id'],
        'personId' => $person,
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['batchId' => 'Spare brine is not eaten by itself.']);
    $today = $this->getJson('/api/weeks/today')->json('from');
    $this->postJson('/api/weeks/today/changes', [
        'put' => [['personId' => $person, 'batchId' => $spare['id'], 'date' => $today, 'grams' => 20]],
        'remove' => [],
        'requestKey' => (string) Str::ulid(),
    ])->assertUnprocessable();
    $this->postJson('/api/bench', $this->bench(['method' => 'spare_brine']))->assertJsonValidationErrors('method');
});

it('takes some of a jar\'s own brine, and puts it into another', function (): void {
    $sticks = $this->startJar(['startedOn' => now()->subDays(9)->toDateString()])->json();
    $before = $this->getJson("/api/batches/{$sticks['id']}")->json();
    $kept = $this->postJson("/api/batches/{$sticks['id']}/spare-brine", [
        'grams' => 50,
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json();
    $after = $this->getJson("/api/batches/{$sticks['id']}")->json();
    expect($kept['gramsLeft'])
        ->toEqualWithDelta(50.0, 1e-6)
        ->and($kept['liquidPercent'])
        ->toEqualWithDelta($before['liquidPercent'], 0.05)
        ->and($before['liquidGrams'] - $after['liquidGrams'])
        ->toEqualWithDelta(50.0, 0.01);

    $this->postJson("/api/batches/{$sticks['id']}/spare-brine", ['grams' => 9000, 'requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('grams');

    $next = $this->startJar(['name' => 'Next'])->json();
    $this->postJson("/api/batches/{$next['id']}/entries", [
        'entry' => ['kind' => 'starter', 'fromBatch' => $kept['id'], 'grams' => 30],
        'requestKey' => (string) Str::ulid(),
    ])->assertSuccessful();
    expect($this->getJson("/api/batches/{$kept['id']}")->json('gramsLeft'))->toEqualWithDelta(20.0, 1e-6);
});

it('has no brine to keep in a sauce', function (): void {
    $olives = $this->startJar([
        'method' => 'mash',
        'strengthBasis' => 'of_vegetable',
        'vegetableId' => Ingredient::query()->where('key', 'green-chilli')->sole()->id,
        'shape' => 'pulp',
        'waterAmount' => '',
    ])
        ->assertCreated()
        ->json('id');
    $this->postJson("/api/batches/{$olives}/spare-brine", ['grams' => 5, 'requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['grams' => 'no brine of its own']);
});

it('works out what goes into a bag, as strong as the jar', function (): void {
    $bag = collect($this->getJson('/api/kitchen')->json('holdDowns'))->firstWhere('isBag', true);
    $bench = $this->postJson(
        '/api/bench',
        $this->bench(['jarId' => $this->jar('Quart jar'), 'holdDownId' => $bag['id'], 'weightMl' => null]),
    )
        ->assertOk()
        ->json();
    $strength = collect($bench['strengths'])->firstWhere('basis', 'brine_strength')['percent'];
    ['saltGrams' => $salt, 'waterGrams' => $water] = $bench['bag'];
    expect(($salt / ($salt + $water)) * 100.0)
        ->toEqualWithDelta($strength, 1e-6)
        // 120 ml of a thin brine weigh a little more than as much water.
        ->and($salt + $water)
        ->toBeGreaterThan(120.0)
        ->toBeLessThan(124.0);
    $this->postJson('/api/bench', $this->bench())->assertJsonPath('bag', null);
});

it('puts a batch into another jar, and the chores follow its cover', function (): void {
    $sticks = $this->startJar([
        'jarId' => $this->jar('Quart jar'),
        'startedOn' => now()->subDays(2)->toDateString(),
    ])->json();
    $tasks = fn(): array => array_column(
        [...$this->getJson('/api/chores')->json('now'), ...$this->getJson('/api/chores')->json('soon')],
        'task',
    );
    expect($tasks())->toContain('burp');
    $answer = $this->putJson("/api/batches/{$sticks['id']}/jar", [
        'cover' => 'airlock',
        'hasSaucer' => true,
        'headspaceMm' => 31,
        'holdDownId' => collect($this->getJson('/api/kitchen')->json('holdDowns'))->firstWhere('name', 'Folded leaf')[
            'id'
        ],
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    expect($answer->json('vessel'))
        ->toMatchArray([
            'cover' => 'airlock',
            'hasSaucer' => true,
            'headspaceMm' => 31,
            'holdDown' => 'Folded leaf',
            'jarId' => $this->jar('Quart jar'),
        ])
        ->and($tasks())
        ->not->toContain('burp');
    $this->putJson("/api/batches/{$sticks['id']}/jar", ['cover' => 'hat', 'requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('cover');
});

it('never moves a batch into a jar that is taken, unless there is one more', function (): void {
    $two = App\Models\Jar::query()->where('name', 'Pint jar')->sole();
    $two->update(['how_many' => 1]);
    $first = $this->startJar([
        'name' => 'First',
        'jarId' => $two->id,
        'vegetableAmount' => '200 g',
        'waterAmount' => '',
    ])->json();
    $second = $this->startJar(['name' => 'Second'])->json();
    $move = fn(array $more) => $this->putJson("/api/batches/{$second['id']}/jar", [
        'jarId' => $two->id,
        'requestKey' => (string) Str::ulid(),
        ...$more,
    ]);
    $move([])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['jarId' => 'First']);
    $move(['hasOneMore' => true])->assertOk();
    expect($two->fresh()?->how_many)->toBe(2);
    // Back into the jar in which it stands already is no second jar.
    $move([])->assertOk();
    expect($first['vessel']['jarId'])->toBe($two->id);
});
