<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Ingredient;
use App\Models\Person;
use App\Models\Salt;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\TestCase;

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-12-01T10:00:00Z'));
    $this->asCook($this->cook());
    $this->ada = $this->seat('Ada', 2000, 40.0)->id;
});

function idOf(string $food): string
{
    return Ingredient::query()->where('key', $food)->sole()->id;
}

/** @return array<string, mixed> a kimchi that soaks for twenty hours */
function soakedKimchi(array $change = []): array
{
    return [
        'method' => 'kimchi_soaked',
        'vegetableId' => idOf('napa-cabbage'),
        'vegetableAmount' => '900 g',
        'shape' => 'leaves',
        'waterAmount' => '1800 g',
        'fixed' => 'salt',
        'saltAmount' => '120 g',
        'saltingMinutes' => 1200,
        'paste' => [
            ['foodId' => idOf('fish-sauce'), 'amount' => '30 g'],
            ['foodId' => idOf('white-radish'), 'amount' => '200 g'],
        ],
        'name' => 'Kimchi',
        ...$change,
    ];
}

/** @return array<string, mixed> the step of a kind */
function stepOf(TestCase $test, string $batch, string $kind): array
{
    return collect(
        $test
            ->getJson("/api/batches/{$batch}/steps")
            ->assertOk()
            ->json('steps'),
    )->firstWhere('kind', $kind);
}

function doStep(TestCase $test, string $batch, string $kind, array $how = [])
{
    return $test->postJson("/api/batches/{$batch}/steps/" . stepOf($test, $batch, $kind)['id'] . '/done', [
        'requestKey' => (string) Str::ulid(),
        ...$how,
    ]);
}

it('does not call food what is in its soak', function (): void {
    $jar = $this->startJar(soakedKimchi())->assertCreated();
    $id = $jar->json('id');
    expect($jar->json('stage'))
        ->toBe('soaking')
        ->and($jar->json('isFoodNow'))
        ->toBeFalse()
        ->and($jar->json('isLive'))
        ->toBeFalse()
        ->and($jar->json('servingsLeft'))
        ->toBe(0)
        ->and($jar->json('isReady'))
        ->toBeFalse()
        ->and($jar->json('nextStep.kind'))
        ->toBe('drain')
        ->and($jar->json('nextStep.dueAt'))
        ->toStartWith('2026-12-02T06:00')
        // What a portion will hold on the day on which it is ready: the soak is rinsed out, the fish sauce stays.
        ->and($jar->json('meant.sodium.typical'))
        ->toBeGreaterThan(200);
    $today = CarbonImmutable::now()->toDateString();
    expect(array_column($this->getJson("/api/days/{$today}")->json('jars'), 'batchId'))
        ->not->toContain($id)
        ->and(array_column($this->getJson('/api/weeks/today')->json('jars'), 'id'))
        ->not->toContain($id);
    $due = collect($this->getJson('/api/chores')->json('soon'))->where('batchId', $id);
    expect($due->pluck('task')->all())
        ->toBe(['step'])
        ->and($due->first()['dueAt'])
        ->toStartWith('2026-12-02T06:00');
    // Nothing of it goes into another jar.
    $this->postJson("/api/batches/{$this->startJar()->json('id')}/entries", [
        'entry' => ['kind' => 'starter', 'fromBatch' => $id, 'grams' => 30],
        'requestKey' => (string) Str::ulid(),
    ])->assertUnprocessable();
});

it('writes down what was eaten of it all the same, and not as live', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $this->travel(2)->hours();
    $serving = $this->postJson('/api/servings', [
        'batchId' => $id,
        'personId' => $this->ada,
        'amount' => '30 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect(App\Models\Serving::query()->sole()->is_live)
        ->toBeFalse()
        ->and($serving->json('sodium.typical'))
        ->toBeGreaterThan(50);
});

it('soaks on until it is drained, and writes each step when it is done', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $this->travel(30)->hours();
    $before = Batch::query()->findOrFail($id)->entries()->count();
    foreach (['drain', 'rinse', 'squeeze', 'dress', 'pack'] as $kind) {
        $this->travel(5)->minutes();
        doStep($this, $id, $kind)->assertCreated();
    }
    $made = $this->getJson("/api/batches/{$id}")->assertOk();
    expect($made->json('stage'))
        ->toBe('working')
        ->and($made->json('isFoodNow'))
        ->toBeTrue()
        ->and($made->json('nextStep'))
        ->toBeNull()
        ->and($made->json('servedPhase'))
        ->toBe('all');
    $lines = Batch::query()
        ->findOrFail($id)
        ->entries->slice($before)
        ->map(fn(BatchEntry $line): string => "{$line->happened_at->format('d H:i')} {$line->kind}")
        ->values()
        ->all();
    expect($lines)->toBe([
        '02 16:05 drain',
        '02 16:10 rinse',
        '02 16:15 squeeze',
        '02 16:20 add',
        '02 16:20 add',
        '02 16:25 ferment',
    ]);
});

