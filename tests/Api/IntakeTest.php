<?php

declare(strict_types=1);

use App\Ledger\Ledgers;
use App\Models\Ingredient;
use App\Models\Batch;
use App\Models\OtherFood;
use App\Models\Person;
use App\Models\Serving;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tempesal\Core\Ledger\Account;

/*
 * Intake against a target: from the jars in every way, from everything else, over days and weeks, out and in.
 */

beforeEach(function (): void {
    $this->travelTo(Carbon::parse('2026-11-25 12:00:00'));
    $this->asCook($this->cook());
    [$this->ada, $this->bo] = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
});

/** @param  array<string, mixed>  $as */
function ateOther(Tests\TestCase $test, array $how, array $as = []): TestResponse
{
    return $test->postJson('/api/other-foods', [
        'personId' => $test->ada,
        'name' => 'Soup',
        'how' => $how,
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ]);
}

it('reads sodium as it is printed', function (array $how, float $milligrams): void {
    expect(ateOther($this, $how)->assertCreated()->json('sodiumMg'))->toEqualWithDelta($milligrams, 1e-9);
})->with([
    'milligrams' => [['by' => 'mg', 'milligrams' => 480], 480.0],
    // Regulation (EU) No 1169/2011, Annex I: salt is sodium times 2.5; from memory.
    'grams of salt' => [['by' => 'salt', 'saltG' => 1.2], 480.0],
    'sodium in 100 g' => [['by' => 'per_100g', 'sodiumMg' => 320, 'grams' => 150], 480.0],
    'salt in 100 g' => [['by' => 'per_100g', 'saltG' => 0.8, 'grams' => 150], 480.0],
    'a portion' => [['by' => 'per_portion', 'sodiumMg' => 160, 'portions' => 3], 480.0],
    'salt in a portion' => [['by' => 'per_portion', 'saltG' => 0.5, 'portions' => 2.4], 480.0],
]);

it('says beside the field what cannot be', function (array $how, string $field): void {
    ateOther($this, $how)->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(OtherFood::query()->count())->toBe(0);
})->with([
    [['by' => 'guess'], 'how.by'],
    [['by' => 'mg'], 'how.milligrams'],
    [['by' => 'mg', 'milligrams' => -1], 'how.milligrams'],
    [['by' => 'salt', 'saltG' => 900], 'how.saltG'],
    [['by' => 'per_100g', 'sodiumMg' => 100], 'how.grams'],
    [['by' => 'per_100g', 'sodiumMg' => 40_000, 'grams' => 5000], 'how.by'],
]);

it('shows recorded food apart from the estimate, and counts it instead of a meal', function (): void {
    ateOther($this, ['by' => 'mg', 'milligrams' => 300])->assertCreated();
    $food = ateOther($this, ['by' => 'mg', 'milligrams' => 500], ['name' => 'Lunch', 'insteadOf' => ['noon']])->json(
        'id',
    );
    $ada = $this->getJson('/api/days/today')->json('people.0');
    // 1200 mg a day: 300 in the morning, 420 at noon, 480 in the evening.
    expect($ada['restMg'])
        ->toBe(780)
        ->and($ada['meals'])
        ->toBe([
            ['meal' => 'morning', 'milligrams' => 300, 'isInstead' => false],
            ['meal' => 'noon', 'milligrams' => 420, 'isInstead' => true],
            ['meal' => 'evening', 'milligrams' => 480, 'isInstead' => false],
        ])
        ->and(array_column($ada['otherFoods'], 'sodiumMg'))
        ->toBe([300, 500])
        ->and($ada['marginMg'])
        ->toBe(2000 - 780 - 800);
    // The week's plan reckons with it too.
    expect($this->getJson('/api/weeks/today')->json('people.0.days.2.marginMg'))->toBe(420);
    $this->deleteJson("/api/other-foods/{$food}")->assertOk();
    $this->deleteJson("/api/other-foods/{$food}")->assertOk();
    expect($this->getJson('/api/days/today')->json('people.0.marginMg'))->toBe(2000 - 1200 - 300);
    expect(array_column($this->getJson('/api/other-foods')->json('foods'), 'name'))->toBe(['Soup']);
    $key = (string) Str::ulid();
    ateOther($this, ['by' => 'mg', 'milligrams' => 1], ['requestKey' => $key]);
    ateOther($this, ['by' => 'mg', 'milligrams' => 1], ['requestKey' => $key]);
    expect(OtherFood::query()->where('sodium_mg', 1)->count())->toBe(1);
});

