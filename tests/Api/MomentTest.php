<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/*
 * A portion is of the jar as it was when it was eaten, whenever it is written down.
 */

beforeEach(function (): void {
    $this->travelTo(Carbon::parse('2026-11-16 08:00:00'));
    $this->asCook($this->cook(timeZone: 'Europe/Vienna'));
    [$this->ada, $this->bo] = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    $this->jar = $this->startJar()->json('id');
    $this->serve = fn(array $as = []) => $this->postJson('/api/servings', [
        'batchId' => $this->jar,
        'personId' => $this->ada,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ]);
});

it('shows on Thursday what Monday’s portion held on Monday', function (): void {
    $held = [];
    foreach (['2026-11-16 09:30:00', '2026-11-16 18:30:00', '2026-11-17 07:10:00'] as $moment) {
        $this->travelTo(Carbon::parse($moment));
        $there = ($this->serve)(['personId' => $this->bo])
            ->assertCreated()
            ->json('sodium');
        $this->travelTo(Carbon::parse('2026-11-20 20:00:00'));
        $at = CarbonImmutable::parse($moment)->setTimezone('Europe/Vienna');
        $later = ($this->serve)([
            'eatenOn' => $at->toDateString(),
            'eatenAt' => $at->format('H:i'),
        ])->assertCreated();
        expect($later->json('sodium'))->toEqualWithDelta($there, 1e-9, $moment);
        $held[] = $there['typical'];
    }
    // Salt went on moving into the pieces, so a later jar would have said something else.
    expect($held[2])->toBeGreaterThan($held[0] * 1.2);
});

it('takes the jar of the meal where only the meal is said, and of noon where nothing is', function (): void {
    $this->travelTo(Carbon::parse('2026-11-20 20:00:00'));
    $held = [];
    foreach ([['meal' => 'morning'], [], ['meal' => 'noon'], ['meal' => 'evening'], ['eatenAt' => '12:00']] as $said) {
        $held[] = ($this->serve)(['eatenOn' => '2026-11-17', ...$said])
            ->assertCreated()
            ->json('sodium.typical');
    }
    expect($held[0])->toBeLessThan($held[2])->and($held[2])->toBeLessThan($held[3])->and($held[1])->toBe($held[4]);
});

it('counts a past portion of a jar that went empty since, as it was', function (): void {
    $this->travelTo(Carbon::parse('2026-11-18 12:00:00'));
    $there = ($this->serve)(['personId' => $this->bo])->json('sodium');
    $this->travelTo(Carbon::parse('2026-11-19 12:00:00'));
    $this->putJson("/api/batches/{$this->jar}/emptied", ['isEmptied' => true])->assertOk();
    $this->travelTo(Carbon::parse('2026-11-20 20:00:00'));
    $shown = collect($this->getJson('/api/days/2026-11-18')->json('jars'))->pluck('id');
    expect($shown)->toContain($this->jar);
    expect(collect($this->getJson('/api/days/2026-11-20')->json('jars'))->pluck('id'))->not->toContain($this->jar);
    ($this->serve)(['eatenOn' => '2026-11-20'])->assertUnprocessable();
    $late = ($this->serve)(['eatenOn' => '2026-11-18', 'eatenAt' => '13:00'])->assertCreated();
    expect($late->json('sodium'))->toEqualWithDelta($there, 1e-9);
});

