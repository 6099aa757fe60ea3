<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use Tempesal\Core\Check\Looks;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Ingredient;

/*
 * What a food does to the look, feel and smell of a jar: common practice, no source. What no name tells is judged
 * strictly, so that a missing word never clears a jar.
 */

/** @return list<string> */
function looksOf(string $name): array
{
    return array_map(static fn(Looks $look): string => $look->value, Looks::ofName($name));
}

it('knows by the name what a food does', function (string $name, array $looks): void {
    expect(looksOf($name))->toBe($looks);
})->with([
    ['red cabbage', ['reddens', 'sulphurous']],
    ['green cabbage', ['sulphurous']],
    ['beetroot', ['reddens']],
    ['beets, grated', ['reddens']],
    ['red onion', ['reddens', 'sulphurous']],
    ['onion', ['sulphurous']],
    ['red radish', ['reddens', 'sulphurous']],
    ['napa cabbage', ['specked', 'sulphurous']],
    ['cauliflower', ['specked', 'sulphurous']],
    ['caraway', ['specked']],
    ['mustard seed', ['specked', 'slips']],
    ['black pepper', ['specked']],
    ['okra', ['slips']],
    ['kelp', ['specked', 'slips']],
    ['mother of vinegar', ['slips', 'grows_mother']],
    ['kombucha', ['slips', 'grows_mother', 'foams']],
    ['kefir', ['slips', 'foams']],
    ['water-kefir', ['slips', 'foams']],
    ['chilli flakes', ['reddens', 'specked']],
    ['carrot', []],
    ['cucumber', []],
    ['green beans', []],
    ['water', []],
    ['whey', []],
    ['something nobody has heard of', []],
]);

it('takes every red food of the pantry for red, and no pale one', function (): void {
    $red = ['red-cabbage', 'beetroot', 'red-radish', 'long-red-radish', 'red-onion', 'cranberry', 'chard', 'tomato'];
    $pale = ['green-cabbage', 'carrot', 'cucumber', 'white-radish', 'cauliflower', 'onion', 'garlic', 'celery', 'milk'];
    $foods = FoodTable::pantry()->fill(
        array_map(static fn(string $key): array => ['ingredient' => $key], [...$red, ...$pale]),
        'foods',
    );
    foreach ($foods as $i => $food) {
        $name = Ingredient::read(Fields::of($food['ingredient']))->name;
        expect(in_array('reddens', looksOf($name), true))->toBe($i < count($red), $name);
    }
});

it('sees what went into a jar, a starter’s food among it, each look once', function (): void {
    $food = static fn(string $name): Ingredient => Ingredient::read(
        Fields::of(['id' => $name, 'name' => $name, 'waterPer100g' => 90, 'sodiumPer100g' => 20]),
    );
    $add = static fn(string $name): LedgerLine => new LedgerLine(
        new Add($food($name), Band::exact(100.0), Phase::Pieces),
        0.0,
    );
    $ledger = new Ledger([
        $add('green cabbage'),
        $add('red cabbage'),
        $add('carrot'),
        new LedgerLine(new Starter($food('beetroot brine'), Grams::of(20.0), Phase::Brine, null), 1.0),
    ]);
    expect(array_map(static fn(Looks $look): string => $look->value, Looks::in($ledger)))->toEqualCanonicalizing([
        'sulphurous',
        'reddens',
    ]);
    expect(Looks::in(new Ledger([$add('carrot')])))->toBe([]);
});
