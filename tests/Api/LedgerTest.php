<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->batch = $this->startJar(['startedOn' => now()->subDays(30)->toDateString()])->json();
    $this->write = fn(array $entry, array $more = [], ?string $batch = null): TestResponse => $this->postJson(
        '/api/batches/' . ($batch ?? $this->batch['id']) . '/entries',
        ['entry' => $entry, 'requestKey' => (string) Str::ulid(), ...$more],
    );
});

function per100(array $batch, string $phase): float
{
    return collect($batch['phases'])->firstWhere('phase', $phase)['per100g']['typical'];
}

function place(array $batch, string $place): float
{
    return (float) (collect($batch['whereabouts'])->firstWhere('place', $place)['sodiumMg'] ?? 0.0);
}

it('writes every kind of entry, and says what it did', function (array $entry, string $text): void {
    $after = ($this->write)($entry)->assertCreated()->json();
    expect(end($after['entries'])['text'])->toBe($text);
})->with([
    [['kind' => 'add', 'ingredient' => 'garlic', 'grams' => 20], '20 g garlic'],
    [['kind' => 'salt', 'product' => 'pickling', 'grams' => 3], '3 g pickling salt'],
    [['kind' => 'starter', 'liquid' => 'whey', 'grams' => 30], '30 g sweet whey as starter'],
    [['kind' => 'draw', 'share' => 0.05], 'Juice drawn, about 5 % of the weight'],
    [['kind' => 'soak', 'hours' => 3], 'Soaked for 3 h'],
    [['kind' => 'rest', 'minutes' => 30, 'celsius' => 18], 'Rested for 30 min'],
    [['kind' => 'ferment', 'until' => 'further', 'celsius' => 4], 'Left to ferment'],
    [['kind' => 'drain', 'keep' => 100], 'Drained, 100 g of brine kept'],
    [['kind' => 'rinse', 'seconds' => 40], 'Rinsed for 40 s'],
    [['kind' => 'squeeze'], 'Squeezed'],
    [['kind' => 'freshen', 'water' => 400], 'Brine replaced by 400 g fresh water'],
    [['kind' => 'top_up', 'grams' => 50, 'strength' => 'own'], 'Topped up with 50 g brine of the same strength'],
    [['kind' => 'top_up', 'grams' => 50, 'strength' => 0.025], 'Topped up with 50 g brine of 2.5 %'],
    [['kind' => 'top_up', 'grams' => 50], 'Topped up with 50 g water'],
    [['kind' => 'overflow', 'grams' => 15], '15 g of brine ran over'],
    [['kind' => 'leak', 'grams' => 40], '40 g leaked in from the weight'],
    [['kind' => 'evaporate', 'grams' => 12], '12 g of water evaporated'],
    [
        ['kind' => 're_salt', 'share' => 0.03, 'basis' => 'of_water', 'product' => 'fine-sea'],
        'Salted up to 3 % of the water',
    ],
    [['kind' => 'blend'], 'Blended'],
    [['kind' => 'heat'], 'Heated, no longer live'],
    [['kind' => 'measured', 'what' => 'drained_weight', 'value' => 590], 'Weighed, drained: 590 g'],
    [['kind' => 'measured', 'what' => 'brine_strength', 'value' => 0.015], 'Brine measured: 1.5 %'],
    [['kind' => 'measured', 'what' => 'pieces_sodium', 'value' => 470], 'Sodium measured: 470 mg per 100 g'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => 30], '30 g of brine thrown away'],
]);