it('refuses only what was before the jar and what is to come', function (array $said, string $field): void {
    $this->travelTo(Carbon::parse('2026-11-20 20:00:00'));
    ($this->serve)($said)->assertJsonValidationErrors([$field]);
    $together = [
        'batchId' => $this->jar,
        'portions' => [['personId' => $this->ada, 'amount' => '20 g']],
        'requestKey' => (string) Str::ulid(),
    ];
    $this->postJson('/api/dishes', [...$together, ...$said])->assertJsonValidationErrors([$field]);
    expect(Serving::query()->count())->toBe(0);
})->with([
    'the day before it was begun' => [['eatenOn' => '2026-11-15'], 'eatenOn'],
    'long before' => [['eatenOn' => '2020-03-01'], 'eatenOn'],
    'tomorrow' => [['eatenOn' => '2026-11-21'], 'eatenOn'],
    'next year' => [['eatenOn' => '2027-01-01'], 'eatenOn'],
    'no day' => [['eatenOn' => '2026-02-30'], 'eatenOn'],
    'an hour before it was begun' => [['eatenOn' => '2026-11-16', 'eatenAt' => '08:59'], 'eatenAt'],
    'later today' => [['eatenOn' => '2026-11-20', 'eatenAt' => '23:30'], 'eatenAt'],
    'no hour' => [['eatenOn' => '2026-11-19', 'eatenAt' => '25:00'], 'eatenAt'],
    'no meal' => [['eatenOn' => '2026-11-19', 'meal' => 'tea'], 'meal'],
]);

it('lets other foods be written down for days before, and for none to come', function (): void {
    $bread = fn(string $day) => $this->postJson('/api/other-foods', [
        'personId' => $this->ada,
        'name' => 'bread',
        'how' => ['by' => 'mg', 'milligrams' => 200],
        'eatenOn' => $day,
        'requestKey' => (string) Str::ulid(),
    ]);
    $bread('2026-11-10')->assertCreated();
    $bread('2026-11-18')->assertJsonValidationErrors(['eatenOn']);
});

/*
 * What waited on a device without a network is written at the moment at which it was done there.
 */

it('writes what waited at the moment at which it was done', function (string $said): void {
    $this->travelTo(Carbon::parse('2026-11-17 07:10:00'));
    $there = ($this->serve)(['personId' => $this->bo])->json('sodium');
    $this->travelTo(Carbon::parse('2026-11-19 20:00:00'));
    $this->withHeader('Done-At', $said);
    $later = ($this->serve)(['eatenOn' => '2026-11-17'])->assertCreated();
    expect($later->json('sodium'))->toEqualWithDelta($there, 1e-9);
    $this->postJson("/api/batches/{$this->jar}/entries", [
        'entry' => ['kind' => 'add', 'ingredient' => 'water', 'grams' => 20],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $moved = $this->putJson("/api/batches/{$this->jar}/place", [
        'place' => 'fridge',
        'requestKey' => (string) Str::ulid(),
    ]);
    $note = $this->postJson("/api/batches/{$this->jar}/notes", [
        'text' => 'fizzes',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $new = $this->startJar(['name' => 'Beets'])->assertCreated();
    expect($moved->status())
        ->toBe(200)
        ->and($note->json('at'))
        ->toBe('2026-11-17T07:10:00+00:00')
        ->and($new->json('startedAt'))
        ->toBe('2026-11-17T07:10:00+00:00')
        ->and(Batch::query()->findOrFail($this->jar)->entries->last()->happened_at->toIso8601ZuluString())
        ->toBe('2026-11-17T07:10:00Z');
})->with(['in UTC' => '2026-11-17T07:10:00.000Z', 'by another clock' => '2026-11-17T08:10:00+01:00']);

it('refuses a moment to come, one of long ago, and what is none', function (string $said): void {
    $this->travelTo(Carbon::parse('2026-12-10 12:00:00'));
    $before = BatchEntry::query()->count();
    $this->withHeader('Done-At', $said);
    ($this->serve)()
        ->assertStatus(422)
        ->assertJsonPath('errors.doneAt.0', 'Say when it was done, within the last 14 days.');
    expect(BatchEntry::query()->count())->toBe($before);
})->with([
    'to come' => '2026-12-10T12:03:00Z',
    'fifteen days ago' => '2026-11-25T12:00:00Z',
    'without a zone' => '2026-12-10T11:00:00',
    'no such month' => '2026-13-40T11:00:00Z',
    'words' => 'yesterday',
    'nothing' => '',
]);

it('takes a clock that is a minute ahead for now', function (): void {
    $this->withHeader('Done-At', '2026-11-16T08:01:00Z');
    ($this->serve)()->assertCreated();
    expect(BatchEntry::query()->max('happened_at'))->toBeLessThanOrEqual('2026-11-16 08:00:00');
});
