<?php

declare(strict_types=1);

use App\Household\CurrentHousehold;
use App\Household\MissingHousehold;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
});

it('starts a jar with the numbers that stood on the bench', function (): void {
    $bench = $this->postJson('/api/bench', $this->bench())->json();
    $today = $this->startJar()->assertCreated();
    // The bench says how a jar ends; a day after it was started it is on its way there, after weeks it has arrived.
    $batch = $this->startJar(['startedOn' => now()->subDays(40)->toDateString()])->assertCreated();
    expect($batch->json('sodiumPer100g'))
        ->toEqualWithDelta($bench['piecesPer100g']['typical'], 0.1)
        ->and($batch->json('portions.0.sodium.typical'))
        ->toEqualWithDelta($bench['serving']['sodium']['typical'], 0.1)
        ->and($today->json('sodiumPer100g'))
        ->toBeLessThan(0.2 * $bench['piecesPer100g']['typical'])
        ->and($today->json('dayCount'))
        ->toBe(0)
        ->and($batch->json('dayCount'))
        ->toBe(40)
        ->and(collect($batch->json('entries'))->pluck('kind')->all())
        ->toBe(['add', 'salt', 'add', 'draw', 'ferment']);
    $this->getJson('/api/batches')
        ->assertOk()
        ->assertJsonCount(2, 'batches')
        ->assertJsonPath('batches.0.name', 'Carrots');
});

it('starts one jar for one press of the button', function (): void {
    $key = (string) Str::ulid();
    $first = $this->startJar(['requestKey' => $key])
        ->assertCreated()
        ->json('id');
    $same = $this->startJar(['requestKey' => $key])->assertCreated();
    $other = $this->startJar(['requestKey' => $key, 'name' => 'Again'])->assertConflict();
    expect($same->json('id'))
        ->toBe($first)
        ->and($other->json('written.answer.name'))
        ->toBe('Carrots')
        ->and(Batch::query()->count())
        ->toBe(1);
});

it('writes nothing when it says no', function (array $change, string $field): void {
    $this->startJar($change)
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    expect(Batch::query()->count())
        ->toBe(0)
        ->and(BatchEntry::query()->count())
        ->toBe(0);
})->with([
    [['name' => ''], 'name'],
    [['place' => 'cellar'], 'place'],
    [['requestKey' => 'again'], 'requestKey'],
    [['startedOn' => '2999-01-01'], 'startedOn'],
    [['startedOn' => '1999-01-01'], 'startedOn'],
    [['vegetableAmount' => 'abc'], 'vegetableAmount'],
    [fn() => ['jarId' => test()->jar('Five-litre crock')], 'jarId'],
]);