it('does a step once, whichever hand did it, and at the time of the first', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $this->travel(20)->hours();
    $drain = stepOf($this, $id, 'drain')['id'];
    $at = CarbonImmutable::now();
    // Another tablet drains and rinses while this one's network is away.
    $this->travel(4)->minutes();
    doStep($this, $id, 'drain')->assertCreated();
    $this->travel(3)->minutes();
    doStep($this, $id, 'rinse')->assertCreated();
    // This one comes back: it had drained first.
    $key = (string) Str::ulid();
    $body = ['at' => $at->toIso8601ZuluString(), 'requestKey' => $key];
    $this->postJson("/api/batches/{$id}/steps/{$drain}/done", $body)->assertCreated();
    $this->postJson("/api/batches/{$id}/steps/{$drain}/done", $body)->assertCreated();
    // A late word of the same step, later than what stands, changes nothing.
    doStep($this, $id, 'drain')->assertCreated();

    $standing = collect(Batch::query()->with('entries')->findOrFail($id)->standing());
    expect($standing->where('kind', 'drain'))
        ->toHaveCount(1)
        ->and($standing->firstWhere('kind', 'drain')->happened_at->equalTo($at))
        ->toBeTrue()
        ->and($standing->where('kind', 'rinse'))
        ->toHaveCount(1)
        ->and($standing->firstWhere('kind', 'rinse')->happened_at->equalTo($at->addMinutes(7)))
        ->toBeTrue();
});

it('opens a step again, and leaves one out', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $this->travel(20)->hours();
    $sodium = $this->getJson("/api/batches/{$id}")->json('phases.1.sodiumMg');
    doStep($this, $id, 'drain')->assertCreated();
    expect($this->getJson("/api/batches/{$id}")->json('phases.1.sodiumMg'))->toBeLessThan($sodium / 5);
    $drain = stepOf($this, $id, 'drain')['id'];
    $this->deleteJson("/api/batches/{$id}/steps/{$drain}/done")->assertOk();
    expect($this->getJson("/api/batches/{$id}")->json('phases.1.sodiumMg'))
        ->toEqualWithDelta($sodium, 1e-6)
        ->and($this->getJson("/api/batches/{$id}")->json('nextStep.kind'))
        ->toBe('drain');
    doStep($this, $id, 'drain')->assertCreated();
    $rinse = stepOf($this, $id, 'rinse')['id'];
    $this->postJson("/api/batches/{$id}/steps/{$rinse}/skipped", ['requestKey' => (string) Str::ulid()])
        ->assertCreated()
        ->assertJsonPath('steps.4.doneAt', null);
    expect(stepOf($this, $id, 'rinse')['skippedAt'])
        ->not->toBeNull()
        ->and($this->getJson("/api/batches/{$id}")->json('nextStep.kind'))
        ->toBe('squeeze');
});

it('shows what a longer rinse would leave, and writes nothing', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $this->travel(20)->hours();
    doStep($this, $id, 'drain')->assertCreated();
    $rinse = stepOf($this, $id, 'rinse')['id'];
    $count = BatchEntry::query()->count();
    $left = fn(int $seconds): float => $this->postJson("/api/batches/{$id}/steps/{$rinse}/preview", [
        'rinseSeconds' => $seconds,
    ])
        ->assertOk()
        ->json('after.phases.0.sodiumMg');
    expect($left(180))
        ->toBeLessThan($left(60))
        ->and($left(60))
        ->toBeLessThan($this->getJson("/api/batches/{$id}")->json('phases.0.sodiumMg'))
        ->and(BatchEntry::query()->count())
        ->toBe($count);
    doStep($this, $id, 'rinse', ['rinseSeconds' => 180])->assertCreated();
    expect($this->getJson("/api/batches/{$id}")->json('phases.0.sodiumMg'))->toEqualWithDelta($left(180), 30.0);
});

