<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
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
    expect(foods()->best('radish'))
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