it('turns a jar into a sauce in one go, and serves it as one', function (): void {
    $sauce = ($this->write)([
        'kind' => 'process',
        'method' => 'transform',
        'strain' => ['keep' => 120],
        'additions' => [['ingredient' => 'cider-vinegar', 'grams' => 60]],
    ])
        ->assertCreated()
        ->json();
    expect(array_slice(array_column($sauce['entries'], 'kind'), -3))
        ->toBe(['drain', 'blend', 'add'])
        ->and($sauce['servedPhase'])
        ->toBe('sauce')
        ->and(array_column($sauce['phases'], 'phase'))
        ->toBe(['sauce']);
    $this->postJson('/api/servings', [
        'batchId' => $sauce['id'],
        'personId' => $sauce['portions'][0]['personId'],
        'amount' => '6 g',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->assertJsonPath('phase', 'sauce');
});

it('writes once for one press of the button', function (): void {
    $key = ['requestKey' => (string) Str::ulid()];
    $first = ($this->write)(['kind' => 'leak', 'grams' => 40], $key)->json();
    $second = ($this->write)(['kind' => 'leak', 'grams' => 40], $key)
        ->assertCreated()
        ->json();
    expect($second['entries'])->toBe($first['entries']);
});

it('shows what an entry would do and writes nothing', function (): void {
    $count = BatchEntry::query()->count();
    $preview = $this->postJson("/api/batches/{$this->batch['id']}/preview", [
        'entry' => ['kind' => 'freshen', 'water' => 600],
    ])
        ->assertOk()
        ->json();
    expect(per100($preview['after'], 'brine'))
        ->toBeLessThan(0.2 * per100($preview['before'], 'brine'))
        ->and(per100($preview['before'], 'brine'))
        ->toEqualWithDelta(per100($this->batch, 'brine'), 1e-9)
        ->and(BatchEntry::query()->count())
        ->toBe($count);
});

it('tells the state at a past and at a coming moment', function (): void {
    $young = $this->getJson(
        "/api/batches/{$this->batch['id']}?at=" .
            CarbonImmutable::parse($this->batch['startedAt'])->addMinutes(10)->utc()->format('Y-m-d\TH:i:s\Z'),
    )
        ->assertOk()
        ->json();
    $coming = $this->getJson(
        "/api/batches/{$this->batch['id']}?at=" . now()->addDays(30)->utc()->format('Y-m-d\TH:i:s\Z'),
    )
        ->assertOk()
        ->json();
    expect(per100($young, 'pieces'))
        ->toBeLessThan(0.5 * per100($this->batch, 'pieces'))
        ->and($young['expectedPh'])
        ->toBeGreaterThan(5.5)
        ->and($this->batch['expectedPh'])
        ->toBeLessThan(3.7)
        ->and(per100($coming, 'pieces'))
        ->toEqualWithDelta(per100($this->batch, 'pieces'), 0.1);
    foreach (['soon', '9999999-01-01', str_repeat('9', 60)] as $at) {
        $this->getJson("/api/batches/{$this->batch['id']}?at={$at}")
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['at']);
    }
});

it('takes an entry logged late at its own moment, before what came after', function (): void {
    $serve = $this->postJson('/api/servings', [
        'batchId' => $this->batch['id'],
        'personId' => $this->batch['portions'][0]['personId'],
        'amount' => '50 g',
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $late = ($this->write)(
        ['kind' => 'salt', 'product' => 'pickling', 'grams' => 5],
        ['at' => now()->subDays(10)->utc()->format('Y-m-d\TH:i:s\Z')],
    )
        ->assertCreated()
        ->json();
    expect(array_slice(array_column($late['entries'], 'kind'), -2))
        ->toBe(['salt', 'serve'])
        // The plate keeps the sodium it had; what is left in the jar is saltier than was thought.
        ->and(place($late, 'eaten'))
        ->toEqualWithDelta($serve['sodium']['typical'], 1e-6)
        ->and(per100($late, 'pieces'))
        ->toBeGreaterThan(per100($this->batch, 'pieces'));
    ($this->write)(['kind' => 'heat'], ['at' => now()->addHour()->utc()->format('Y-m-d\TH:i:s\Z')])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['at']);
    ($this->write)(['kind' => 'heat'], ['at' => now()->subYear()->utc()->format('Y-m-d\TH:i:s\Z')])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['at']);
});

it('takes a mistake back by an entry, once', function (): void {
    $salted = ($this->write)(['kind' => 'salt', 'product' => 'pickling', 'grams' => 30])->json();
    $mistake = end($salted['entries'])['id'];
    $back = $this->postJson("/api/batches/{$this->batch['id']}/entries/{$mistake}/reversal")
        ->assertCreated()
        ->json();
    expect(per100($back, 'brine'))
        ->toEqualWithDelta(per100($this->batch, 'brine'), 1e-9)
        ->and(collect($back['entries'])->firstWhere('id', $mistake)['isReversed'])
        ->toBeTrue()
        ->and(BatchEntry::query()->find($mistake))
        ->not->toBeNull();
    $this->postJson("/api/batches/{$this->batch['id']}/entries/{$mistake}/reversal")->assertCreated();
    expect(BatchEntry::query()->where('kind', 'reversal')->count())->toBe(1);
    $reversal = BatchEntry::query()->where('kind', 'reversal')->sole()->id;
    $this->postJson("/api/batches/{$this->batch['id']}/entries/{$reversal}/reversal")->assertUnprocessable();
    $this->postJson("/api/batches/{$this->batch['id']}/entries/nope/reversal")->assertNotFound();
});

it('takes a serving back with its entry', function (): void {
    $this->postJson('/api/servings', [
        'batchId' => $this->batch['id'],
        'personId' => $this->batch['portions'][0]['personId'],
        'amount' => '50 g',
        'requestKey' => (string) Str::ulid(),
    ]);
    $entry = BatchEntry::query()->where('kind', 'serve')->sole()->id;
    $this->postJson("/api/batches/{$this->batch['id']}/entries/{$entry}/reversal")->assertCreated();
    expect(Serving::query()->sole()->undone_at)
        ->not->toBeNull()
        ->and($this->getJson('/api/days/today')->json('people.0.servings'))
        ->toBe([]);
});

it('refuses to undo an entry whose food was eaten since', function (): void {
    $this->postJson('/api/servings', [
        'batchId' => $this->batch['id'],
        'personId' => $this->batch['portions'][0]['personId'],
        'amount' => '300 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $carrots = collect($this->batch['entries'])->last(fn(array $entry): bool => $entry['kind'] === 'add')['id'];
    $this->postJson("/api/batches/{$this->batch['id']}/entries/{$carrots}/reversal")
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['entry']);
    expect(BatchEntry::query()->where('kind', 'reversal')->count())->toBe(0);
});

it('feeds one jar from another, and both books agree whatever comes later', function (): void {
    $borrower = $this->startJar([
        'name' => 'Borrower',
        'startedOn' => now()->subDay()->toDateString(),
    ])->json();
    $fed = ($this->write)(['kind' => 'starter', 'fromBatch' => $this->batch['id'], 'grams' => 60], [], $borrower['id'])
        ->assertCreated()
        ->json();
    $lender = fn(): array => $this->getJson("/api/batches/{$this->batch['id']}")->json();
    $given = place($lender(), 'given_away');
    $starter = BatchEntry::query()->where('batch_id', $borrower['id'])->where('kind', 'starter')->sole();
    expect($starter->entry['liquid']['sodiumPer100g']['typical'] * 0.6)
        ->toEqualWithDelta($given, 1e-6)
        ->and($given)
        ->toEqualWithDelta(0.6 * per100($this->batch, 'brine'), 1e-6);

    ($this->write)(['kind' => 'salt', 'product' => 'pickling', 'grams' => 20])->assertCreated();
    ($this->write)(
        ['kind' => 'salt', 'product' => 'pickling', 'grams' => 20],
        ['at' => now()->subDays(3)->utc()->format('Y-m-d\TH:i:s\Z')],
    )->assertCreated();
    expect(place($lender(), 'given_away'))
        ->toEqualWithDelta($given, 1e-6)
        ->and(collect($this->getJson("/api/batches/{$borrower['id']}")->json('phases'))->sum('sodiumMg'))
        ->toEqualWithDelta(collect($fed['phases'])->sum('sodiumMg'), 1e-6);

    $this->getJson('/api/lineage')
        ->assertOk()
        ->assertJsonCount(2, 'batches')
        ->assertJsonPath('links.0.from', $this->batch['id'])
        ->assertJsonPath('links.0.to', $borrower['id'])
        ->assertJsonPath('links.0.isLive', true);
    $this->postJson("/api/batches/{$borrower['id']}/entries/{$starter->id}/reversal")->assertCreated();
    expect(place($lender(), 'given_away'))
        ->toBe(0.0)
        ->and($this->getJson('/api/lineage')->json('links'))
        ->toBe([]);
});

it('answers questions about a jar', function (): void {
    $ask = fn(array $question): TestResponse => $this->postJson("/api/batches/{$this->batch['id']}/questions", [
        'question' => $question,
    ]);
    expect(
        $ask(['question' => 'portion', 'sodiumMg' => 140])
            ->assertOk()
            ->json('amount'),
    )
        ->toBeGreaterThan(20)
        ->toBeLessThan(60);
    $ask(['question' => 'salt_for_strength', 'share' => 0.02, 'product' => 'fine-sea'])
        ->assertOk()
        ->assertJsonPath('unit', 'g');
    $ask(['question' => 'portion', 'sodiumMg' => 'much'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['question.sodiumMg']);
    $ask(['question' => 'portion', 'sodium' => 140])->assertUnprocessable();
    $this->postJson("/api/batches/{$this->batch['id']}/questions", [
        'question' => 'portion',
    ])->assertUnprocessable();
});

it('names the field that cannot be and leaves nothing half-written', function (array $entry, string $field): void {
    $count = BatchEntry::query()->count();
    ($this->write)($entry)
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    expect(BatchEntry::query()->count())
        ->toBe($count)
        ->and(Batch::query()->count())
        ->toBe(1);
})->with([
    [['kind' => 'stir'], 'entry.kind'],
    [['kind' => 'serve', 'grams' => 20], 'entry.kind'],
    [['kind' => 'give', 'grams' => 20, 'toBatch' => 'x'], 'entry.kind'],
    [['kind' => 'leak', 'grams' => -4], 'entry.grams'],
    [['kind' => 'leak', 'grams' => '4 g'], 'entry.grams'],
    [['kind' => 'leak', 'grams' => 4, 'stength' => 0.02], 'entry.stength'],
    [['kind' => 'add', 'ingredient' => 'unobtainium', 'grams' => 4], 'entry.ingredient'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => 99_999], 'entry'],
    [fn() => ['kind' => 'starter', 'fromBatch' => test()->batch['id'], 'grams' => 10], 'entry.fromBatch'],
    [['kind' => 'process', 'method' => 'transform', 'strain' => ['keep' => 99_999]], 'entry'],
    [
        [
            'kind' => 'process',
            'method' => 'transform',
            'additions' => [['ingredient' => 'honey', 'grams' => -1]],
        ],
        'entry.additions[0].grams',
    ],
]);

it('keeps the ledgers of two kitchens apart', function (): void {
    $entry = $this->batch['entries'][0]['id'];
    $this->asCook($this->cook('neighbour@example.org'));
    ($this->write)(['kind' => 'heat'])->assertNotFound();
    $this->postJson("/api/batches/{$this->batch['id']}/preview", [
        'entry' => ['kind' => 'heat'],
    ])->assertNotFound();
    $this->postJson("/api/batches/{$this->batch['id']}/entries/{$entry}/reversal")->assertNotFound();
    $this->postJson("/api/batches/{$this->batch['id']}/questions", [
        'question' => ['question' => 'portion', 'sodiumMg' => 10],
    ])->assertNotFound();
    $mine = $this->startJar()->json();
    ($this->write)(
        ['kind' => 'starter', 'fromBatch' => $this->batch['id'], 'grams' => 10],
        [],
        $mine['id'],
    )->assertNotFound();
    expect($this->getJson('/api/lineage')->json('links'))->toBe([]);
});

it('locks the household before the jar when it previews, as every change does', function (): void {
    $locked = [];
    DB::listen(function ($query) use (&$locked): void {
        if (preg_match('/from `(\w+)`.* for update/', $query->sql, $table) === 1) {
            $locked[] = $table[1];
        }
    });
    $this->postJson("/api/batches/{$this->batch['id']}/preview", [
        'entry' => ['kind' => 'top_up', 'grams' => 30, 'strength' => 0],
    ])->assertOk();
    expect(array_slice($locked, 0, 2))->toBe(['households', 'batches']);
});
