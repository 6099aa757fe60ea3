<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use Tempesal\Core\Search\DayWords;
use Tempesal\Core\Search\NameIndex;

function foods(): NameIndex
{
    $names = [];
    foreach (FoodTable::all() as $food) {
        $names[$food['key']] = [$food['name'], ...$food['also']];
    }

    return new NameIndex($names);
}

it('finds a food by what people call it', function (string $query, string $id): void {
    expect(foods()->find($query)[0])->toBe($id);
})->with([
    ['carrot', 'carrot'],
    ['Carrots', 'carrot'],
    ['carots', 'carrot'],
    ['napa', 'napa-cabbage'],
    ['chinese cabbage', 'napa-cabbage'],
    ['cabbage, red', 'red-cabbage'],
    ['brocoli', 'broccoli'],
    ['cauliflwoer', 'cauliflower'],
    ['daikon', 'white-radish'],
    ['tomatoes', 'tomato'],
    ['cherries', 'cherry'],
    ['eggplant', 'aubergine'],
    ['scallions', 'spring-onion'],
    ['jalapeño', 'green-chilli'],
    ['cilantro', 'coriander-leaves'],
    ['bok choy', 'pak-choi'],
    ['rutabaga', 'swede'],
    ['soy sauce', 'soy-sauce'],
    ['sauce fish', 'fish-sauce'],
    ['mustard seeds', 'mustard-seed'],
    ['bay leaves', 'bay-leaf'],
    ['horseradsih', 'horseradish'],
    ['worcestershire', 'worcester'],
]);

it('finds nothing where nothing is meant', function (string $query): void {
    expect(foods()->find($query))->toBe([]);
})->with([['xyzzy'], [''], ['---'], ['motor oil filter wrench']]);

it('does not choose where two are meant alike', function (): void {
    expect(foods()->best('coriander'))
        ->toBeNull()
        ->and(foods()->best('black pepper'))
        ->toBe('black-pepper')
        ->and(count(foods()->find('cabbage')))
        ->toBeGreaterThan(2);
});

it('answers every food to its own name', function (): void {
    $index = foods();
    foreach (FoodTable::all() as $food) {
        expect($index->find($food['name'])[0])->toBe($food['key'], $food['name']);
    }
});

it('reads days as people say them', function (string $typed, array $dates): void {
    // A Wednesday.
    expect(DayWords::read($typed, '2026-11-25'))->toBe($dates);
})->with([
    ['today', ['2026-11-25']],
    ['Yesterday', ['2026-11-24']],
    ['tomorrow', ['2026-11-26']],
    ['3 days ago', ['2026-11-22']],
    ['1 week ago', ['2026-11-18']],
    ['in 2 weeks', ['2026-12-09']],
    ['friday', ['2026-11-27', '2026-11-20']],
    ['fri', ['2026-11-27', '2026-11-20']],
    ['last friday', ['2026-11-20']],
    ['next tue', ['2026-12-01']],
    ['wednesday', ['2026-11-25', '2026-11-18']],
    ['last wednesday', ['2026-11-18']],
    ['next wednesday', ['2026-12-02']],
    ['2026-2-9', ['2026-02-09']],
    ['24.11.', ['2026-11-24']],
    ['24. 12. 2025', ['2025-12-24']],
    ['24 nov', ['2026-11-24']],
    ['Nov 24th, 2025', ['2025-11-24']],
    // Without a year the nearest one.
    ['3 january', ['2027-01-03']],
    ['30 may', ['2026-05-30']],
    ['29 feb', []],
    ['31.11.', []],
    ['2026-13-01', []],
    ['in 9999 days', []],
    ['kraut', []],
    ['fr', []],
    ['', []],
]);
