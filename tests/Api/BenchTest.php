<?php

declare(strict_types=1);

use App\Models\Ingredient;
use App\Models\Salt;
use Illuminate\Support\Str;

beforeEach(fn() => $this->asCook($this->cook()));

it('answers a poured brine with the core\'s own numbers', function (): void {
    $answer = $this->postJson('/api/bench', $this->bench())->assertOk();
    // 600 g of IFCT's carrot (87.69 % water, 52.33 mg) in 600 g water with 15 g pickling salt at 39.3 % sodium.
    $sodium = 600 * 0.5233 + 15 * 393.0;
    $perWater = $sodium / (600 + 526.14);
    $pieces = 526.14 * $perWater;
    $weight = 600 - 313.98 / 393.372 + $pieces / 393.372;
    expect($answer->json('saltGrams'))
        ->toEqual(15)
        ->and($answer->json('piecesPer100g.typical'))
        ->toEqualWithDelta(($pieces / $weight) * 100, 1.0)
        ->and($answer->json('strengths.0.percent'))
        ->toEqualWithDelta(2.5, 1e-9)
        ->and($answer->json('strengths.3.percent'))
        ->toEqualWithDelta(1.25, 1e-9)
        ->and($answer->json('serving.sodium.low'))
        ->toBeLessThan($answer->json('serving.sodium.typical'))
        ->and($answer->json('serving.shares.1.percentOfTarget'))
        ->toEqualWithDelta($answer->json('serving.sodium.typical') / 15, 1e-6)
        ->and($answer->json('jars.0'))
        ->toBeNull();
});

it('fills a jar when the amounts are left open', function (): void {
    $answer = $this->postJson(
        '/api/bench',
        $this->bench(['jarId' => $this->jar('Quart jar'), 'vegetableAmount' => '', 'waterAmount' => '']),
    )->assertOk();
    expect($answer->json('vegetableGrams'))
        ->toBeGreaterThan(500)
        ->toBeLessThan(620)
        ->and($answer->json('waterGrams'))
        ->toBeGreaterThan(250)
        ->and($answer->json('spareBrineMl') / $answer->json('brineMl'))
        ->toEqualWithDelta(0.1 / 1.1, 1e-6)
        ->and($answer->json('strengths.0.percent'))
        ->toEqualWithDelta(2.5, 0.02)
        ->and($answer->json('jars.0.picture.isTooFull'))
        ->toBeFalse()
        ->and($answer->json('jars.0.picture.liquidMm'))
        ->toBeGreaterThan($answer->json('jars.0.picture.foodMm') - 3);
});

it('ends an equilibrium brine at what was set', function (): void {
    $answer = $this->postJson(
        '/api/bench',
        $this->bench(['method' => 'equilibrium_brine', 'strengthBasis' => 'of_everything']),
    )->assertOk();
    expect($answer->json('saltGrams'))
        ->toEqual(30)
        ->and($answer->json('strengths.3.percent'))
        ->toEqualWithDelta(2.5, 1e-9);
});

it('makes a mash one phase', function (): void {
    $chilli = Ingredient::query()->where('key', 'red-chilli')->sole()->id;
    $answer = $this->postJson(
        '/api/bench',
        $this->bench([
            'method' => 'mash',
            'vegetableId' => $chilli,
            'vegetableAmount' => '370',
            'waterAmount' => '',
            'strengthPercent' => '3',
            'strengthBasis' => 'of_vegetable',
        ]),
    )->assertOk();
    expect($answer->json('saltGrams'))
        ->toEqual(11.1)
        ->and($answer->json('brinePer100g'))
        ->toBeNull()
        ->and($answer->json('piecesPer100g.typical'))
        ->toEqualWithDelta(((370 * 0.09 + 11.1 * 393) / 381.1) * 100, 0.5);
});