it('serves several at once, all or none, and shares a dish', function (): void {
    $jar = $this->startJar()->json('id');
    $together = fn(array $as): TestResponse => $this->postJson('/api/dishes', [
        'batchId' => $jar,
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ]);
    $body = [
        'portions' => [['personId' => $this->ada, 'amount' => '40 g'], ['personId' => $this->bo, 'amount' => '1 oz']],
        'way' => 'rinsed',
        'eatenOn' => '2026-11-25',
        'requestKey' => (string) Str::ulid(),
    ];
    expect($together($body)->assertCreated()->json('servings'))->toHaveCount(2);
    $together($body)->assertCreated();
    expect(Serving::query()->count())
        ->toBe(2)
        ->and(Serving::query()->pluck('eaten_on')->unique()->all())
        ->toBe(['2026-11-25']);
    $together([
        'portions' => [['personId' => $this->ada, 'amount' => '10 g'], ['personId' => $this->bo, 'amount' => '9 kg']],
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('portions.1.amount');
    expect(Serving::query()->count())->toBe(2);
    $before = $this->getJson("/api/batches/{$jar}")->json('gramsLeft');
    $dish = $together([
        'dishAmount' => '100 g',
        'portions' => [['personId' => $this->ada, 'share' => 0.5], ['personId' => $this->bo, 'share' => 0.25]],
    ])->assertCreated();
    expect(array_column($dish->json('servings'), 'grams'))
        ->toBe([50, 25])
        ->and($before - $this->getJson("/api/batches/{$jar}")->json('gramsLeft'))
        ->toBeGreaterThan(92.0)
        ->toBeLessThan(100.1);
    $together([
        'dishAmount' => '100 g',
        'portions' => [['personId' => $this->ada, 'share' => 0.8], ['personId' => $this->bo, 'share' => 0.4]],
    ])->assertJsonValidationErrors('portions');
});

it('takes a dish back whole, by a share of it or by what nobody ate', function (string $by): void {
    $jar = $this->startJar()->json('id');
    $before = $this->getJson("/api/batches/{$jar}")->json();
    $serve = fn(): array => $this->postJson('/api/dishes', [
        'batchId' => $jar,
        'dishAmount' => '100 g',
        'portions' => [['personId' => $this->ada, 'share' => 0.5], ['personId' => $this->bo, 'share' => 0.2]],
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('servings');
    [$first] = $serve();
    expect($first['dish']['grams'])->toBe(100);
    if ($by === 'share') {
        $this->deleteJson("/api/servings/{$first['id']}")->assertOk();
        $this->deleteJson("/api/servings/{$first['id']}")->assertOk();
    } else {
        $given = Batch::whole()->findOrFail($jar)->entries->where('kind', 'give')->sole();
        $this->postJson("/api/batches/{$jar}/entries/{$given->id}/reversal")->assertSuccessful();
    }
    $after = $this->getJson("/api/batches/{$jar}")->json();
    expect($after['gramsLeft'])
        ->toEqualWithDelta($before['gramsLeft'], 1e-9)
        ->and(Serving::query()->where('undone_at', null)->count())
        ->toBe(0)
        ->and($this->getJson('/api/days/today')->json('people.1.servings'))
        ->toBe([]);
    foreach ($after['whereabouts'] as $at => $place) {
        expect($place['sodiumMg'])->toEqualWithDelta($before['whereabouts'][$at]['sodiumMg'], 1e-6);
    }
})->with(['share', 'rest']);

it('puts a serving right at the moment at which it was eaten', function (): void {
    $jar = $this->startJar()->json('id');
    $serve = fn(array $as): array => [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ];
    $wrong = $this->postJson('/api/servings', $serve([]))->assertCreated()->json();
    // Salt goes on moving into the pieces: 20 g now hold more than 20 g held then.
    $this->travelTo(Carbon::parse('2026-11-28 12:00:00'));
    $body = $serve(['amount' => '20 g', 'personId' => $this->bo, 'eatenOn' => '2026-11-25']);
    $change = fn(array $as = []): TestResponse => $this->putJson("/api/servings/{$wrong['id']}", [...$body, ...$as]);
    $change(['amount' => '9 kg', 'requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('amount');
    expect(Serving::query()->where('undone_at', null)->sole()->id)->toBe($wrong['id']);
    $right = $change()->assertOk()->json();
    expect($right['sodium']['typical'])
        ->toEqualWithDelta($wrong['sodium']['typical'] / 2, 1e-9)
        ->and($right['personName'])
        ->toBe('Bo')
        ->and($change()->assertOk()->json('id'))
        ->toBe($right['id'])
        ->and(Serving::query()->where('undone_at', null)->sole()->id)
        ->toBe($right['id']);
    $now = $this->postJson('/api/servings', $serve(['amount' => '20 g']))->json();
    expect($now['sodium']['typical'])->toBeGreaterThan($right['sodium']['typical'] * 1.05);
    $change(['requestKey' => (string) Str::ulid()])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('serving');
    // Rinsed, from the same jar, at a moment that is said; no day before it was begun.
    $rinsed = $this->putJson("/api/servings/{$right['id']}", [
        ...$body,
        'way' => 'rinsed',
        'eatenOn' => '2026-11-25',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertOk()
        ->json();
    expect($rinsed['wayLabel'])
        ->toBe('rinsed 30 s')
        ->and($rinsed['sodium']['typical'])
        ->toBeLessThan($right['sodium']['typical'])
        ->and($rinsed['eatenOn'])
        ->toBe('2026-11-25');
});

it('changes a dish as a whole, and only as a whole', function (): void {
    $jar = $this->startJar()->json('id');
    $lone = $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '10 g',
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $dish = fn(array $shares, string $amount = '90 g'): array => [
        'batchId' => $jar,
        'dishAmount' => $amount,
        'portions' => array_map(
            fn(string $id, float $share): array => ['personId' => $id, 'share' => $share],
            array_keys($shares),
            $shares,
        ),
        'requestKey' => (string) Str::ulid(),
    ];
    $first = $this->postJson('/api/dishes', $dish([$this->ada => 0.5, $this->bo => 0.5]))->json('servings.0');
    $this->putJson("/api/servings/{$first['id']}", [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '10 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertJsonValidationErrors('serving');
    $this->putJson("/api/servings/{$lone['id']}/dish", $dish([$this->ada => 1.0]))->assertJsonValidationErrors(
        'serving',
    );
    $this->putJson("/api/servings/{$first['id']}/dish", [
        ...$dish([$this->ada => 1.0]),
        'dishAmount' => null,
    ])->assertUnprocessable();
    $body = $dish([$this->bo => 0.25], '60 g');
    $changed = $this->putJson("/api/servings/{$first['id']}/dish", $body)
        ->assertOk()
        ->json('servings');
    expect($changed)
        ->toHaveCount(1)
        ->and($changed[0]['grams'])
        ->toBe(15)
        ->and($this->putJson("/api/servings/{$first['id']}/dish", $body)->json('servings.0.id'))
        ->toBe($changed[0]['id']);
    $state = Ledgers::of(Batch::whole()->findOrFail($jar))->state();
    // 10 g of Ada, 15 g of Bo; 45 g of the dish nobody ate.
    expect($state->account(Account::Eaten)->weightG())
        ->toEqualWithDelta(25.0, 1e-6)
        ->and($state->account(Account::GivenAway)->weightG())
        ->toEqualWithDelta(45.0, 1e-6);
});

it('puts right what was written down besides the jars', function (): void {
    $food = ateOther($this, ['by' => 'mg', 'milligrams' => 300])->json();
    $body = [
        'personId' => $this->bo,
        'name' => 'Soup, half of it',
        'how' => ['by' => 'salt', 'saltG' => 0.5],
        'insteadOf' => ['noon'],
        'eatenOn' => '2026-11-24',
        'requestKey' => (string) Str::ulid(),
    ];
    $change = fn(array $as = []): TestResponse => $this->putJson("/api/other-foods/{$food['id']}", [...$body, ...$as]);
    $change(['insteadOf' => ['tea']])->assertJsonValidationErrors('insteadOf.0');
    expect($change()->assertOk()->json())
        ->toMatchArray(['sodiumMg' => 200, 'insteadOf' => ['noon'], 'eatenOn' => '2026-11-24'])
        ->and($change()->assertOk()->json('name'))
        ->toBe('Soup, half of it')
        ->and(OtherFood::query()->where('undone_at', null)->count())
        ->toBe(1);
    $change(['requestKey' => (string) Str::ulid()])->assertJsonValidationErrors('otherFood');
});

it('holds a day against the target and the estimate of its time', function (): void {
    $this->postJson('/api/other-foods', [
        'personId' => $this->ada,
        'name' => 'Pizza',
        'how' => ['by' => 'mg', 'milligrams' => 700],
        'eatenOn' => '2026-11-19',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $ada = $this->getJson('/api/kitchen')->json('people.0');
    $save = fn(array $as): array => $this->putJson("/api/people/{$ada['id']}", [
        ...array_diff_key($ada, ['id' => 0, 'before' => 0]),
        'version' => Person::query()->findOrFail($ada['id'])->version,
        'targetMg' => 1500,
        'restOfDiet' => self::restOfDiet(250),
        ...$as,
    ])
        ->assertOk()
        ->json('people.0');
    $days = fn(): array => array_map(
        fn(array $day): array => [$day['targetMg'], $day['estimateMg']],
        $this->getJson("/api/intake?personId={$ada['id']}&days=7")->json('days'),
    );
    expect($save([])['before'])->toBe([['until' => '2026-11-24', 'targetMg' => 2000, 'targetSource' => 'test']]);
    expect($days())->toBe([...array_fill(0, 6, [2000, 1200]), [1500, 750]]);
    // 1900 mg on the 19th were within the target of that day.
    expect($this->getJson("/api/intake?personId={$ada['id']}&days=7")->json('daysPast'))->toBe(0);
    // The same again is nothing new; another number on the same day stands for the first.
    $save([]);
    $save(['targetMg' => 1600]);
    expect($days()[6])
        ->toBe([1600, 750])
        ->and(App\Models\IntakeTarget::query()->count())
        ->toBe(3);
    expect($save(['holds' => 'always'])['before'])->toBe([]);
    expect($days())->toBe(array_fill(0, 7, [1500, 750]));
    expect($this->getJson("/api/intake?personId={$ada['id']}&days=7")->json('daysPast'))->toBe(0);
    $save(['holds' => 'always', 'targetMg' => 1400]);
    expect($this->getJson("/api/intake?personId={$ada['id']}&days=7")->json('daysPast'))->toBe(1);
});

it('says how much of a jar still fits, to the step', function (int $target): void {
    $this->aim('Ada', $target);
    $jar = $this->startJar(['startedOn' => '2026-10-01'])->json('id');
    $portion = $this->getJson('/api/days/today')->json('jars.0.portions.0');
    $after = function (float $grams) use ($jar): float {
        $serving = $this->postJson('/api/servings', [
            'batchId' => $jar,
            'personId' => $this->ada,
            'amount' => "{$grams} g",
            'requestKey' => (string) Str::ulid(),
        ])
            ->assertCreated()
            ->json('id');
        $margin = $this->getJson('/api/days/today')->json('people.0.marginMg');
        $this->deleteJson("/api/servings/{$serving}")->assertOk();

        return $margin;
    };
    if ($portion['fitsGrams'] > 0) {
        expect($after($portion['fitsGrams']))->toBeGreaterThanOrEqual(0.0);
    }
    expect($after(max(10.0, $portion['fitsGrams'] + 5.0)))->toBeLessThan(0.0);
})->with([1100, 1230, 1300, 1500, 2000]);

it('counts a serving as live by what it was at that moment', function (): void {
    $jar = $this->startJar(['startedOn' => '2026-11-10'])->json('id');
    $serve = fn(): string => $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('id');
    $serve();
    $this->travelTo(Carbon::parse('2026-11-26 12:00:00'));
    $this->postJson("/api/batches/{$jar}/entries", [
        'entry' => ['kind' => 'heat'],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->travelTo(Carbon::parse('2026-11-27 12:00:00'));
    $serve();
    $intake = $this->getJson("/api/intake?personId={$this->ada}&days=3")->json();
    expect(array_column($intake['days'], 'live'))
        ->toBe([1, 0, 0])
        ->and($intake['without'])
        ->toBe(['2026-11-26', '2026-11-27']);
});

it('says the mean as a clinic and as a salt shaker count it, with its spread and what was entered', function (): void {
    $this->postJson('/api/other-foods', [
        'personId' => $this->ada,
        'name' => 'soup',
        'how' => ['by' => 'mg', 'milligrams' => 1000],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $intake = $this->getJson("/api/intake?personId={$this->ada}&days=7")
        ->assertOk()
        ->json();
    $mean = $intake['mean']['sodium']['typical'];
    // 1 mmol of sodium is 22.98977 mg (IUPAC); 1 g of salt holds 393.372 mg of it.
    expect($intake['mean']['mmol'])
        ->toEqualWithDelta($mean / 22.98977, 1e-9)
        ->and($intake['mean']['saltGrams'])
        ->toEqualWithDelta($mean / 393.372, 1e-4)
        ->and($intake['daysWritten'])
        ->toBe(1)
        ->and($intake['spread']['lowMg'])
        ->toEqualWithDelta(min(array_column($intake['days'], 'totalMg')), 1e-9)
        ->and($intake['spread']['highMg'])
        ->toEqualWithDelta(max(array_column($intake['days'], 'totalMg')), 1e-9);
});

it('counts jars that ferment alike as one kind', function (): void {
    $jars = [
        'Plain' => ['method' => 'dry_salting', 'vegetable' => 'green-cabbage'],
        'Red' => ['method' => 'dry_salting', 'vegetable' => 'red-cabbage'],
        'Savoy' => ['method' => 'dry_salting', 'vegetable' => 'savoy-cabbage'],
        'Carrots' => [],
    ];
    $kinds = [];
    foreach ($jars as $name => $jar) {
        $id = $this->startJar([
            ...isset($jar['method'])
                ? [
                    'method' => $jar['method'],
                    'vegetableId' => Ingredient::query()->where('key', $jar['vegetable'])->sole()->id,
                    'shape' => 'shreds',
                    'waterAmount' => '',
                    'strengthBasis' => 'of_vegetable',
                ]
                : [],
            'name' => $name,
            'startedOn' => '2026-11-02',
        ])
            ->assertCreated()
            ->json('id');
        $this->postJson('/api/servings', [
            'batchId' => $id,
            'personId' => $this->ada,
            'amount' => '10 g',
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
        $kinds[$name] = $this->getJson("/api/intake?personId={$this->ada}&days=7")->json('kinds');
    }
    expect($kinds)->toBe(['Plain' => 1, 'Red' => 1, 'Savoy' => 1, 'Carrots' => 2]);
});

it('counts what was cooked, and what is hardly begun, as not live', function (): void {
    $old = $this->startJar(['startedOn' => '2026-11-10'])->json('id');
    $new = $this->startJar(['name' => 'Begun today'])->json('id');
    $serve = fn(string $jar, array $how = []) => $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
        ...$how,
    ])->assertCreated();
    expect($serve($old)->json('isLive'))->toBeTrue();
    $cooked = $serve($old, ['isCooked' => true]);
    expect([$cooked->json('isLive'), $cooked->json('isCooked')])
        ->toBe([false, true])
        ->and($serve($new)->json('isLive'))
        ->toBeFalse();
    $dish = $this->postJson('/api/dishes', [
        'batchId' => $old,
        'portions' => [['personId' => $this->ada, 'share' => 0.5], ['personId' => $this->bo, 'share' => 0.5]],
        'dishAmount' => '40 g',
        'isCooked' => true,
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect(array_column($dish->json('servings'), 'isLive'))->toBe([false, false]);
    // Put right: it was cold after all, and counts.
    $changed = $this->putJson("/api/servings/{$cooked->json('id')}", [
        'batchId' => $old,
        'personId' => $this->ada,
        'amount' => '20 g',
        'isCooked' => false,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    expect([$changed->json('isLive'), $changed->json('isCooked')])->toBe([true, false]);
});

it('agrees to the milligram with a tally of its own over a month of three people', function (): void {
    $this->seat('Cy', 1800, 20.0);
    Person::query()->update(['created_at' => '2026-10-29 08:00:00']);
    $people = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    $this->travelTo(Carbon::parse('2026-10-29 12:00:00'));
    $jars = [
        $this->startJar([
            'startedOn' => '2026-10-01',
            'vegetableAmount' => '3 kg',
            'waterAmount' => '3 kg',
        ])->json('id'),
        $this->startJar([
            'name' => 'Saltier',
            'startedOn' => '2026-10-05',
            'strengthPercent' => '4',
            'vegetableAmount' => '3 kg',
            'waterAmount' => '3 kg',
        ])->json('id'),
    ];
    mt_srand(8);
    $tally = array_fill_keys($people, []);
    $eaten = array_fill_keys($jars, 0.0);
    $stands = [];
    for ($day = 0; $day < 28; $day++) {
        $this->travelTo(Carbon::parse('2026-10-29 12:00:00')->addDays($day));
        $date = now()->toDateString();
        foreach ($people as $person) {
            $tally[$person][$date] = ['ferments' => 0.0, 'written' => 0.0, 'live' => 0, 'instead' => []];
        }
        if ($day % 9 === 4) {
            // A dish of which all three have their share, and something is left.
            $dish = $this->postJson('/api/dishes', [
                'batchId' => $jars[$day % 2],
                'dishAmount' => '90 g',
                'portions' => array_map(
                    fn(string $person, float $share): array => ['personId' => $person, 'share' => $share],
                    $people,
                    [0.4, 0.3, 0.1],
                ),
                'requestKey' => (string) Str::ulid(),
            ])->assertCreated();
            $shares = $dish->json('servings');
            if ($day % 2 === 1) {
                // It was less, the second had nothing of it, and it was taken from the other jar.
                $shares = $this->putJson("/api/servings/{$shares[1]['id']}/dish", [
                    'batchId' => $jars[0],
                    'dishAmount' => '60 g',
                    'portions' => [
                        ['personId' => $people[0], 'share' => 0.5],
                        ['personId' => $people[2], 'share' => 0.2],
                    ],
                    'requestKey' => (string) Str::ulid(),
                ])
                    ->assertOk()
                    ->json('servings');
            }
            foreach ($shares as $serving) {
                $stands[$serving['id']] = [$serving, null];
            }
        }
        foreach ($people as $person) {
            foreach ($jars as $jar) {
                if (mt_rand(1, 3) === 1) {
                    continue;
                }
                $as = [['way' => 'drained'], ['way' => 'rinsed'], ['way' => 'with_juice'], ['phase' => 'brine']][
                    mt_rand(0, 3)
                ];
                $serving = $this->postJson('/api/servings', [
                    'batchId' => $jar,
                    'personId' => $person,
                    'amount' => mt_rand(10, 45) . ' g',
                    'requestKey' => (string) Str::ulid(),
                    ...$as,
                ])
                    ->assertCreated()
                    ->json();
                if (mt_rand(1, 5) === 1) {
                    $this->deleteJson("/api/servings/{$serving['id']}")->assertOk();
                    continue;
                }
                $stands[$serving['id']] = [$serving, $as];
            }
            if (mt_rand(1, 3) === 1) {
                $meal = ['morning', 'noon', 'evening'][mt_rand(0, 2)];
                $food = ateOther(
                    $this,
                    ['by' => 'salt', 'saltG' => mt_rand(1, 30) / 10],
                    ['personId' => $person, 'insteadOf' => mt_rand(1, 2) === 1 ? [$meal] : []],
                )->json();
                $fate = mt_rand(1, 4);
                if ($fate === 1) {
                    $this->deleteJson("/api/other-foods/{$food['id']}")->assertOk();
                    continue;
                }
                if ($fate === 2) {
                    $food = $this->putJson("/api/other-foods/{$food['id']}", [
                        'personId' => $person,
                        'name' => 'Something less salty',
                        'how' => ['by' => 'mg', 'milligrams' => 123],
                        'insteadOf' => ['evening'],
                        'eatenOn' => $date,
                        'requestKey' => (string) Str::ulid(),
                    ])
                        ->assertOk()
                        ->json();
                }
                $tally[$person][$date]['written'] += $food['sodiumMg'];
                $tally[$person][$date]['instead'] = [...$tally[$person][$date]['instead'], ...$food['insteadOf']];
            }
        }
        // Something of an earlier day was another weight, or in another way, or somebody else's.
        $lone = array_filter($stands, fn(array $one): bool => $one[1] !== null);
        if ($day > 3 && $day % 2 === 0 && $lone !== []) {
            [$wrong, $as] = $lone[array_rand($lone)];
            $right = $this->putJson("/api/servings/{$wrong['id']}", [
                'batchId' => $wrong['batchId'],
                'personId' => $people[mt_rand(0, 2)],
                'amount' => mt_rand(10, 30) . ' g',
                'eatenOn' => $wrong['eatenOn'],
                'requestKey' => (string) Str::ulid(),
                ...$as,
            ])
                ->assertOk()
                ->json();
            unset($stands[$wrong['id']]);
            $stands[$right['id']] = [$right, $as];
        }
    }
    foreach ($stands as [$serving]) {
        $tally[$serving['personId']][$serving['eatenOn']]['ferments'] += $serving['sodium']['typical'];
        $tally[$serving['personId']][$serving['eatenOn']]['live']++;
        $eaten[$serving['batchId']] += $serving['sodium']['typical'];
    }
    foreach ($people as $at => $person) {
        $intake = $this->getJson("/api/intake?personId={$person}")
            ->assertOk()
            ->json();
        // A quarter in the morning, 35 % at noon, the rest in the evening.
        $rest = function (string $date, array $instead) use ($at): float {
            $weekend = in_array(Carbon::parse($date)->isoWeekday(), [6, 7], true);
            $day = [1200.0, $weekend ? 1100.0 : 900.0, 0.0][$at];
            $meals = ['morning' => 0.25 * $day, 'noon' => 0.35 * $day, 'evening' => 0.4 * $day];

            return array_sum(array_diff_key($meals, array_flip($instead)));
        };
        $sum = 0.0;
        expect($intake['days'])->toHaveCount(28);
        foreach ($intake['days'] as $day) {
            $own = $tally[$person][$day['date']];
            $total = $rest($day['date'], $own['instead']) + $own['ferments'] + $own['written'];
            expect($day['totalMg'])
                ->toEqualWithDelta($total, 1e-6)
                ->and($day['fermentsMg'] + $day['condimentsMg'])
                ->toEqualWithDelta($own['ferments'], 1e-6)
                ->and($day['live'])
                ->toBe($own['live']);
            $sum += $total;
        }
        expect($intake['mean28']['sodium']['typical'])
            ->toEqualWithDelta($sum / 28, 1e-6)
            ->and(array_sum($intake['shares']))
            ->toEqualWithDelta($sum, 1e-6)
            ->and($intake['without'])
            ->toBe(array_keys(array_filter($tally[$person], fn(array $own): bool => $own['live'] === 0)))
            ->and($intake['mean28']['sodium']['low'])
            ->toBeLessThan($intake['mean28']['sodium']['typical']);
    }
    // What the ledgers say was eaten is what the people ate; and nothing is lost in them.
    foreach ($jars as $jar) {
        $state = Ledgers::of(Batch::whole()->findOrFail($jar))->state();
        $begun = Batch::whole()->findOrFail($jar);
        expect($state->account(Account::Eaten)->sodiumMg)
            ->toEqualWithDelta($eaten[$jar], max(1.0, $eaten[$jar] * 1e-6))
            ->and(array_sum($state->whereabouts()))
            ->toEqualWithDelta(array_sum(Ledgers::of($begun, $begun->started_at)->state()->whereabouts()), 1e-6);
    }
});

it('keeps a serving on the day the cook meant, across midnight, zones and the change of the clocks', function (
    string $zone,
    string $now,
    string $day,
): void {
    app(App\Household\CurrentHousehold::class)
        ->get()
        ->update(['time_zone' => $zone]);
    $jar = $this->startJar(['startedOn' => '2026-03-01'])->json('id');
    $this->travelTo(Carbon::parse($now));
    $serve = fn(array $as = []): array => $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $this->ada,
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ])
        ->assertCreated()
        ->json();
    expect($serve()['eatenOn'])->toBe($day);
    $before = Carbon::parse($day)->subDay()->toDateString();
    expect($serve(['eatenOn' => $before])['eatenOn'])->toBe($before);
    // Another zone later moves no day.
    app(App\Household\CurrentHousehold::class)
        ->get()
        ->update(['time_zone' => 'Pacific/Kiritimati']);
    $intake = $this->getJson("/api/intake?personId={$this->ada}&from={$before}&to={$day}")->json('days');
    expect(array_column($intake, 'live'))->toBe([1, 1]);
})->with([
    'a minute before midnight in the west' => ['America/Los_Angeles', '2026-11-26 07:59:00', '2026-11-25'],
    'a minute after it' => ['America/Los_Angeles', '2026-11-26 08:01:00', '2026-11-26'],
    'the hour that comes twice' => ['Europe/Lisbon', '2026-10-25 00:30:00', '2026-10-25'],
    'the same hour again' => ['Europe/Lisbon', '2026-10-25 01:30:00', '2026-10-25'],
    'the hour that is left out' => ['Europe/Berlin', '2027-03-28 01:30:00', '2027-03-28'],
    'the far east' => ['Pacific/Auckland', '2026-11-25 11:30:00', '2026-11-26'],
]);

it('sets other days or another person beside', function (): void {
    ateOther($this, ['by' => 'mg', 'milligrams' => 280], ['eatenOn' => '2026-10-20'])->assertCreated();
    $beside = $this->getJson("/api/intake?personId={$this->ada}&beside=before")->json('beside');
    expect($beside['name'])
        ->toBe('the days before')
        ->and($beside['days'])
        // Before the 20th nothing was kept of her: nine days, one with 280 mg more.
        ->toHaveCount(9)
        ->and($beside['mean']['sodium']['typical'])
        ->toEqualWithDelta(1200.0 + 280.0 / 9.0, 1e-9);
    expect($this->getJson("/api/intake?personId={$this->ada}&beside={$this->bo}")->json('beside.name'))->toBe('Bo');
    $this->getJson("/api/intake?personId={$this->ada}&from=2026-11-20&to=2026-11-01")
        ->assertUnprocessable()
        ->assertJsonValidationErrors('from');
    $this->getJson("/api/intake?personId={$this->ada}&beside=" . Str::ulid())->assertNotFound();
    // Bo came to the table today; nothing is made up about the days before.
    $bo = $this->getJson("/api/intake?personId={$this->bo}&beside=before")->json();
    expect(array_column($bo['days'], 'date'))
        ->toBe(['2026-11-25'])
        ->and($bo['from'])
        ->toBe('2026-11-25')
        ->and($bo['beside'])
        ->toBeNull();
    $this->getJson("/api/intake?personId={$this->bo}&from=2026-11-01&to=2026-11-09")
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['from' => 'no record of Bo']);
});

it('goes out and comes in again to the last digit, makes formulas plain, and keeps bad rows out', function (): void {
    $jar = $this->startJar(['name' => '=1+1 sticks'])->json('id');
    $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $this->bo,
        'amount' => '33 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    foreach (['@home "soup", thick', '-5 degrees', "Crème\nbrûlée", '+plus'] as $i => $name) {
        ateOther(
            $this,
            ['by' => 'salt', 'saltG' => 0.1 + $i / 3],
            ['name' => $name, 'insteadOf' => array_slice(['noon', 'morning', 'evening'], 0, $i)],
        )->assertCreated();
    }
    $out = (string) $this->get('/api/intake/export?as=csv')->assertOk()->getContent();
    foreach (array_slice(explode("\n", trim($out)), 1) as $line) {
        foreach (str_getcsv($line, escape: '') as $assignment) {
            expect($assignment)->not->toMatch('/^[=+\-@]/');
        }
    }
    $json = json_decode((string) $this->get('/api/intake/export?as=json')->getContent(), true);
    expect($json['rows'])->toHaveCount(5);

    $this->asCook($this->cook('other@example.org'));
    $read = $this->postJson('/api/intake/preview', ['text' => $out])
        ->assertOk()
        ->json();
    expect($read['complaints'])
        ->toBe([])
        ->and($read['rows'])
        ->toHaveCount(5)
        ->and(OtherFood::query()->count())
        ->toBe(0);
    $bring = ['text' => $out, 'requestKey' => (string) Str::ulid()];
    expect($this->postJson('/api/intake/import', $bring)->assertCreated()->json('count'))->toBe(5);
    $this->postJson('/api/intake/import', $bring)->assertCreated();
    // Another press is another day; but what is here already is not taken over again.
    expect(
        $this->postJson('/api/intake/import', [...$bring, 'requestKey' => (string) Str::ulid()])
            ->assertCreated()
            ->json('count'),
    )->toBe(0);
    $again = json_decode((string) $this->get('/api/intake/export?as=json')->getContent(), true)['rows'];
    $bare = fn(array $rows): array => array_map(
        fn(array $row): array => [$row['date'], $row['person'], $row['name'], $row['sodium_mg'], $row['instead_of']],
        $rows,
    );
    expect($bare($again))->toEqualCanonicalizing($bare($json['rows']));

    $bad =
        "date,person,name,sodium_mg\n2026-11-20,Ada,Bread,200\n2026-11-31,Ada,Bread,200\n" .
        "2026-11-20,Zed,Bread,200\n2026-11-20,Bo,Bread,much\n2026-11-20,Bo,,5\n2026-11-20,Bo\n\n" .
        '2026-11-20,bo,Bread,5';
    $read = $this->postJson('/api/intake/preview', ['text' => $bad])->json();
    expect(array_column($read['complaints'], 'line'))
        ->toBe([3, 4, 5, 6, 7])
        ->and(array_column($read['rows'], 'line'))
        ->toBe([2, 9]);
    $odd = $this->postJson('/api/intake/preview', [
        'text' =>
            "\u{FEFF}Date;x,PERSON,name,sodium_mg,instead_of,date\r\n1,Ada,\"two\n" .
            "lines\",5,Noon evening,2026-11-20\r\n1,Ada,Bread,5,tea,2026-11-20\r\n",
    ])->json();
    expect($odd['rows'])
        ->toHaveCount(1)
        ->and($odd['rows'][0]['insteadOf'])
        ->toBe(['noon', 'evening'])
        ->and($odd['rows'][0]['name'])
        ->toBe("two\nlines")
        ->and($odd['complaints'])
        ->toBe([['line' => 4, 'text' => '“tea” are not meals. Use morning, noon and evening.']]);
    expect($this->postJson('/api/intake/preview', ['text' => "a,b\n1,2"])->json('complaints.0.text'))->toContain(
        '“date” is missing',
    );
});

it('takes forks and spoons for what they hold, as weighed for that person or here', function (): void {
    $jar = $this->startJar()->json('id');
    $serve = fn(string $amount, string $who): TestResponse => $this->postJson('/api/servings', [
        'batchId' => $jar,
        'personId' => $who,
        'amount' => $amount,
        'requestKey' => (string) Str::ulid(),
    ]);
    // Carrot sticks: 12 g on a fork, common practice; the usual portion is another thing.
    expect($serve('1 fork', $this->ada)->json('grams'))
        ->toEqual(12)
        ->and($serve('1 1/2 forkfuls', $this->bo)->json('grams'))
        ->toEqual(18);
    $weigh = fn(?float $grams, ?string $who = null): TestResponse => $this->putJson('/api/weighed-measures', [
        'what' => 'forkful',
        'family' => 'other',
        'personId' => $who,
        'grams' => $grams,
    ]);
    $weigh(15)->assertOk();
    $weigh(8, $this->bo)->assertOk();
    expect($serve('a forkful', $this->ada)->json('grams'))
        ->toEqual(15)
        ->and($serve('2 forkfuls', $this->bo)->json('grams'))
        ->toEqual(16);
    $weigh(null, $this->bo)->assertOk();
    expect($serve('2 forkfuls', $this->bo)->json('grams'))->toEqual(30);
    $serve('many forks', $this->ada)->assertUnprocessable()->assertJsonValidationErrors('amount');
    $serve('0 forks', $this->ada)->assertJsonValidationErrors('amount');
    $weigh(0.1)->assertJsonValidationErrors('grams');
});

it('takes a spoonful of a condiment', function (): void {
    $sauce = $this->startJar([
        'method' => 'cultured_condiment',
        'vegetableId' => Ingredient::query()->where('key', 'mayonnaise-bought')->sole()->id,
        'vegetableAmount' => '300 g',
        'fixed' => 'salt',
        'saltAmount' => '',
        'waterAmount' => '',
    ])
        ->assertCreated()
        ->json('id');
    $grams = fn(string $amount) => $this->postJson('/api/servings', [
        'batchId' => $sauce,
        'personId' => $this->ada,
        'amount' => $amount,
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('grams');
    // 14.79 ml (NIST Handbook 44) at 0.94 g/ml, the USDA composition tables', from memory.
    expect($grams('1 tbsp'))
        ->toEqualWithDelta(14.787 * 0.94, 0.1)
        ->and($grams('a tsp'))
        ->toEqualWithDelta(4.929 * 0.94, 0.1);
});

it('ranks what would save sodium, each as the ledger has it', function (): void {
    $jar = $this->startJar(['startedOn' => '2026-11-01', 'strengthPercent' => '4'])->json();
    $this->startJar(['name' => 'Milder', 'startedOn' => '2026-11-01', 'strengthPercent' => '2']);
    $this->startJar(['name' => 'Not ready', 'strengthPercent' => '2']);
    $ask = fn(string $as = ''): array => $this->getJson("/api/batches/{$jar['id']}/savings?personId={$this->ada}{$as}")
        ->assertOk()
        ->json();
    $found = $ask();
    $saved = collect($found['savings'])->keyBy('kind');
    expect($found['grams'])
        ->toBe(40)
        ->and($found['wantedMg'])
        ->toBeNull()
        ->and($saved->keys()->all())
        ->toBe(['rinse', 'smaller', 'other_jar', 'soak'])
        ->and($saved['other_jar']['text'])
        ->toBe('Milder instead')
        ->and($saved['smaller']['text'])
        ->toBe('25 g instead of 40 g')
        ->and($saved['smaller']['savesPercent'])
        ->toEqualWithDelta(37.5, 0.01);
    // The same as serving it that way.
    $rinsed = $this->postJson('/api/servings', [
        'batchId' => $jar['id'],
        'personId' => $this->ada,
        'amount' => '40 g',
        'way' => 'rinsed',
        'requestKey' => (string) Str::ulid(),
    ])->json();
    expect($rinsed['sodium']['typical'])->toEqualWithDelta($saved['rinse']['milligrams'], 0.5);
    $this->deleteJson("/api/servings/{$rinsed['id']}");
    foreach ($found['savings'] as $one) {
        expect($one['milligrams'] + $one['savesMg'])
            ->toEqualWithDelta($found['sodium']['typical'], 1e-6)
            ->and($one['cost'])
            ->not->toBe('');
    }
    // With juice, draining comes first; of the brine alone there is only less of it, or another jar.
    expect($ask('&way=with_juice')['savings'][0]['kind'])
        ->toBe('drain')
        ->and(array_column($ask('&phase=brine')['savings'], 'kind'))
        ->not->toContain('rinse', 'soak');
    // A wanted number: those that reach it first.
    $wanted = $ask('&mg=140')['savings'];
    expect($wanted[0]['isEnough'])->toBeTrue()->and($wanted[0]['milligrams'])->toBeLessThanOrEqual(140.0);
    $enough = array_column($wanted, 'isEnough');
    expect($enough)->toBe([...array_filter($enough), ...array_filter($enough, fn(bool $one): bool => !$one)]);
    expect($ask('&mg=9000')['savings'])->toBe([]);
    // What is left of the day is what is wanted, where the portion is more than that.
    $this->aim('Ada', 1300);
    expect($ask()['wantedMg'])->toEqualWithDelta(100.0, 1e-9);
    $this->getJson("/api/batches/{$jar['id']}/savings?personId={$this->ada}&grams=99999")->assertUnprocessable();
    $this->getJson("/api/batches/{$jar['id']}/savings?personId={$this->ada}&grams=4000")->assertJsonValidationErrors(
        'grams',
    );
});

it('says of a formula what would make a serving low in sodium', function (): void {
    $formula = App\Models\Formula::query()->where('key', 'plain-kraut')->sole()->id;
    $found = $this->getJson("/api/formulas/{$formula}/savings")
        ->assertOk()
        ->json();
    expect($found['wantedMg'])
        ->toBe(140)
        ->and($found['savings'][0]['isEnough'])
        ->toBeTrue()
        ->and(collect($found['savings'])->firstWhere('kind', 'at_floor')['text'])
        ->toContain('the least for this method');
    expect($this->getJson("/api/formulas/{$formula}/savings?mg=5000")->json('savings'))->toBe([]);
    $this->getJson("/api/formulas/{$formula}/savings?mg=-1")->assertJsonValidationErrors('mg');
});

it('knows what someone has often and what they had the day before, and enters that once more', function (): void {
    $ate = fn(string $name, float $mg, string $on, array $as = []) => ateOther(
        $this,
        ['by' => 'mg', 'milligrams' => $mg],
        ['name' => $name, 'eatenOn' => $on, ...$as],
    )->assertCreated();
    $ate('Bread', 200, '2026-11-20');
    $ate('Bread', 210, '2026-11-21', ['insteadOf' => ['morning']]);
    $ate('Pie', 900, '2026-11-22', ['personId' => $this->bo]);
    $ate('Soup', 600, '2026-11-24', ['insteadOf' => ['noon']]);
    $ate('Cheese', 350, '2026-11-24');
    $undone = $ate('Crisps', 500, '2026-11-24')->json('id');
    $this->deleteJson("/api/other-foods/{$undone}")->assertOk();
    $known = $this->getJson("/api/other-foods?personId={$this->ada}&date=2026-11-25")
        ->assertOk()
        ->json();
    // Twice before once, with the figures of the last time; what others have comes after.
    expect($known['foods'][0])
        ->toBe([
            'name' => 'Bread',
            'how' => ['by' => 'mg', 'milligrams' => 210],
            'sodiumMg' => 210,
            'insteadOf' => ['morning'],
        ])
        ->and(array_column($known['foods'], 'name'))
        ->toBe(['Bread', 'Cheese', 'Soup', 'Pie'])
        ->and(array_column($known['dayBefore'], 'sodiumMg', 'name'))
        ->toBe(['Cheese' => 350, 'Soup' => 600]);

    $key = (string) Str::ulid();
    $again = fn(array $as = []) => $this->postJson('/api/other-foods/again', [
        'personId' => $this->ada,
        'eatenOn' => '2026-11-25',
        'from' => '2026-11-24',
        'requestKey' => $key,
        ...$as,
    ]);
    $again()->assertCreated();
    $again()->assertSuccessful();
    $ada = $this->getJson('/api/days/today')->json('people.0');
    // 1200 mg a day less 420 at noon, and 950 mg that were entered.
    expect(array_column($ada['otherFoods'], 'sodiumMg', 'name'))
        ->toBe(['Soup' => 600, 'Cheese' => 350])
        ->and($ada['marginMg'])
        ->toBe(2000 - 780 - 950);
    $other = ['requestKey' => (string) Str::ulid()];
    $again(['from' => '2026-11-19', ...$other])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('from');
    $again(['eatenOn' => '2026-11-26', ...$other])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('eatenOn');
    $again(['personId' => (string) Str::ulid(), ...$other])->assertNotFound();
    $this->getJson('/api/other-foods?personId=' . Str::ulid())->assertNotFound();
});