it('lends brine at the strength it has, and both ledgers know', function (): void {
    $lender = $this->startJar(['name' => 'Lender'])->json();
    $brine = collect($lender['phases'])->firstWhere('phase', 'brine');
    $borrower = $this->startJar([
        'name' => 'Borrower',
        'starterBatchId' => $lender['id'],
        'starterAmount' => '50 g',
    ])
        ->assertCreated()
        ->json();
    $after = $this->getJson("/api/batches/{$lender['id']}")->json();

    $given = collect($after['whereabouts'])->firstWhere('place', 'given_away')['sodiumMg'];
    $starter = BatchEntry::query()->where('batch_id', $borrower['id'])->where('kind', 'starter')->sole();
    expect($given)
        ->toEqualWithDelta(($brine['sodiumMg'] * 50) / $brine['grams'], 1e-6)
        ->and($starter->entry['liquid']['sodiumPer100g']['typical'] * 0.5)
        ->toEqualWithDelta($given, 1e-6)
        ->and(collect($after['phases'])->firstWhere('phase', 'brine')['grams'])
        ->toEqualWithDelta($brine['grams'] - 50, 1e-6);
    $this->startJar(['starterBatchId' => $lender['id'], 'starterAmount' => '5 kg'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['starterAmount']);
});

it('serves, counts it on the day, and takes it back', function (): void {
    $batch = $this->startJar()->json();
    $person = $batch['portions'][0]['personId'];
    $before = $this->getJson('/api/days/today')->json('people.0');
    $serving = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $person,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect($serving->json('sodium.typical'))->toEqualWithDelta($batch['portions'][0]['sodium']['typical'], 1e-9);

    $day = $this->getJson('/api/days/today')->json('people.0');
    expect($before['marginMg'] - $day['marginMg'])
        ->toEqualWithDelta($serving->json('sodium.typical'), 1e-6)
        ->and($day['servings'])
        ->toHaveCount(1);
    $left = $this->getJson("/api/batches/{$batch['id']}")->json();
    expect($batch['gramsLeft'] - $left['gramsLeft'])->toEqualWithDelta(40 / 1.07, 1e-6);

    $id = $serving->json('id');
    $this->deleteJson("/api/servings/{$id}")
        ->assertOk()
        ->assertJsonPath('isUndone', true);
    $this->deleteJson("/api/servings/{$id}")->assertOk();
    expect($this->getJson('/api/days/today')->json('people.0'))
        ->toEqual($before)
        ->and($this->getJson("/api/batches/{$batch['id']}")->json('gramsLeft'))
        ->toEqualWithDelta($batch['gramsLeft'], 1e-9)
        ->and(BatchEntry::query()->where('kind', 'reversal')->count())
        ->toBe(1)
        ->and(BatchEntry::query()->where('kind', 'serve')->count())
        ->toBe(1);
});

it('serves once for one press of the button', function (): void {
    $batch = $this->startJar()->json();
    $tap = [
        'batchId' => $batch['id'],
        'personId' => $batch['portions'][0]['personId'],
        'amount' => '40',
        'requestKey' => (string) Str::ulid(),
    ];
    $first = $this->postJson('/api/servings', $tap)->json('id');
    expect($this->postJson('/api/servings', $tap)->json('id'))
        ->toBe($first)
        ->and(Serving::query()->count())
        ->toBe(1);
});

it('refuses a serving that cannot be', function (array $change, int $status, string $words): void {
    $batch = $this->startJar()->json();
    $answer = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $batch['portions'][0]['personId'],
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
        ...$change,
    ])->assertStatus($status);
    expect($answer->getContent())
        ->toContain($words)
        ->and(Serving::query()->count())
        ->toBe(0);
})->with([
    [['amount' => '5 kg'], 422, 'g of pieces are left'],
    [['amount' => '-1 g'], 422, 'zero or more'],
    [['amount' => 'a plate'], 422, 'How much is in it'],
    [['amount' => '0'], 422, 'more than zero'],
    [['batchId' => 'nope'], 404, 'no such batch'],
    [['personId' => 'nope'], 404, 'no such person'],
    [['eatenOn' => 'yesterday'], 422, 'Write the date like'],
    [['phase' => 'sauce'], 422, 'of sauce are left'],
    [['requestKey' => ''], 422, 'Fill this in'],
]);

it('keeps a household to itself', function (): void {
    $batch = $this->startJar()->json();
    $serving = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $batch['portions'][0]['personId'],
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
    ])->json('id');
    $jar = $this->jar('Quart jar');

    $this->asCook($this->cook('neighbour@example.org'));
    $mine = $this->getJson('/api/kitchen')->json('people.0.id');
    $this->getJson('/api/batches')->assertOk()->assertJsonCount(0, 'batches');
    $this->getJson("/api/batches/{$batch['id']}")
        ->assertNotFound()
        ->assertJson(['message' => 'There is no such batch in your kitchen.']);
    $this->deleteJson("/api/servings/{$serving}")->assertNotFound();
    $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $mine,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertNotFound();
    $this->postJson('/api/bench', $this->bench(['jarId' => $jar]))
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['jarId']);
    $this->postJson(
        '/api/bench',
        $this->bench(['starterBatchId' => $batch['id'], 'starterAmount' => '1 tbsp']),
    )->assertJsonValidationErrors(['starterBatchId']);
});

it('never asks for rows without saying whose', function (): void {
    app()->forgetInstance(CurrentHousehold::class);
    Batch::query()->count();
})->throws(MissingHousehold::class);

it('never changes a ledger line', function (): void {
    $this->startJar();
    BatchEntry::query()
        ->firstOrFail()
        ->update(['kind' => 'gone']);
})->throws(LogicException::class, 'reverse it');

it('counts days and servings in the household\'s own calendar', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-03-14 23:30', 'UTC'));
    $this->asCook($this->cook('east@example.org', 'Pacific/Auckland'));
    $batch = $this->startJar()->json();
    expect($batch['startedOn'])
        ->toBe('2026-03-15')
        ->and($this->getJson('/api/days/today')->json('date'))
        ->toBe('2026-03-15');
    $this->travelTo(CarbonImmutable::parse('2026-03-15 11:30', 'UTC'));
    expect($this->getJson("/api/batches/{$batch['id']}")->json('dayCount'))->toBe(1);
});

it('refuses a day that is none', function (): void {
    $this->getJson('/api/days/2026-13-45')->assertUnprocessable();
    $this->getJson('/api/days/soon')
        ->assertUnprocessable()
        ->assertJsonPath('errors.date.0', 'Write the date like 2026-11-24.');
});