it('keeps the salt that was fixed and says what follows', function (): void {
    $flaky = Salt::query()->where('key', 'flaky-kosher')->sole()->id;
    $spooned = $this->postJson(
        '/api/bench',
        $this->bench([
            'saltId' => $flaky,
            'saltUnit' => 'spoons',
            'fixed' => 'salt',
            'saltAmount' => '2 heaped tbsp',
        ]),
    )->assertOk();
    expect($spooned->json('saltGrams'))
        ->toEqualWithDelta(2 * 9 * 1.75, 1e-6)
        ->and($spooned->json('saltIsSpooned'))
        ->toBeTrue()
        ->and($spooned->json('serving.contributions.0.sharePercent'))
        ->toBeGreaterThan(30)
        ->and($spooned->json('serving.contributions.0.remedy'))
        ->toContain('weigh');
    $weighed = $this->postJson(
        '/api/bench',
        $this->bench(['saltId' => $flaky, 'fixed' => 'salt', 'saltAmount' => '31.5 g']),
    )->assertOk();
    $width = fn($answer): float => $answer->json('serving.sodium.high') - $answer->json('serving.sodium.low');
    expect($width($weighed))
        ->toBeLessThan($width($spooned) / 3)
        ->and($weighed->json('serving.sodium.typical'))
        ->toEqualWithDelta($spooned->json('serving.sodium.typical'), 1e-6);
});

it('counts a starter by what it carries', function (): void {
    $id = fn(string $key): string => Ingredient::query()->where('key', $key)->sole()->id;
    $with = fn(string $key) => $this->postJson(
        '/api/bench',
        $this->bench([
            'fixed' => 'salt',
            'saltAmount' => '15 g',
            'starterId' => $id($key),
            'starterAmount' => '60 g',
        ]),
    )->assertOk();
    expect($with('live-brine')->json('serving.sodium.typical'))->toBeGreaterThan(
        $with('whey')->json('serving.sodium.typical') + 10,
    );
    $aimed = $this->postJson(
        '/api/bench',
        $this->bench(['starterId' => $id('live-brine'), 'starterAmount' => '60 g']),
    )->assertOk();
    expect($aimed->json('saltGrams'))
        ->toBeGreaterThan(14)
        ->toBeLessThan(16)
        ->and($aimed->json('strengths.0.percent'))
        ->toEqualWithDelta(2.5, 0.02);
});

it('says in a sentence beside the field what cannot be', function (
    array $change,
    string $field,
    string $sentence,
): void {
    $answer = $this->postJson('/api/bench', $this->bench($change))->assertUnprocessable();
    expect($answer->json("errors.{$field}.0"))->toContain($sentence);
})->with([
    'negative weight' => [['vegetableAmount' => '-5 g'], 'vegetableAmount', 'zero or more'],
    'no number' => [['vegetableAmount' => 'abc'], 'vegetableAmount', '“abc” is not an amount'],
    'nothing' => [['vegetableAmount' => '0 g'], 'vegetableAmount', 'more than zero'],
    'a share of vegetable' => [['vegetableAmount' => '2 %'], 'vegetableAmount', 'is a share'],
    'a tin of vegetable' => [['vegetableAmount' => 'a tin'], 'vegetableAmount', 'How much is in it'],
    'pieces or grams' => [['vegetableAmount' => '25'], 'vegetableAmount', 'Enter 25 carrot or 25 g'],
    'another food' => [['vegetableAmount' => '2 onions'], 'vegetableAmount', 'This field is for carrot'],
    'a tonne and more' => [['vegetableAmount' => '2000 kg'], 'vegetableAmount', 'or less'],
    'unknown vegetable' => [['vegetableId' => '01HZZZZZZZZZZZZZZZZZZZZZZZ'], 'vegetableId', 'no such vegetable'],
    'unknown salt' => [['saltId' => 'nope'], 'saltId', 'no such salt'],
    'unknown jar' => [['jarId' => 'nope'], 'jarId', 'no such jar'],
    'unknown starter' => [['starterId' => 'nope', 'starterAmount' => '1 tbsp'], 'starterId', 'no such starter'],
    'a starter without amount' => [['starterBatchId' => 'nope'], 'starterBatchId', 'no such batch'],
    'no vegetable and no jar' => [['vegetableAmount' => ''], 'vegetableAmount', 'choose a jar to fill'],
    'no water and no jar' => [['waterAmount' => ''], 'waterAmount', 'choose a jar to fill'],
    'no percentage' => [['strengthPercent' => 'salty'], 'strengthPercent', '“salty” is not an amount'],
    'past everything' => [['strengthPercent' => '140'], 'strengthPercent', 'from 0 to 100'],
    'all salt' => [
        ['strengthPercent' => '100', 'strengthBasis' => 'brine_strength'],
        'strengthPercent',
        'salt without water',
    ],
    'of water without water' => [['method' => 'dry_salting'], 'strengthBasis', 'no poured water'],
    'which spoon' => [['fixed' => 'salt', 'saltUnit' => 'spoons', 'saltAmount' => '2'], 'saltAmount', 'tsp or tbsp'],
    'spoons without water' => [['strengthPercent' => '2 tbsp'], 'strengthPercent', 'is no strength'],
    'unknown method' => [['method' => 'boil'], 'method', 'one of the options'],
    'headspace' => [['headspaceMm' => -4], 'headspaceMm', 'from 0 to 500'],
    'an essay' => [['vegetableAmount' => str_repeat('1 g ', 40)], 'vegetableAmount', 'too long'],
    'a list for a text' => [['vegetableAmount' => ['5 g']], 'vegetableAmount', 'Enter a text'],
]);

