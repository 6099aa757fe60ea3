<?php

declare(strict_types=1);

use App\Models\Formula;
use App\Models\Jar;
use App\Models\PlannedServing;
use App\Models\WeekChange;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/*
 * Four weeks in a row: the jars last for all of them, and what is to be started is planned with from the day on which it will be
 * ready.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-30T09:00:00Z'));
    $this->asCook($this->cook());
    $this->formula = Formula::query()->where('key', 'carrot-sticks')->sole()->id;
    $this->mondays = ['2026-11-30', '2026-12-07', '2026-12-14', '2026-12-21'];
    $this->fill = fn(int $weeks, string $from = '2026-11-30', ?string $key = null) => $this->postJson(
        "/api/weeks/{$from}/fill",
        ['rest' => false, 'weeks' => $weeks, 'requestKey' => $key ?? (string) Str::ulid()],
    )->assertOk();
    // Grams of everything that stands, by week.
    $this->byWeek = fn(): array => array_map(
        fn(string $from): float => (float) PlannedServing::open(
            $from,
            CarbonImmutable::parse($from)->addDays(6)->toDateString(),
        )->sum('grams'),
        $this->mondays,
    );
    $this->planBatch = fn(string $on, string $jar = 'Half-litre bottle'): string => $this->postJson(
        '/api/timeline/batches',
        [
            'formulaId' => $this->formula,
            'jarId' => Jar::query()->where('name', $jar)->sole()->id,
            'startOn' => $on,
            'share' => 1,
            'requestKey' => (string) Str::ulid(),
        ],
    )
        ->assertCreated()
        ->json('id');
});

it('makes one jar last for four weeks, where a week by itself would eat it up', function (): void {
    $this->startJar(['startedOn' => '2026-11-14']);
    $grams = $this->getJson('/api/batches')->json('batches.0.gramsLeft');
    // Ada's 40 g and Bo's 25 g on each day are 455 g a week.
    expect($grams)->toBeLessThan(2 * 455.0);
    ($this->fill)(1);
    $alone = ($this->byWeek)();
    ($this->fill)(4);
    $together = ($this->byWeek)();
    expect($alone[0])
        ->toBe(455.0)
        ->and($together[0])
        ->toBeLessThan(200.0)
        ->and(min($together))
        ->toBeGreaterThan(0.6 * max($together))
        ->and(array_sum($together))
        ->toBeLessThanOrEqual($grams + 1e-6)
        ->toBeGreaterThan($grams - 30.0);
    // Planned once more, no week takes from another what was planned before.
    ($this->fill)(4);
    expect(min(($this->byWeek)()))->toBeGreaterThan(0.6 * max(($this->byWeek)()));
    foreach ($this->mondays as $from) {
        $week = $this->getJson("/api/weeks/{$from}")->json();
        expect($week['undo'])
            ->not->toBeNull()
            ->and(array_column($week['conflicts'], 'code'))
            ->not->toContain('jar_empty');
    }
});

it('is one step, however often it is sent, and each week can be undone', function (): void {
    $this->startJar(['startedOn' => '2026-11-14']);
    $key = (string) Str::ulid();
    ($this->fill)(4, key: $key);
    $then = ($this->byWeek)();
    ($this->fill)(4, key: $key);
    expect(WeekChange::query()->count())
        ->toBe(4)
        ->and(($this->byWeek)())
        ->toBe($then);
    $this->postJson('/api/weeks/2026-12-14/undo', ['requestKey' => (string) Str::ulid()])->assertOk();
    expect(($this->byWeek)())->toBe([$then[0], $then[1], 0.0, $then[3]]);
    $this->postJson('/api/weeks/2026-11-30/fill', ['rest' => false, 'weeks' => 5, 'requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonPath('errors.weeks.0', 'Plan from 1 to 4 weeks.');
});

it('plans ahead beside everything else, and puts in place what was found for all of them', function (): void {
    $this->startJar(['startedOn' => '2026-11-14']);
    $planning = (string) Str::ulid();
    $this->postJson("/api/weeks/2026-11-30/plans/{$planning}", ['rest' => false, 'weeks' => 4])->assertOk();
    expect(PlannedServing::query()->count())->toBe(0);
    $this->postJson('/api/weeks/2026-11-30/fill', [
        'rest' => false,
        'weeks' => 4,
        'planning' => $planning,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    expect(min(($this->byWeek)()))->toBeGreaterThan(0.0);
});

it(
    'plans with what is to be started from the day on which it is ready, and with the batch once it is',
    function (): void {
        $id = ($this->planBatch)('2026-12-02', 'Quart jar');
        $jars = collect($this->getJson('/api/weeks/2026-12-14')->json('jars'));
        expect($jars)
            ->toHaveCount(1)
            ->and($jars[0])
            ->toMatchArray([
                'id' => $id,
                'name' => 'Carrot sticks with garlic',
                'startOn' => '2026-12-02',
                'isLive' => true,
            ])
            ->and($this->getJson('/api/weeks/2026-11-30')->json('jars'))
            ->toBe([]);
        $ready = $jars[0]['readyOn'];
        // Two eaters, each day from then on.
        $this->postJson('/api/weeks/2026-12-07/fill', [
            'rest' => false,
            'weeks' => 3,
            'requestKey' => (string) Str::ulid(),
        ])->assertOk();
        $days = PlannedServing::query()->pluck('planned_on')->unique()->sort()->values();
        expect($days->first())
            ->toBe($ready)
            ->and($days->count())
            ->toBe((int) CarbonImmutable::parse($ready)->diffInDays('2026-12-28'))
            ->and(array_sum(($this->byWeek)()))
            ->toBeLessThanOrEqual($jars[0]['grams']);
        // Usual portions of 40 and 25 g would be eaten up halfway; smaller ones are enough for both on each day.
        expect(PlannedServing::query()->count())->toBe(2 * $days->count());
        // Today of such a day says what is planned, though it is not there yet.
        $planned = $this->getJson("/api/days/{$ready}")->json('people.0.planned.0');
        expect($planned)->toMatchArray([
            'batchId' => $id,
            'batchName' => 'Carrot sticks with garlic',
            'sodium' => null,
        ]);

        $this->travelTo(CarbonImmutable::parse('2026-12-02T09:00:00Z'));
        $quart = Jar::query()->where('name', 'Quart jar')->sole()->id;
        $batch = $this->postJson("/api/formulas/{$this->formula}/batches", [
            'by' => 'jar',
            'jarId' => $quart,
            'intoJarId' => $quart,
            'name' => 'Our sticks',
            'place' => 'counter',
            'plannedBatchId' => $id,
            'requestKey' => (string) Str::ulid(),
        ])
            ->assertCreated()
            ->json('id');
        expect(PlannedServing::query()->pluck('batch_id')->unique()->all())
            ->toBe([$batch])
            ->and(
                collect($this->getJson('/api/weeks/2026-12-14')->json('servings'))
                    ->pluck('name')
                    ->unique()
                    ->all(),
            )
            ->toBe(['Our sticks']);
    },
);

it('takes what was planned of it along when a batch is not to be started any more', function (): void {
    $id = ($this->planBatch)('2026-11-30', 'Quart jar');
    ($this->fill)(1, '2026-12-14');
    expect(($this->byWeek)()[2])->toBeGreaterThan(0.0);
    $this->deleteJson("/api/timeline/batches/{$id}")->assertOk();
    expect(($this->byWeek)()[2])
        ->toBe(0.0)
        ->and($this->getJson('/api/weeks/2026-12-14')->json('servings'))
        ->toBe([]);
});

it('refuses a serving of a planned batch of another kitchen', function (): void {
    $id = ($this->planBatch)('2026-11-30', 'Quart jar');
    $this->asCook($this->cook('other@example.org'));
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $this->postJson('/api/weeks/2026-12-14/changes', [
        'put' => [['personId' => $person, 'batchId' => $id, 'date' => '2026-12-15']],
        'remove' => [],
        'requestKey' => (string) Str::ulid(),
    ])->assertNotFound();
});
