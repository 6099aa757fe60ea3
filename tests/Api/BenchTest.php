<?php

declare(strict_types=1);

use App\Models\Ingredient;
use App\Models\Salt;

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
        ->and($answer->json('piecesPer100g'))
        ->toEqualWithDelta(($pieces / $weight) * 100, 1.0)
        ->and($answer->json('strengths.0.percent'))
        ->toEqualWithDelta(2.5, 1e-9)
        ->and($answer->json('strengths.3.percent'))
        ->toEqualWithDelta(1.25, 1e-9)
        ->and($answer->json('serving.sodium.low'))
        ->toBeLessThan($answer->json('serving.sodium.typical'))
        ->and($answer->json('serving.shares.1.percentOfTarget'))
        ->toEqualWithDelta($answer->json('serving.sodium.typical') / 15, 1e-6)
        ->and($answer->json('jar'))
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
        ->and($answer->json('jar.isTooFull'))
        ->toBeFalse()
        ->and($answer->json('jar.liquidMm'))
        ->toBeGreaterThan($answer->json('jar.foodMm') - 3);
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
        ->and($answer->json('piecesPer100g'))
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
    'negative weight' => [['vegetableAmount' => '-5 g'], 'vegetableAmount', 'cannot be less than 0'],
    'no number' => [['vegetableAmount' => 'abc'], 'vegetableAmount', '"abc" is not an amount'],
    'nothing' => [['vegetableAmount' => '0 g'], 'vegetableAmount', 'More than nothing'],
    'a volume of vegetable' => [['vegetableAmount' => '2 cups'], 'vegetableAmount', 'a weight is needed'],
    'a tonne and more' => [['vegetableAmount' => '2000 kg'], 'vegetableAmount', 'cannot be more than'],
    'unknown vegetable' => [
        ['vegetableId' => '01HZZZZZZZZZZZZZZZZZZZZZZZ'],
        'vegetableId',
        'no such vegetable',
    ],
    'unknown salt' => [['saltId' => 'nope'], 'saltId', 'no such salt'],
    'unknown jar' => [['jarId' => 'nope'], 'jarId', 'no such jar'],
    'unknown starter' => [
        ['starterId' => 'nope', 'starterAmount' => '1 tbsp'],
        'starterId',
        'no such starter',
    ],
    'a starter without amount' => [['starterBatchId' => 'nope'], 'starterBatchId', 'no such batch'],
    'no vegetable and no jar' => [['vegetableAmount' => ''], 'vegetableAmount', 'pick a jar to fill'],
    'no water and no jar' => [['waterAmount' => ''], 'waterAmount', 'pick a jar to fill'],
    'no percentage' => [['strengthPercent' => 'salty'], 'strengthPercent', '"salty" is not a percentage'],
    'past everything' => [['strengthPercent' => '140'], 'strengthPercent', 'between 0 and 100'],
    'all salt' => [
        ['strengthPercent' => '100', 'strengthBasis' => 'brine_strength'],
        'strengthPercent',
        'salt without water',
    ],
    'of water without water' => [['method' => 'dry_salting'], 'strengthBasis', 'no poured water'],
    'which spoon' => [
        ['fixed' => 'salt', 'saltUnit' => 'spoons', 'saltAmount' => '2'],
        'saltAmount',
        'tsp or tbsp',
    ],
    'two fills' => [
        ['fixed' => 'salt', 'saltAmount' => '1 heaped tbsp + 1 tsp'],
        'saltAmount',
        'one kind of spoonful',
    ],
    'unknown method' => [['method' => 'boil'], 'method', 'not one of the choices'],
    'headspace' => [['headspaceMm' => -4], 'headspaceMm', 'between 0 and 500'],
    'an essay' => [['vegetableAmount' => str_repeat('1 g ', 40)], 'vegetableAmount', 'too long'],
    'a list for a text' => [['vegetableAmount' => ['5 g']], 'vegetableAmount', 'A text is needed'],
]);

it('reports every wrong field at once', function (): void {
    $this->postJson(
        '/api/bench',
        $this->bench(['vegetableAmount' => 'abc', 'waterAmount' => 'wet', 'strengthPercent' => 'x']),
    )->assertJsonValidationErrors(['vegetableAmount', 'waterAmount', 'strengthPercent']);
});

it('advises without stopping', function (array $change, string $code, string $weight, string $words): void {
    $advice = collect(
        $this->postJson('/api/bench', $this->bench($change))->assertOk()->json('advice'),
    )->keyBy('code');
    expect($advice)
        ->toHaveKey($code)
        ->and($advice[$code]['weight'])
        ->toBe($weight)
        ->and($advice[$code]['text'])
        ->toContain($words);
})->with([
    'below the floor' => [['strengthPercent' => '1.5'], 'below_floor', 'careful', 'Below 2.0 % of the water'],
    'salt past solubility' => [
        ['fixed' => 'salt', 'saltAmount' => '300 g'],
        'will_not_dissolve',
        'careful',
        '300 g of salt need 836 g of water',
    ],
    'larder' => [['fixed' => 'salt', 'saltAmount' => '150 g'], 'larder_only', 'careful', 'larder'],
    'slow' => [['fixed' => 'salt', 'saltAmount' => '80 g'], 'slow', 'note', 'slowly'],
    'jar smaller than the food' => [
        fn() => ['jarId' => test()->jar('Pint jar')],
        'too_full',
        'stop',
        'too small for the food',
    ],
    'cucumbers want more' => [
        fn() => ['vegetableId' => Ingredient::query()->where('key', 'cucumber')->sole()->id],
        'below_floor',
        'careful',
        '3.0 % of the water',
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
    'iodised' => [
        fn() => ['saltId' => Salt::query()->where('key', 'table')->sole()->id],
        'iodised',
        'note',
        'Iodised',
    ],
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
    'too much water' => [
        fn() => ['jarId' => test()->jar('Quart jar'), 'vegetableAmount' => '500 g', 'waterAmount' => '700 g'],
        'overflow',
        'careful',
        'over the rim',
    ],
    'too little water' => [
        fn() => ['jarId' => test()->jar('Quart jar'), 'vegetableAmount' => '500 g', 'waterAmount' => '100 g'],
        'not_covered',
        'careful',
        'missing to cover',
    ],
]);