it('reports every wrong field at once', function (): void {
    $this->postJson(
        '/api/bench',
        $this->bench(['vegetableAmount' => 'abc', 'waterAmount' => 'wet', 'strengthPercent' => 'x']),
    )->assertJsonValidationErrors(['vegetableAmount', 'waterAmount', 'strengthPercent']);
});

it('advises without stopping', function (array $change, string $code, string $weight, string $words): void {
    $advice = collect($this->postJson('/api/bench', $this->bench($change))->assertOk()->json('advice'))->keyBy('code');
    expect($advice)
        ->toHaveKey($code)
        ->and($advice[$code]['weight'])
        ->toBe($weight)
        ->and($advice[$code]['text'])
        ->toContain($words);
})->with([
    'below the floor' => [
        ['strengthPercent' => '1.5'],
        'below_floor',
        'careful',
        'is 1.5 % of the water. This method needs at least 2 %',
    ],
    'salt past solubility' => [
        ['fixed' => 'salt', 'saltAmount' => '300 g'],
        'will_not_dissolve',
        'careful',
        '300 g of salt needs 835 g of water',
    ],
    'hardly ferments' => [['fixed' => 'salt', 'saltAmount' => '150 g'], 'larder_only', 'careful', 'hardly ferments'],
    'slow' => [['fixed' => 'salt', 'saltAmount' => '80 g'], 'slow', 'note', 'slowly'],
    'jar smaller than the food' => [
        fn() => ['jarId' => test()->jar('Pint jar')],
        'too_full',
        'careful',
        'If it went in, it fits',
    ],
    'cucumbers want more' => [
        fn() => ['vegetableId' => Ingredient::query()->where('key', 'cucumber')->sole()->id],
        'below_floor',
        'careful',
        'A jar with cucumber needs at least 3 %',
    ],
    'hollow' => [
        fn() => [
            'vegetableId' => Ingredient::query()->where('key', 'green-chilli')->sole()->id,
            'shape' => 'whole',
        ],
        'hollow',
        'careful',
        'Split or pierce',
    ],
    'iodised' => [fn() => ['saltId' => Salt::query()->where('key', 'table')->sole()->id], 'iodised', 'note', 'Iodised'],
    'potassium' => [
        fn() => ['saltId' => Salt::query()->where('key', 'half-potassium')->sole()->id],
        'potassium',
        'careful',
        'ask your clinician',
    ],
    'too little juice' => [
        fn() => [
            'method' => 'dry_salting',
            'strengthBasis' => 'of_vegetable',
            'shape' => 'sticks',
            'jarId' => test()->jar('Half-gallon jar'),
        ],
        'short_juice',
        'careful',
        'add brine of the same strength',
    ],
    'too much poured' => [
        fn() => [
            'jarId' => test()->jar('Quart jar'),
            'vegetableAmount' => '500 g',
            'waterAmount' => '700 g',
            'pouredAmount' => '700 g',
        ],
        'overflow',
        'careful',
        'over the rim',
    ],
    'too little water' => [
        fn() => ['jarId' => test()->jar('Quart jar'), 'vegetableAmount' => '500 g', 'waterAmount' => '100 g'],
        'not_covered',
        'careful',
        'more brine to be covered',
    ],
]);