it('is made at the counter from its first step, with what the scale said', function (): void {
    $jar = $this->startJar([
        'method' => 'dry_salting',
        'vegetableId' => idOf('green-cabbage'),
        'vegetableAmount' => '1000 g',
        'shape' => 'shreds',
        'strengthPercent' => '2',
        'strengthBasis' => 'of_vegetable',
        'waterAmount' => '',
        'begin' => 'counter',
        'isSaltedTwice' => true,
    ])->assertCreated();
    $id = $jar->json('id');
    expect($jar->json('stage'))
        ->toBe('begun')
        ->and($jar->json('phases'))
        ->toBe([])
        ->and(array_column($this->getJson("/api/batches/{$id}/steps")->json('steps'), 'kind'))
        ->toBe(['clean', 'salt', 'salt_again', 'pack']);
    doStep($this, $id, 'clean')->assertCreated();
    $salt = stepOf($this, $id, 'salt');
    expect($salt['number']['text'])
        ->toBe('10 g')
        ->and(collect($salt['needs'])->pluck('what')->all())
        ->toBe(['salt', 'food']);
    $line = collect($salt['needs'])->firstWhere('what', 'food')['line'];
    doStep($this, $id, 'salt', ['weighed' => [['line' => $line, 'grams' => 1040.0]]])->assertCreated();
    expect(
        $this->getJson("/api/batches/{$id}/steps")
            ->assertJsonPath('stage', 'salting')
            ->json('steps.2.dueAt'),
    )->toStartWith('2026-12-01T10:30');
    $this->travel(30)->minutes();
    doStep($this, $id, 'salt_again')->assertCreated();
    doStep($this, $id, 'pack')->assertCreated();
    $batch = $this->getJson("/api/batches/{$id}");
    // 1,040 g of cabbage as weighed, and the 20 g of salt that were planned.
    expect($batch->json('stage'))
        ->toBe('working')
        ->and(array_sum(array_column($batch->json('phases'), 'grams')))
        ->toEqualWithDelta(1060.0, 0.5);
});

it('stands an egg mayonnaise for eight hours and puts it into the fridge', function (): void {
    $jar = $this->startJar([
        'method' => 'cultured_condiment',
        'vegetableId' => idOf('egg'),
        'vegetableAmount' => '50 g',
        'alongside' => [['foodId' => idOf('sunflower-oil'), 'amount' => '200 g']],
        'shape' => 'pulp',
        'strengthPercent' => '1',
        'strengthBasis' => 'of_everything',
        'waterAmount' => '',
        'name' => 'Mayonnaise',
    ])->assertCreated();
    $id = $jar->json('id');
    expect($jar->json('stage'))
        ->toBe('resting')
        ->and($jar->json('nextStep.kind'))
        ->toBe('chill')
        ->and($jar->json('nextStep.dueAt'))
        ->toStartWith('2026-12-01T18:00')
        ->and($jar->json('isFoodNow'))
        ->toBeFalse();
    $this->travel(8)->hours();
    expect($this->getJson("/api/batches/{$id}")->json('isFoodNow'))->toBeTrue();
    doStep($this, $id, 'chill')->assertCreated();
    $this->getJson("/api/batches/{$id}")
        ->assertJsonPath('stage', 'cold')
        ->assertJsonPath('place', 'fridge');
});

it('says of a quick pickle what its second day will hold, at the bench and on its page', function (): void {
    $typed = [
        'method' => 'quick_salt_pickle',
        'vegetableId' => idOf('cucumber'),
        'vegetableAmount' => '500 g',
        'waterAmount' => '400 g',
        'fixed' => 'salt',
        'saltAmount' => '60 g',
        'name' => 'Pickle',
    ];
    $bench = $this->postJson('/api/bench', $this->bench($typed))->assertOk();
    $jar = $this->startJar($typed)->assertCreated();
    expect($jar->json('meant.sodium.typical'))->toEqualWithDelta($bench->json('serving.sodium.typical'), 10.0);
    $this->travel(4)->hours();
    doStep($this, $jar->json('id'), 'chill')->assertCreated();
    $this->travel(25)->hours();
    $now = $this->getJson("/api/batches/{$jar->json('id')}");
    expect($now->json('meant'))
        ->toBeNull()
        ->and($now->json('portions.0.sodium.typical'))
        ->toEqualWithDelta($bench->json('serving.sodium.typical'), 15.0);
});

it('writes what was packed last Sunday as it went', function (): void {
    $jar = $this->startJar(soakedKimchi(['begin' => 'packed', 'startedOn' => '2026-11-29']))->assertCreated();
    $steps = collect($this->getJson("/api/batches/{$jar->json('id')}/steps")->json('steps'));
    expect($jar->json('stage'))
        ->toBe('working')
        ->and($steps->firstWhere('kind', 'soak')['doneAt'])
        ->toStartWith('2026-11-28T16:00')
        ->and($steps->firstWhere('kind', 'pack')['doneAt'])
        ->toStartWith('2026-11-29T12:00');
});

