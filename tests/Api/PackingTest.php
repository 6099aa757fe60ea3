<?php

declare(strict_types=1);

use App\Models\Ingredient;

beforeEach(function (): void {
    $this->asCook($this->cook());
    $this->cabbage = Ingredient::query()->where('key', 'green-cabbage')->sole()->id;
});

/** @return array<string, mixed> a kraut in a quart jar */
function quartOfKraut(array $change = []): array
{
    return [
        'method' => 'dry_salting',
        'strengthBasis' => 'of_vegetable',
        'vegetableId' => test()->cabbage,
        'shape' => 'shreds',
        'jarId' => test()->jar('Quart jar'),
        'waterAmount' => '',
        'vegetableAmount' => '',
        ...$change,
    ];
}

/** Grams that fill the jar. */
function filling(): float
{
    return test()->postJson('/api/bench', test()->bench(quartOfKraut()))->assertOk()->json('vegetableGrams');
}

it('remembers that more went in than was thought', function (): void {
    $before = filling();
    $bench = $this->postJson('/api/bench', $this->bench(quartOfKraut(['vegetableAmount' => '950 g'])))->assertOk();
    expect(array_column($bench->json('advice'), 'code'))->toContain('too_full')->and($before)->toBeLessThan(890.0);
    $this->startJar(quartOfKraut(['vegetableAmount' => round($before * 1.05) . ' g']))->assertCreated();
    expect(filling() / $before)->toEqualWithDelta(1.05, 0.01);
    expect($this->postJson('/api/bench', $this->bench(quartOfKraut()))->json('packsAsBefore'))->toBeGreaterThan(0.8);
});

it('takes what did not fit as a fact', function (): void {
    $before = filling();
    $whole = quartOfKraut(['vegetableAmount' => '1 kg', 'leftOutAmount' => '300 g']);
    $bench = $this->postJson('/api/bench', $this->bench($whole))->assertOk();
    expect($bench->json('vegetableGrams'))->toEqualWithDelta(700.0, 1e-6);
    $this->startJar($whole)->assertCreated();
    expect(filling())->toEqualWithDelta(700.0, 2.0)->not->toEqualWithDelta($before, 20.0);
    $this->postJson('/api/bench', $this->bench(quartOfKraut(['vegetableAmount' => '300 g', 'leftOutAmount' => '1 kg'])))
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['leftOutAmount' => 'Something has to go in']);
});

it('learns nothing from a jar that was not full, nor for another cut or kitchen', function (): void {
    $before = filling();
    $this->startJar(quartOfKraut(['vegetableAmount' => '300 g']))->assertCreated();
    expect(filling())->toEqualWithDelta($before, 1e-6);
    $this->startJar(
        quartOfKraut(['vegetableAmount' => '1 kg', 'leftOutAmount' => '500 g', 'shape' => 'chunks']),
    )->assertCreated();
    expect(filling())->toEqualWithDelta($before, 1e-6);
    $this->asCook($this->cook('other@example.org'));
    $this->cabbage = Ingredient::query()->where('key', 'green-cabbage')->sole()->id;
    expect(filling())->toEqualWithDelta($before, 1e-6);
});

it('adds a mixture up part by part', function (): void {
    // 90 g of seed at 0.7 g/ml and a cup of vinegar are 366 ml; all of it at the seed's density would be 470 ml.
    // A pint has 473 ml, and some 419 ml below 12 mm (a mouth of 76 mm).
    $answer = $this->postJson(
        '/api/bench',
        $this->bench([
            'method' => 'cultured_condiment',
            'vegetableId' => Ingredient::query()->where('key', 'mustard-seed')->sole()->id,
            'vegetableAmount' => '90 g',
            'alongside' => [
                ['foodId' => Ingredient::query()->where('key', 'cider-vinegar')->sole()->id, 'amount' => '1 cup'],
            ],
            'jarId' => $this->jar('Pint jar'),
            'strengthBasis' => 'of_everything',
            'strengthPercent' => '1.5',
            'waterAmount' => '',
            'headspaceMm' => 12,
        ]),
    )->assertOk();
    expect(array_column($answer->json('advice'), 'code'))->not->toContain('too_full')->not->toContain('no_room');
});

it('weighs a strained sauce by itself', function (): void {
    // 400 g of sticks with what brine they leave; blended with 20 g of it, that is a pint, whatever was strained off.
    $sticks = $this->startJar([
        'vegetableAmount' => '400 g',
        'waterAmount' => '500 g',
        'startedOn' => now()->subDays(9)->toDateString(),
    ])
        ->assertCreated()
        ->json('id');
    $answer = $this->postJson(
        '/api/bench',
        $this->bench([
            'method' => 'transform',
            'vegetableId' => null,
            'sourceBatchId' => $sticks,
            'keptBrine' => '20 g',
            'jarId' => $this->jar('Pint jar'),
            'headspaceMm' => 10,
            'fixed' => 'salt',
            'saltAmount' => '',
            'waterAmount' => '',
        ]),
    )
        ->assertOk()
        ->json();
    expect($answer['makesGrams'])
        ->toBeGreaterThan(390.0)
        ->toBeLessThan(440.0)
        ->and($answer['jars'][0]['picture']['isTooFull'])
        ->toBeFalse()
        ->and($answer['jars'][0]['picture']['overflowMl'])
        ->toEqualWithDelta(0.0, 1e-9);
});