it('counts what is poured, not what was mixed', function (): void {
    // 3 tbsp of a salt of 12 g a spoon in 2 quarts of water over onion rings that fill a quart jar. By hand: 36 g of salt
    // are 14,150 mg of sodium in 1,925 g of brine; 336 g of it fit over 499 g of rings and meet their 428 g of water:
    // 14,150 x 336 / 1,925 / (330 + 428) = 3.26 mg in a gram of water, of which the rings are 86 %.
    $answer = $this->postJson(
        '/api/bench',
        $this->bench([
            'vegetableId' => foodId('onion'),
            'vegetableAmount' => '',
            'shape' => 'rings',
            'jarId' => $this->jar('Quart jar'),
            'headspaceMm' => 25,
            'fixed' => 'salt',
            'saltAmount' => '36 g',
            'waterAmount' => '2 quarts',
        ]),
    )
        ->assertOk()
        ->json();
    ['low' => $low, 'typical' => $typical, 'high' => $high] = $answer['piecesPer100g'];
    expect($typical)
        ->toEqualWithDelta(283.0, 15.0)
        ->and($low)
        ->toBeLessThan(283.0)
        ->and($high)
        ->toBeGreaterThan(283.0)
        ->and($answer['leftOverGrams'])
        ->toBeGreaterThan(1500.0)
        ->and($answer['jars'][0]['picture']['overflowMl'])
        ->toEqualWithDelta(0.0, 1e-9);
    // All of it, in a jar that takes all of it, is another jar.
    $whole = $this->postJson(
        '/api/bench',
        $this->bench([
            'vegetableId' => foodId('onion'),
            'vegetableAmount' => '499 g',
            'shape' => 'rings',
            'fixed' => 'salt',
            'saltAmount' => '36 g',
            'waterAmount' => '2 quarts',
        ]),
    )->json('piecesPer100g.typical');
    expect($whole)->toBeGreaterThan(1.7 * $typical);
});

function foodId(string $key): string
{
    return Ingredient::query()->where('key', $key)->sole()->id;
}

it('answers for every method as the core would', function (string $method, array $change): void {
    $answer = $this->postJson('/api/bench', [
        ...$this->bench(['method' => $method, 'strengthBasis' => 'of_vegetable']),
        ...$change,
    ])->assertOk();
    expect($answer->json('serving.sodium.typical'))
        ->toBeGreaterThan(0)
        ->and($answer->json('serving.sodium.low'))
        ->toBeLessThanOrEqual($answer->json('serving.sodium.typical'));
})->with([
    'kimchi, salted dry' => [
        'kimchi_dry_salted',
        fn() => ['paste' => [['foodId' => foodId('fish-sauce'), 'amount' => '2 tbsp']]],
    ],
    'kimchi, soaked' => ['kimchi_soaked', ['strengthBasis' => 'of_water', 'strengthPercent' => '6.5']],
    'salt and drain' => ['salt_and_drain', ['strengthPercent' => '3', 'saltingMinutes' => 45]],
    'a quick pickle' => ['quick_salt_pickle', ['strengthBasis' => 'of_water', 'strengthPercent' => '20']],
    'a condiment' => [
        'cultured_condiment',
        fn() => [
            'vegetableId' => foodId('tomato-paste'),
            'vegetableAmount' => '340 g',
            'strengthBasis' => 'of_everything',
            'strengthPercent' => '1',
        ],
    ],
    'brine used again' => [
        'reused_brine',
        fn() => [
            'starterId' => foodId('live-brine'),
            'starterAmount' => '400 g',
            'strengthBasis' => 'of_everything',
        ],
    ],
]);

it('names what is wrong in a list by its place', function (): void {
    $this->postJson(
        '/api/bench',
        $this->bench([
            'alongside' => [
                ['foodId' => foodId('carrot'), 'amount' => '100 g'],
                ['foodId' => foodId('carrot'), 'amount' => 'some'],
                ['foodId' => 'nope', 'amount' => '1 g'],
            ],
            'fixed' => 'taste',
            'tastings' => ['5 g', 'a bit'],
        ]),
    )->assertJsonValidationErrors(['alongside.1.amount', 'alongside.2.foodId', 'tastings.1']);
});

