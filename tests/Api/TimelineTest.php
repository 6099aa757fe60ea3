<?php

declare(strict_types=1);

use App\Models\Formula;
use App\Models\Jar;
use App\Models\PlannedBatch;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Sabre\VObject\Reader;

/*
 * The weeks ahead: what runs out, what to start, what it takes to buy, and the batch that comes of it.
 */

beforeEach(function (): void {
    $this->travelTo(Carbon::parse('2026-11-25 09:00:00'));
    $this->asCook($this->cook());
    $this->formula = Formula::query()->where('key', 'carrot-sticks')->sole()->id;
    $this->jar = Jar::query()->where('name', 'Quart jar')->sole()->id;
    $this->round = fn(array $as = []) => $this->putJson('/api/rotation', [
        'lines' => [
            [
                'name' => 'Carrots',
                'formulaId' => $this->formula,
                'likenesses' => [],
                'weekdays' => [],
                'timesAWeek' => 7,
                'months' => [],
                ...$as,
            ],
        ],
        'perDay' => 3,
        'hasNew' => false,
        'weights' => ['short' => 100],
    ])->assertOk();
    $this->plan = fn(array $as = []) => $this->postJson('/api/timeline/batches', [
        'formulaId' => $this->formula,
        'jarId' => $this->jar,
        'startOn' => '2026-11-26',
        'share' => 1,
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ]);
});

it('says what to start when, so that only the days that nothing can spare are without', function (): void {
    ($this->round)();
    $ahead = $this->getJson('/api/timeline')->assertOk()->json();
    $kind = $ahead['kinds'][0];
    // Ada eats 40 g a day, Bo 25 g.
    expect($kind['gramsAWeek'])
        ->toBe(455)
        ->and($ahead['days'])
        ->toBeGreaterThanOrEqual(56)
        ->and($kind['leadDays'])
        ->toBe(10)
        ->and($ahead['gapDays'])
        ->toBe(10)
        ->and($kind['gaps'])
        ->toHaveCount(1)
        ->and($kind['gaps'][0])
        ->toMatchArray(['from' => '2026-11-25', 'to' => '2026-12-04', 'days' => 10])
        ->and($kind['isTooLate'])
        ->toBeTrue()
        ->and($ahead['suggestions'][0]['startOn'])
        ->toBe('2026-11-25');
    // Planned as suggested, there is nothing left to suggest and no day more without.
    foreach ($ahead['suggestions'] as $one) {
        ($this->plan)([
            'jarId' => $one['jarId'],
            'startOn' => $one['startOn'],
            'share' => $one['share'],
            'lineId' => $one['lineId'],
        ])->assertCreated();
    }
    $then = $this->getJson('/api/timeline')->json();
    expect($then['suggestions'])
        ->toBe([])
        ->and($then['gapDays'])
        ->toBe(10)
        ->and($then['planned'])
        ->toHaveCount(count($ahead['suggestions']));
});

it('is made sooner in a warmer room, and lasts with one more jar', function (): void {
    Jar::query()->where('name', '!=', 'Quart jar')->delete();
    Jar::query()->update(['how_many' => 1]);
    ($this->round)();
    $now = $this->getJson('/api/timeline')->json();
    $warm = $this->getJson('/api/timeline?warmer=10')->json();
    $more = $this->getJson("/api/timeline?jarId={$this->jar}")->json();
    // Ten degrees make it 2.25 times as fast: ten days become 4.44.
    expect($warm['kinds'][0]['leadDays'])
        ->toBe(5)
        ->and($warm['gapDaysAsItIs'])
        ->toBe($now['gapDays'])
        ->and($warm['gapDays'])
        ->toBeLessThan($now['gapDays'])
        ->and($more['gapDays'])
        ->toBeLessThan($now['gapDays'])
        ->and(implode(' ', array_column($now['kinds'][0]['gaps'], 'reason')))
        ->toContain('One more jar would help');
    foreach (['warmer=99', 'warmer=warm', 'jarId=' . Str::ulid()] as $wrong) {
        $this->getJson("/api/timeline?{$wrong}")->assertUnprocessable();
    }
});