it('serves a drink by the glass, and its beets not at all', function (): void {
    $formula = App\Models\Formula::query()->where('key', 'beet-kvass')->sole()->id;
    $jar = $this->postJson("/api/formulas/{$formula}/batches", [
        'name' => 'Kvass',
        'place' => 'counter',
        'begin' => 'packed',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $brine = collect($jar->json('phases'))->firstWhere('phase', 'brine')['grams'];
    expect($jar->json('servedPhase'))
        ->toBe('brine')
        ->and($jar->json('gramsLeft'))
        ->toEqualWithDelta($brine, 1e-6)
        ->and($jar->json('portions.0.grams'))
        ->toBe($jar->json('servingGrams'));
});

it('refuses bad steps with a sentence beside the field', function (array $how, string $field): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    doStep($this, $id, 'drain', $how)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    'a weight of nothing' => [['weighed' => [['line' => 0, 'grams' => 0]]], 'weighed.0.grams'],
    'a rinse of a day' => [['rinseSeconds' => 86_400], 'rinseSeconds'],
    'tomorrow' => [['at' => '2026-12-02T10:00:00Z'], 'at'],
    'last year' => [['at' => '2025-12-02T10:00:00Z'], 'at'],
]);

/** @return array<string, mixed> a sauce of a jar, on the bench */
function sauceOf(string $source, array $change = []): array
{
    return [
        'method' => 'transform',
        'vegetableId' => null,
        'vegetableAmount' => '',
        'sourceBatchId' => $source,
        'alongside' => [['foodId' => idOf('cider-vinegar'), 'amount' => '60 g']],
        'fixed' => 'salt',
        'saltAmount' => '',
        'waterAmount' => '',
        'servingAmount' => '10 g',
        'name' => 'Hot sauce',
        ...$change,
    ];
}

/** @return array<string, mixed> chillies, mashed in a pint jar */
function chilliMash(): array
{
    return [
        'method' => 'mash',
        'vegetableId' => idOf('red-chilli'),
        'vegetableAmount' => '400 g',
        'shape' => 'pulp',
        'strengthPercent' => '3',
        'strengthBasis' => 'of_vegetable',
        'waterAmount' => '',
        'jarId' => test()->jar('Pint jar'),
        'name' => 'Mash',
    ];
}

it('blends a mash into two bottles, and loses nothing between them', function (): void {
    $mash = $this->startJar(chilliMash())->assertCreated();
    $bottle = $this->jar('Sauce bottle, 250 ml');
    $before = array_sum(array_column($mash->json('phases'), 'sodiumMg'));
    $sauce = $this->startJar(
        sauceOf($mash->json('id'), ['jarId' => $bottle, 'moreJarIds' => [$bottle], 'hasOneMore' => true]),
    )->assertCreated();
    $jars = collect($this->getJson('/api/batches')->json('batches'));
    expect($jars->pluck('name')->sort()->values()->all())
        ->toBe(['Hot sauce, bottle 1', 'Hot sauce, bottle 2'])
        ->and($jars->pluck('jarName')->unique()->all())
        ->toBe(['Sauce bottle, 250 ml'])
        ->and($jars->pluck('method')->unique()->all())
        ->toBe(['transform']);
    $sodium = $jars->sum(
        fn(array $jar): float => array_sum(
            array_column($this->getJson("/api/batches/{$jar['id']}")->json('phases'), 'sodiumMg'),
        ),
    );
    // The vinegar brings 5 mg per 100 g, from memory.
    expect($sodium)
        ->toEqualWithDelta($before + 3.0, 1.0)
        ->and($sauce->json('stage'))
        ->not->toBe('salting')
        ->and(
            collect($this->getJson('/api/chores')->json('now'))
                ->pluck('task')
                ->all(),
        )
        ->not->toContain('blend', 'stir');
    // The pint jar is free again.
    $pint = collect($this->getJson('/api/kitchen')->json('jars'))->firstWhere('name', 'Pint jar');
    expect($pint['inUse'])->toBe(0);
});

it('leaves the jar in which it was made when there is no bottle yet', function (): void {
    $mash = $this->startJar(chilliMash())->assertCreated();
    $sauce = $this->startJar(sauceOf($mash->json('id')))->assertCreated();
    expect($sauce->json('jarName'))
        ->toBeNull()
        ->and($sauce->json('method'))
        ->toBe('transform')
        ->and($sauce->json('servedPhase'))
        ->toBe('sauce');
    // Taken back, it is the mash that it was.
    $blend = collect($sauce->json('entries'))->firstWhere('kind', 'blend');
    $vinegar = collect($sauce->json('entries'))->where('kind', 'add')->last();
    $this->postJson("/api/batches/{$mash->json('id')}/entries/{$vinegar['id']}/reversal", [
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->postJson("/api/batches/{$mash->json('id')}/entries/{$blend['id']}/reversal", [
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->assertJsonPath('method', 'mash');
});

it('keeps what is strained off as spare brine when it is to be kept', function (): void {
    $chillies = $this->startJar([
        'vegetableId' => idOf('red-chilli'),
        'vegetableAmount' => '400 g',
        'waterAmount' => '400 g',
        'name' => 'Chillies',
    ])->assertCreated();
    $this->startJar(sauceOf($chillies->json('id'), ['keptBrine' => '100 g', 'keepsLeftOver' => true]))->assertCreated();
    $spare = collect($this->getJson('/api/batches')->json('batches'))->firstWhere('method', 'spare_brine');
    expect($spare['gramsLeft'])->toBeGreaterThan(200.0)->toBeLessThan(320.0);
});

it('rings in the calendar when a step is due, and leads to the counter', function (): void {
    $id = $this->startJar(soakedKimchi())->json('id');
    $ics = (string) $this->get('/api/calendar/file')->assertOk()->getContent();
    $ics = str_replace("\r\n ", '', $ics);
    expect($ics)
        ->toContain('SUMMARY:Kimchi: Drain')
        ->toContain("/counter/{$id}")
        // Six in the morning is in the quiet hours, and a soak may go on until they end.
        ->toContain('DTSTART:20261202T073000Z')
        ->toContain('BEGIN:VALARM');
});

it('counts what is in its soak as stock to come', function (): void {
    $this->startJar(soakedKimchi(['begin' => 'counter']))->assertCreated();
    $lots = collect($this->getJson('/api/timeline')->assertOk()->json('lanes'))->flatMap(
        fn(array $lane): array => $lane['lots'],
    );
    expect($lots)->not->toBeEmpty();
});

it('calls for the fridge before the quiet hours, and for the drain after them', function (): void {
    $called = fn(): array => collect($this->getJson('/api/chores')->json('soon'))
        ->merge($this->getJson('/api/chores')->json('now'))
        ->where('task', 'step')
        ->mapWithKeys(fn(array $chore): array => [$chore['text'] => substr($chore['at'], 0, 16)])
        ->all();
    $this->travelTo(CarbonImmutable::parse('2026-12-01T17:00:00Z'));
    $this->startJar(soakedKimchi(['saltingMinutes' => 840]))->assertCreated();
    $this->startJar([
        'method' => 'cultured_condiment',
        'vegetableId' => idOf('egg'),
        'vegetableAmount' => '50 g',
        'alongside' => [['foodId' => idOf('sunflower-oil'), 'amount' => '200 g']],
        'shape' => 'pulp',
        'strengthPercent' => '1',
        'strengthBasis' => 'of_everything',
        'waterAmount' => '',
        'name' => 'Mayonnaise',
    ])->assertCreated();
    // Quiet from 22:00 to 07:30: the drain is due at 07:00, the mayonnaise at 01:00.
    expect($called())->toMatchArray([
        'Drain' => '2026-12-02T07:30',
        'Into the fridge' => '2026-12-01T22:00',
    ]);
});

it('takes a pinch by its measure, and weighs it by its salt', function (): void {
    $id = $this->startJar()->json('id');
    $salt = fn(): float => collect($this->getJson("/api/batches/{$id}")->json('phases'))->sum('sodiumMg');
    $before = $salt();
    $this->postJson("/api/batches/{$id}/entries", [
        'entry' => [
            'kind' => 'salt',
            'product' => Salt::query()->where('key', 'pickling')->sole()->id,
            'spooned' => ['millilitres' => 4.92892159375 / 16],
        ],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    // 18.5 g in a tablespoon of 48 pinches, 39.3 % sodium.
    expect($salt() - $before)->toEqualWithDelta((18.5 / 48) * 393.0, 5.0);
});

/** @return array{string, list<array<string, mixed>>} a kimchi of which Ada and Bo ate on its third day, and their plates */
function eatenKimchi(TestCase $test): array
{
    $id = $test->startJar(soakedKimchi(['begin' => 'counter']))->json('id');
    foreach ($test->getJson("/api/batches/{$id}/steps")->json('steps') as $step) {
        $test->travelTo(CarbonImmutable::parse(stepOf($test, $id, $step['kind'])['dueAt']));
        $test->postJson("/api/batches/{$id}/steps/{$step['id']}/done", ['requestKey' => (string) Str::ulid()]);
    }
    $test->travel(3)->days();
    $plates = [];
    foreach ([['Ada', '40 g'], ['Bo', '25 g']] as [$name, $amount]) {
        $plates[] = $test
            ->postJson('/api/servings', [
                'batchId' => $id,
                'personId' => Person::query()->where('name', $name)->firstOrFail()->id,
                'amount' => $amount,
                'requestKey' => (string) Str::ulid(),
            ])
            ->assertCreated()
            ->json();
    }
    $test->travel(1)->hours();

    return [$id, $plates];
}

/** @return list<array<string, float>> what stands on the plates of a jar */
function booked(string $batch): array
{
    return array_values(
        Serving::query()
            ->where('batch_id', $batch)
            ->where('undone_at', null)
            ->orderBy('id')
            ->get()
            ->map(static fn(Serving $one): array => (array) $one->sodium())
            ->all(),
    );
}

it('offers to update portions where a step that is entered later would change them', function (): void {
    [$id, $plates] = eatenKimchi($this);
    $before = booked($id);
    $this->getJson("/api/batches/{$id}/portions")
        ->assertOk()
        ->assertJsonPath('outdated', []);

    // It had been rinsed for ten minutes, a minute sooner than was entered.
    $rinsed = CarbonImmutable::parse(stepOf($this, $id, 'rinse')['doneAt'])->subMinute();
    doStep($this, $id, 'rinse', ['rinseSeconds' => 600, 'at' => $rinsed->toIso8601String()])->assertCreated();
    $offer = $this->getJson("/api/batches/{$id}/portions")->json('outdated');
    expect(array_column($offer, 'personName'))
        ->toBe(['Ada', 'Bo'])
        ->and(booked($id))
        ->toBe($before)
        ->and($offer[0]['now']['typical'])
        ->toBeLessThan($offer[0]['booked']['typical'] * 0.9);

    // Ada's plate and Bo's come out of one jar: what is put right for her does not change his share of salt.
    expect($offer[1]['now']['typical'] / 25)->toEqualWithDelta($offer[0]['now']['typical'] / 40, 0.02);

    $updated = $this->postJson("/api/batches/{$id}/portions/update", ['requestKey' => (string) Str::ulid()]);
    $updated->assertCreated()->assertJson(['outdated' => [], 'changed' => 2]);
    $after = booked($id);
    // What stands there now is what the same plate holds of the jar as it was, for someone who writes it now.
    $again = $this->postJson('/api/servings', [
        'batchId' => $id,
        'personId' => $this->ada,
        'amount' => '40 g',
        'eatenOn' => CarbonImmutable::now()->toDateString(),
        'eatenAt' => CarbonImmutable::now()->subHour()->format('H:i'),
        'requestKey' => (string) Str::ulid(),
    ])->json('sodium');
    expect($after[0]['typical'])
        ->toEqualWithDelta($offer[0]['now']['typical'], 1e-9)
        ->and($after[0]['typical'])
        ->toEqualWithDelta($again['typical'], 0.01 * $again['typical'])
        ->and(array_column(booked($id), 'typical'))
        ->toHaveCount(3);

    $this->postJson("/api/batches/{$id}/portions/update", ['requestKey' => (string) Str::ulid()])->assertJson([
        'changed' => 0,
    ]);
    $this->deleteJson("/api/batches/{$id}/portions/update", ['requestKey' => (string) Str::ulid()])->assertJson([
        'changed' => 2,
    ]);
    expect(array_slice(booked($id), 0, 2))
        ->toEqual($before)
        ->and($this->getJson("/api/batches/{$id}/portions")->json('outdated'))
        ->toBe([]);
    foreach ($plates as $plate) {
        $this->deleteJson("/api/servings/{$plate['id']}")->assertOk();
    }
    $this->getJson("/api/batches/{$id}/portions")->assertJsonPath('outdated', []);
});

it('leaves portions alone that hardly differ, and those of later days', function (array $how, int $outdated): void {
    [$id] = eatenKimchi($this);
    $step = $how['step'];
    unset($how['step']);
    $at = CarbonImmutable::parse(stepOf($this, $id, $step)['doneAt'])->subMinute();
    doStep($this, $id, $step, [...$how, 'at' => $at->toIso8601String()])->assertCreated();
    expect($this->getJson("/api/batches/{$id}/portions")->json('outdated'))->toHaveCount($outdated);
    // What is served now is of the jar as it is known to be.
    $this->postJson('/api/servings', [
        'batchId' => $id,
        'personId' => $this->ada,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect($this->getJson("/api/batches/{$id}/portions")->json('outdated'))->toHaveCount($outdated);
})->with([
    'a minute sooner' => [['step' => 'drain'], 0],
    'rinsed for much longer' => [['step' => 'rinse', 'rinseSeconds' => 900], 2],
]);

it('says the same at the bench as on the page of the jar a moment later', function (
    array $change,
    bool $isMeant,
): void {
    foreach (['vegetable', 'salt'] as $what) {
        if (isset($change[$what])) {
            $change["{$what}Id"] = idOf($change[$what]);
            unset($change[$what]);
        }
    }
    $change = ($change['method'] ?? '') === 'kimchi_soaked' ? soakedKimchi($change) : $change;
    $bench = $this->postJson('/api/bench', $this->bench($change))->assertOk()->json('serving');
    $jar = $this->startJar([...$change, 'jarId' => null])
        ->assertCreated()
        ->json('id');
    $meant = $this->getJson("/api/batches/{$jar}")->json('meant');
    expect($bench['on'] !== null)
        ->toBe($isMeant)
        ->and($meant['on'] ?? null)
        ->toBe($bench['on']);
    if ($isMeant) {
        foreach (['low', 'typical', 'high'] as $end) {
            expect($bench['sodium'][$end])->toEqualWithDelta($meant['sodium'][$end], 0.01 * $meant['sodium'][$end]);
        }
        expect($bench['sodium']['typical'])->toEqualWithDelta($meant['sodium']['typical'], 1e-6);
    }
})->with([
    'carrot sticks' => [[], true],
    'a cold place' => [['place' => 'fridge'], true],
    'whole cucumbers' => [['vegetable' => 'pickling-cucumber', 'shape' => 'whole', 'vegetableAmount' => '500 g'], true],
    'packed three days ago' => [['startedOn' => '2026-11-28'], true],
    'packed long ago' => [['startedOn' => '2026-08-28'], false],
    'soaked kimchi' => [['method' => 'kimchi_soaked'], true],
    'a quick pickle' => [
        ['method' => 'quick_salt_pickle', 'vegetable' => 'pickling-cucumber', 'shape' => 'rings'],
        true,
    ],
    'in a warm room' => [['roomCelsius' => 27], true],
]);

it('asks the table and the jar the same: which of them hold food', function (): void {
    $seed = random_int(1, 1_000_000);
    mt_srand($seed);
    $ids = [
        $this->startJar(soakedKimchi(['begin' => 'counter']))->json('id'),
        $this->startJar(soakedKimchi(['begin' => 'now']))->json('id'),
        $this->startJar(['begin' => 'counter'])->json('id'),
        $this->startJar(['begin' => 'counter', 'method' => 'quick_salt_pickle', 'shape' => 'rings'])->json('id'),
        $this->startJar(['startedOn' => '2026-11-20'])->json('id'),
    ];
    $seen = [];
    for ($i = 0; $i < 60; $i++) {
        $batch = Batch::whole()->findOrFail($ids[mt_rand(0, count($ids) - 1)]);
        $step = $batch->steps[mt_rand(0, count($batch->steps) - 1)];
        match (mt_rand(0, 3)) {
            0 => $this->travel(mt_rand(1, 400))->minutes(),
            1 => $this->deleteJson("/api/batches/{$batch->id}/steps/{$step->id}/done"),
            2 => $this->postJson("/api/batches/{$batch->id}/steps/{$step->id}/skipped", [
                'requestKey' => (string) Str::ulid(),
            ]),
            default => doStep($this, $batch->id, ($batch->nextStep() ?? $step)->kind->value),
        };
        $now = CarbonImmutable::now();
        $bySteps = Batch::whole()->get()->filter(static fn(Batch $one): bool => $one->isFoodAt($now))->pluck('id');
        expect(Batch::eatable()->pluck('id')->sort()->values()->all())->toBe(
            $bySteps->sort()->values()->all(),
            "seed {$seed}, after {$i}",
        );
        $seen[count($bySteps)] = true;
    }
    expect(count($seen))->toBeGreaterThan(1, "seed {$seed}");
});

it('notes the pH of a sauce in each of its bottles', function (?float $ph): void {
    $mash = $this->startJar([
        'method' => 'mash',
        'vegetableId' => idOf('red-chilli'),
        'vegetableAmount' => '400 g',
        'shape' => 'pulp',
        'waterAmount' => '',
        'strengthBasis' => 'of_vegetable',
        'startedOn' => '2026-11-01',
        'name' => 'Mash',
    ])
        ->assertCreated()
        ->json('id');
    $bottle = $this->jar('Sauce bottle, 250 ml');
    $blend = fn(mixed $read) => $this->postJson('/api/batches', [
        ...$this->bench([
            'method' => 'transform',
            'vegetableId' => null,
            'vegetableAmount' => '',
            'shape' => null,
            'sourceBatchId' => $mash,
            'jarId' => $bottle,
            'moreJarIds' => [$bottle],
            'hasOneMore' => true,
            'fixed' => 'salt',
            'saltAmount' => '',
            'waterAmount' => '',
            'strengthBasis' => 'of_everything',
            'servingAmount' => '10 g',
        ]),
        'name' => 'Hot sauce',
        'place' => 'fridge',
        'ph' => $read,
        'requestKey' => (string) Str::ulid(),
    ]);
    $blend('sour')->assertJsonValidationErrors(['ph']);
    $blend(12)->assertJsonValidationErrors(['ph']);
    $blend($ph)->assertCreated();
    $bottles = Batch::whole()->where('name', 'like', 'Hot sauce, bottle%')->get();
    expect($bottles)->toHaveCount(2);
    foreach ($bottles as $one) {
        $read = $this->getJson("/api/batches/{$one->id}")->json('lastReading');
        expect($read['ph'] ?? null)
            ->toBe($ph)
            ->and($read['stands'] ?? $ph === null)
            ->toBe(true);
    }
})->with(['read' => 3.6, 'not read' => null]);

it('blends a sauce at the counter: a mash until it is blended, in its bottles by the last step', function (): void {
    $mash = $this->startJar([
        'method' => 'mash',
        'vegetableId' => idOf('red-chilli'),
        'vegetableAmount' => '400 g',
        'shape' => 'pulp',
        'waterAmount' => '',
        'strengthBasis' => 'of_vegetable',
        'startedOn' => '2026-11-01',
        'name' => 'Mash',
    ])
        ->assertCreated()
        ->json();
    $bottle = $this->jar('Sauce bottle, 250 ml');
    $id = $this->postJson('/api/batches', [
        ...$this->bench([
            'method' => 'transform',
            'vegetableId' => null,
            'vegetableAmount' => '',
            'shape' => null,
            'sourceBatchId' => $mash['id'],
            'alongside' => [['foodId' => idOf('cider-vinegar'), 'amount' => '60 g']],
            'jarId' => $bottle,
            'moreJarIds' => [$bottle],
            'hasOneMore' => true,
            'fixed' => 'salt',
            'saltAmount' => '',
            'waterAmount' => '',
            'strengthBasis' => 'of_everything',
            'servingAmount' => '10 g',
        ]),
        'name' => 'Hot sauce',
        'place' => 'fridge',
        'begin' => 'counter',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('id');
    expect($id)->toBe($mash['id']);
    $page = fn(): array => $this->getJson("/api/batches/{$id}")->json();
    expect([$page()['name'], $page()['method'], $page()['gramsLeft']])->toBe(['Mash', 'mash', $mash['gramsLeft']]);
    $open = fn(): array => array_column(
        array_filter(
            $this->getJson("/api/batches/{$id}/steps")->json('steps'),
            static fn(array $step): bool => $step['doneAt'] === null && $step['skippedAt'] === null,
        ),
        'kind',
    );
    expect($open())->toBe(['sterilise', 'blend', 'season', 'measure_ph', 'bottle']);

    doStep($this, $id, 'sterilise')->assertCreated();
    doStep($this, $id, 'blend')->assertCreated();
    expect([$page()['name'], $page()['method'], $page()['vessel']['jarId']])->toBe([
        'Hot sauce',
        'transform',
        $mash['vessel']['jarId'],
    ]);
    // It was not blended after all: it is a mash again, and then it is blended.
    $blend = stepOf($this, $id, 'blend')['id'];
    $this->deleteJson("/api/batches/{$id}/steps/{$blend}/done")->assertOk();
    expect([$page()['name'], $page()['method']])->toBe(['Mash', 'mash']);
    doStep($this, $id, 'blend')->assertCreated();
    doStep($this, $id, 'season')->assertCreated();
    expect($page()['gramsLeft'])->toEqualWithDelta($mash['gramsLeft'] + 60, 0.5);
    doStep($this, $id, 'measure_ph')->assertCreated();
    doStep($this, $id, 'bottle')->assertCreated();
    // Twice is once.
    doStep($this, $id, 'bottle');

    $bottles = Batch::whole()->where('name', 'like', 'Hot sauce, bottle%')->get();
    expect($bottles)
        ->toHaveCount(2)
        ->and($bottles->pluck('jar_id')->unique()->all())
        ->toBe([$bottle])
        ->and($page()['name'])
        ->toBe('Hot sauce, bottle 1')
        ->and($page()['place'])
        ->toBe('fridge');
    $held = $bottles->sum(fn(Batch $one): float => $this->getJson("/api/batches/{$one->id}")->json('gramsLeft'));
    expect($held)->toEqualWithDelta($mash['gramsLeft'] + 60, 0.5);
    $last = stepOf($this, $id, 'bottle')['id'];
    $this->deleteJson("/api/batches/{$id}/steps/{$last}/done")->assertJsonValidationErrors(['step']);
});