it('names jars that would hold it while none is picked', function (): void {
    $fitting = $this->postJson('/api/bench', $this->bench())->assertOk()->json('fitting');
    expect($fitting)
        ->not->toBe([])
        ->and($fitting[0]['percentFull'])
        ->toBeLessThanOrEqual(100.05)
        ->toBeGreaterThan($fitting[count($fitting) - 1]['percentFull'] - 1e-9);
});

it('starts two jars from one bowl, and only once', function (): void {
    $body = [
        ...$this->bench(),
        'method' => 'dry_salting',
        'vegetableId' => foodId('green-cabbage'),
        'vegetableAmount' => '1300 g',
        'shape' => 'shreds',
        'strengthBasis' => 'of_vegetable',
        'jarId' => $this->jar('Quart jar'),
        'moreJarIds' => [$this->jar('Quart jar')],
        'name' => 'Plain kraut',
        'place' => 'counter',
        'requestKey' => (string) \Illuminate\Support\Str::ulid(),
    ];
    $bench = $this->postJson('/api/bench', $body)->assertOk();
    $this->postJson('/api/batches', $body)->assertCreated();
    $this->postJson('/api/batches', $body)->assertCreated();
    $shelf = collect($this->getJson('/api/batches')->json('batches'))
        ->sortBy('name')
        ->values();
    expect($shelf->pluck('name')->all())->toBe(['Plain kraut, jar 1', 'Plain kraut, jar 2']);
    $jars = $shelf->map(fn(array $jar): array => $this->getJson("/api/batches/{$jar['id']}")->json());
    expect($jars->flatMap(fn(array $jar): array => $jar['whereabouts'])->sum('sodiumMg'))
        ->toEqualWithDelta($bench->json('saltGrams') * 393 + 1300 * 0.1498, 2)
        ->and($bench->json('jars.1.vegetableGrams'))
        ->toEqualWithDelta(650, 0.01);
});