it('counts standing jars that are said to count, and follows the warmth they stand in', function (): void {
    $carrots = $this->startJar(['startedOn' => '2026-11-20'])->json();
    $likeness = $this->getJson('/api/rotation')->json('kinds.0.likeness');
    ($this->round)(['likenesses' => [$likeness]]);
    $lot = fn(array $ahead): array => collect($ahead['lanes'])
        ->pluck('lots')
        ->flatten(1)
        ->firstWhere('batchId', $carrots['id']);
    $now = $lot($this->getJson('/api/timeline')->json());
    expect($now['is'])
        ->toBe('standing')
        ->and($now['readyOn'])
        ->toBe($carrots['window']['readyOn'])
        ->and($now['emptyOn'])
        ->not->toBeNull();
    $this->postJson('/api/rooms/counter/spells', [
        'fromOn' => '2026-11-25',
        'toOn' => '2026-12-20',
        'celsius' => 29,
    ])->assertCreated();
    expect($lot($this->getJson('/api/timeline')->json())['ready'])->toBeLessThan($now['ready']);
});

it('lists what must be bought this week, as numbers, text and a table', function (): void {
    ($this->round)(['timesAWeek' => 0]);
    expect($this->getJson('/api/timeline/shopping')->assertOk()->json('lines'))->toBe([]);
    ($this->plan)(['startOn' => '2026-11-28'])->assertCreated();
    ($this->plan)(['startOn' => '2026-12-15'])->assertCreated();
    $list = $this->getJson('/api/timeline/shopping')->json();
    $formula = $this->getJson("/api/formulas/{$this->formula}?by=jar&jarId={$this->jar}")->json();
    $grams = collect($formula['ingredients'] ?? $formula['lines'])->pluck('grams', 'name');
    expect($list['batches'])->toHaveCount(1)->and(array_column($list['lines'], 'name'))->not->toContain('water');
    foreach ($list['lines'] as $line) {
        expect($line['grams'])->toEqualWithDelta($grams[$line['name']], 1e-6);
    }
    $text = $this->get('/api/timeline/shopping?as=text', ['Accept-Language' => 'en-GB'])
        ->assertOk()
        ->getContent();
    expect($text)->toContain('To start by', 'Carrot sticks with garlic, Quart jar, Sat, 28 Nov', '- carrot: ');
    $rows = array_map(
        fn(string $row): array => str_getcsv($row, escape: ''),
        explode("\n", trim($this->get('/api/timeline/shopping?as=csv')->getContent())),
    );
    expect($rows[0])
        ->toBe(['name', 'grams', 'for'])
        ->and(array_column(array_slice($rows, 1), 0))
        ->toBe(array_column($list['lines'], 'name'));
    expect(count($this->getJson('/api/timeline/shopping?days=30')->json('batches')))->toBe(2);
    $this->getJson('/api/timeline/shopping?days=0')->assertJsonValidationErrors('days');
});

it('calls for a planned batch on its day, in the kitchen and in the calendar, until it is begun', function (): void {
    $id = ($this->plan)()->json('id');
    ($this->plan)(['startOn' => '2027-01-20'])->assertCreated();
    $toStart = $this->getJson('/api/chores')->json('toStart');
    expect($toStart)
        ->toHaveCount(1)
        ->and($toStart[0])
        ->toMatchArray([
            'id' => $id,
            'name' => 'Carrot sticks with garlic',
            'jarName' => 'Quart jar',
            'lateDays' => -1,
        ]);
    $this->travel(3)->days();
    expect($this->getJson('/api/chores')->json('toStart.0.lateDays'))->toBe(2);
    $calendar = Reader::read($this->get('/api/calendar/file')->getContent());
    $events = array_values(
        array_filter(
            iterator_to_array($calendar->VEVENT),
            fn($event): bool => str_starts_with((string) $event->SUMMARY, 'Start '),
        ),
    );
    expect($events)
        ->toHaveCount(2)
        ->and((string) $events[0]->DTSTART)
        ->toBe('20261128')
        ->and($calendar->validate())
        ->toBe([]);
    $batch = $this->postJson("/api/formulas/{$this->formula}/batches", [
        'by' => 'jar',
        'jarId' => $this->jar,
        'intoJarId' => $this->jar,
        'plannedBatchId' => $id,
        'name' => 'Carrots',
        'place' => 'counter',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect(PlannedBatch::query()->findOrFail($id)->batch_id)
        ->toBe($batch->json('id'))
        ->and($this->getJson('/api/chores')->json('toStart'))
        ->toBe([]);
    $this->deleteJson("/api/timeline/batches/{$id}")->assertNotFound();
});

it('plans once however often it is sent, lets a plan be, and refuses what cannot be', function (): void {
    $body = ['requestKey' => (string) Str::ulid()];
    $id = ($this->plan)($body)->json('id');
    expect(($this->plan)($body)->json('id'))->toBe($id);
    $this->deleteJson("/api/timeline/batches/{$id}")->assertOk();
    expect($this->getJson('/api/timeline')->json('planned'))->toBe([]);
    ($this->plan)(['share' => 0])->assertJsonValidationErrors('share');
    ($this->plan)(['startOn' => 'soon'])->assertJsonValidationErrors('startOn');
    ($this->plan)(['startOn' => '2030-01-01'])->assertJsonValidationErrors('startOn');
    ($this->plan)(['jarId' => (string) Str::ulid()])->assertNotFound();
});

it('draws a jar as it is planned to be eaten, not in a straight line', function (): void {
    $this->travelTo(Carbon::parse('2026-12-02T08:00:00Z'));
    $jar = $this->startJar([
        'name' => 'Sticks',
        'startedOn' => Carbon::now()->subDays(20)->toDateString(),
    ])->json('id');
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $today = Carbon::now()->toDateString();
    $from = $this->getJson('/api/weeks/today')->json();
    $days = array_values(array_filter($from['dates'], fn(string $date): bool => $date >= $today));
    $this->postJson('/api/weeks/today/changes', [
        'put' => array_map(
            fn(string $date): array => ['personId' => $person, 'batchId' => $jar, 'date' => $date, 'grams' => 40],
            [$days[0], end($days)],
        ),
        'remove' => [],
        'requestKey' => (string) Str::ulid(),
    ]);
    $lot = collect($this->getJson('/api/timeline')->json('lanes'))
        ->flatMap(fn(array $lane): array => $lane['lots'])
        ->firstWhere('batchId', $jar);
    $last = count($days) - 1;
    $taken = $last === 0 ? [40] : [40, 80];
    expect(array_column($lot['levels'], 'day'))
        ->toBe(array_values(array_unique([0, $last])))
        ->and(array_map(fn(array $one): float => round($lot['grams'] - $one['grams'], 6), $lot['levels']))
        ->toEqual($taken);
});

it('says how long what is live lasts without a rotation, and what could be made next', function (): void {
    $ahead = fn(): array => $this->getJson('/api/timeline')->assertOk()->json();
    expect($ahead()['live'])->toBeNull()->and($ahead()['goal'])->toBeNull();

    // It will be ready, but not within a week.
    $this->startJar(['vegetableAmount' => '300 g', 'waterAmount' => '300 g'])->assertCreated();
    expect($ahead()['live'])->toBeNull();

    $this->startJar([
        'startedOn' => '2026-11-10',
        'vegetableAmount' => '400 g',
        'waterAmount' => '400 g',
    ])->assertCreated();
    $ripe = collect($this->getJson('/api/batches')->json('batches'))->firstWhere('isReady', true);
    $people = collect($this->getJson('/api/kitchen')->json('people'));
    $goal = $people->sum('liveGoal');
    // Both eat of the ripe jar what they are used to; the first day that has less comes before the other jar is ready.
    $lasts = (int) floor($ripe['gramsLeft'] / $people->avg('usualServingGrams') / $goal);
    expect($lasts)->toBe(6);
    $says = $ahead();
    expect($says['live']['servingsADay'])
        ->toBe($goal)
        ->and($says['live']['runsOutOn'])
        ->toBe(Carbon::parse('2026-11-25')->addDays($lasts)->toDateString())
        ->and($says['kinds'])
        ->toBe([])
        ->and($says['goal'])
        ->toBe('What could be made next:')
        ->and($says['more'])
        ->not->toBe([]);

    ($this->round)();
    expect($ahead()['live'])->toBeNull()->and($ahead()['kinds'])->toHaveCount(1);
});