it('writes a kimchi out in time: first salted, an hour later rinsed and dressed', function (): void {
    $body = [
        'method' => 'kimchi_dry_salted',
        'vegetableId' => foodId('napa-cabbage'),
        'vegetableAmount' => '1000 g',
        'shape' => 'leaves',
        'strengthPercent' => '3',
        'strengthBasis' => 'of_vegetable',
        'saltingMinutes' => 60,
        'paste' => [['foodId' => foodId('fish-sauce'), 'amount' => '30 g']],
    ];
    $begun = $this->startJar($body)->assertCreated();
    expect(array_column($begun->json('entries'), 'kind'))
        ->not->toContain('rinse')
        ->and(array_column($begun->json('whereabouts'), 'place'))
        ->not->toContain('discarded')
        ->and($begun->json('stage'))
        ->toBe('salting')
        ->and($begun->json('nextStep.kind'))
        ->toBe('drain')
        ->and($begun->json('servingsLeft'))
        ->toBe(0)
        ->and($begun->json('isLive'))
        ->toBeFalse();
    $this->travel(61)->minutes();
    $id = $begun->json('id');
    expect($this->getJson("/api/batches/{$id}")->json('stage'))->toBe('salting');
    foreach (['drain', 'rinse', 'squeeze', 'dress', 'pack'] as $kind) {
        $steps = collect($this->getJson("/api/batches/{$id}/steps")->json('steps'));
        $this->postJson("/api/batches/{$id}/steps/{$steps->firstWhere('kind', $kind)['id']}/done", [
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
    }
    $later = $this->getJson("/api/batches/{$id}")->assertOk();
    expect($later->json('stage'))
        ->toBe('working')
        ->and($later->json('nextStep'))
        ->toBeNull()
        ->and($later->json('isLive'))
        ->toBeFalse();
    $this->travel(3)->days();
    expect($this->getJson("/api/batches/{$id}")->json('isLive'))->toBeTrue();
    $bench = $this->postJson('/api/bench', $this->bench($body))->assertOk();
    $poured = collect($later->json('whereabouts'))->firstWhere('place', 'discarded')['sodiumMg'];
    expect($poured)->toBeGreaterThan(30 * 393 * 0.3);

    $packed = $this->startJar([...$body, 'isPacked' => true])->assertCreated();
    expect(collect($packed->json('whereabouts'))->firstWhere('place', 'discarded')['sodiumMg'])->toEqualWithDelta(
        $poured,
        // A minute more in the salt.
        60.0,
    );
    $this->travel(30)->days();
    $rested = $this->getJson("/api/batches/{$packed->json('id')}")->assertOk();
    expect($rested->json('sodiumPer100g'))->toEqualWithDelta($bench->json('piecesPer100g.typical'), 1.0);
});

it('lends re-used brine out of its jar and refuses more than there is', function (): void {
    $lender = $this->startJar()->json('id');
    $body = [
        'method' => 'reused_brine',
        'starterBatchId' => $lender,
        'strengthBasis' => 'of_everything',
        'strengthPercent' => '2',
        'vegetableAmount' => '300 g',
    ];
    expect(
        $this->postJson('/api/bench', $this->bench([...$body, 'starterAmount' => '5 kg']))
            ->assertUnprocessable()
            ->json('errors.starterAmount.0'),
    )->toContain('brine are left in Carrots');
    $before = $this->getJson("/api/batches/{$lender}")->json('whereabouts');
    $next = $this->startJar([...$body, 'starterAmount' => '200 g', 'name' => 'Second'])->assertCreated();
    $after = collect($this->getJson("/api/batches/{$lender}")->json('whereabouts'));
    expect($after->firstWhere('place', 'given_away')['sodiumMg'])
        ->toBeGreaterThan(0)
        ->and($after->sum('sodiumMg'))
        ->toEqualWithDelta(collect($before)->sum('sodiumMg'), 1e-6)
        ->and(collect($next->json('entries'))->pluck('kind'))
        ->toContain('starter');
});

it('turns a batch into a sauce in its own ledger, once', function (): void {
    $batch = $this->startJar(['method' => 'equilibrium_brine', 'strengthBasis' => 'of_everything'])->json('id');
    $this->travel(5)->days();
    $body = [
        ...$this->bench([
            'method' => 'transform',
            'vegetableId' => null,
            'sourceBatchId' => $batch,
            'keptBrine' => '100 g',
            'fixed' => 'salt',
            'saltAmount' => '',
            'waterAmount' => '',
            'servingAmount' => '10 g',
            'alongside' => [['foodId' => foodId('cider-vinegar'), 'amount' => '40 g']],
        ]),
        'name' => 'Carrot sauce',
        'place' => 'fridge',
        'requestKey' => (string) \Illuminate\Support\Str::ulid(),
    ];
    $bench = $this->postJson('/api/bench', $body)->assertOk();
    $this->postJson('/api/batches', $body)->assertCreated();
    $sauce = $this->postJson('/api/batches', $body)->assertCreated();
    expect($sauce->json('id'))
        ->toBe($batch)
        ->and($sauce->json('name'))
        ->toBe('Carrot sauce')
        ->and($sauce->json('servedPhase'))
        ->toBe('sauce')
        ->and($sauce->json('phases.0.per100g.typical'))
        ->toEqualWithDelta($bench->json('piecesPer100g.typical'), 0.5)
        ->and(collect($sauce->json('entries'))->where('kind', 'blend')->count())
        ->toBe(1);
});

it('says of every number that hangs on a spoon how far it can be off', function (): void {
    $food = fn(string $key): string => App\Models\Ingredient::query()->where('key', $key)->sole()->id;
    $answer = $this->postJson(
        '/api/bench',
        $this->bench([
            'method' => 'kimchi_soaked',
            'vegetableId' => $food('napa-cabbage'),
            'saltUnit' => 'spoons',
            'strengthPercent' => '6.5',
            'paste' => [['foodId' => $food('fish-sauce'), 'amount' => '1 tbsp']],
        ]),
    )
        ->assertOk()
        ->json();
    expect($answer['strengths'])->toHaveCount(4);
    foreach ($answer['strengths'] as $strength) {
        expect($strength['lowPercent'])
            ->toBeLessThan($strength['percent'] - 0.05)
            ->and($strength['highPercent'])
            ->toBeGreaterThan($strength['percent'] + 0.05);
    }
    foreach (['saltBand', 'piecesPer100g', 'brinePer100g'] as $number) {
        expect($answer[$number]['low'])
            ->toBeLessThan($answer[$number]['typical'] * 0.97)
            ->and($answer[$number]['high'])
            ->toBeGreaterThan($answer[$number]['typical'] * 1.03);
    }
});
