<?php

declare(strict_types=1);

use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonFill;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Measure\SpoonSystem;

it('reads weights as kitchens write them', function (string $typed, float $grams): void {
    expect(KitchenAmount::parse($typed)->grams()->value)->toEqualWithDelta($grams, 1e-9);
})->with([
    ['250 g', 250.0],
    ['250g', 250.0],
    ['250', 250.0],
    ['1,5 kg', 1500.0],
    ['1.250 kg', 1250.0],
    ['.5 kg', 500.0],
    ['1 lb 4 oz', 453.59237 + 4 * 28.349523125],
    ['1 3/4 lb', 1.75 * 453.59237],
    ['½ lb', 0.5 * 453.59237],
    ['2½ oz', 2.5 * 28.349523125],
    ['1⁄2 kg', 500.0],
    ['2 Pounds', 2 * 453.59237],
    ["1\u{00A0}kg", 1000.0],
    ['1 kg and 50 g', 1050.0],
]);

it('reads volumes, spoons and fills', function (
    string $typed,
    float $millilitres,
    SpoonSystem $spoons = SpoonSystem::Us,
): void {
    expect(KitchenAmount::parse($typed, $spoons)->millilitres()->value)->toEqualWithDelta($millilitres, 1e-9);
})->with([
    ['1 1/2 tbsp', 1.5 * 14.78676478125],
    ['1 T', 14.78676478125],
    ['1 t', 4.92892159375],
    ['2 cups', 473.176473],
    ['3 fl oz', 3 * 29.5735295625],
    ['3 fl. oz.', 3 * 29.5735295625],
    ['a pinch', 4.92892159375 / 16],
    ['1/8 tsp', 4.92892159375 / 8],
    ['1 tbsp', 15.0, SpoonSystem::Metric],
    ['1 tbsp', 20.0, SpoonSystem::Australian],
    ['1 cup', 250.0, SpoonSystem::Metric],
    ['2 heaped tsp', 2 * 1.75 * 4.92892159375],
    ['1 rounded tbsp', 1.35 * 14.78676478125],
    ['scant 1 tsp', 0.85 * 4.92892159375],
    ['1 tbsp + 1 tsp', 14.78676478125 + 4.92892159375],
    ['1 quart', 946.352946],
    ['2 dl', 200.0],
]);

it('says in a sentence what it cannot read', function (string $typed, string $sentence): void {
    expect(fn() => KitchenAmount::parse($typed))->toThrow(
        fn(InvalidQuantity $no) => expect(said($no->explanation()))->toContain($sentence),
    );
})->with([
    ['abc', 'is not an amount'],
    ['', 'Enter an amount'],
    ['-5 g', 'zero or more'],
    ['5 furlongs', '“furlongs” is not a known unit'],
    ['1,000 g', 'could be 1000 or 1.000'],
    ['1/0 cup', 'fraction cannot be over zero'],
    ['1 kg 2 cups', 'cannot be added up'],
    ['heaped 3 g', 'Only a spoon'],
    ['3 4', 'Write it like'],
    ['12 g; DROP', 'is not an amount'],
]);

it('names the sentence', function (): void {
    expect(fn() => KitchenAmount::parse('1,000 g'))
        ->toThrow(
            fn(InvalidQuantity $no) => expect(said($no->explanation()))->toBe(
                'This could be 1000 or 1.000. Write one of the two.',
            ),
        )
        ->and(fn() => KitchenAmount::parse('2 cups')->grams())
        ->toThrow(fn(InvalidQuantity $no) => expect(said($no->explanation()))->toContain('Enter a weight'))
        ->and(fn() => KitchenAmount::parse('9e999 g'))
        ->toThrow(InvalidQuantity::class)
        ->and(fn() => KitchenAmount::parse('99999999999999999999 g')->grams())
        ->toThrow(fn(InvalidQuantity $no) => expect(said($no->explanation()))->toContain('or less'));
});

it('keeps the fill of a spoon', function (): void {
    expect(KitchenAmount::parse('2 heaped tbsp')->terms[0]->fill)
        ->toBe(SpoonFill::Heaped)
        ->and(KitchenAmount::parse('2 tbsp')->terms[0]->fill)
        ->toBe(SpoonFill::Level);
});

it('says volumes in the spoons of the drawer', function (float $millilitres, SpoonSystem $system, string $text): void {
    expect(said(SpoonPhrase::nearest(Millilitres::of($millilitres), $system)->text))->toBe($text);
})->with([
    [14.79, SpoonSystem::Us, '1 tbsp'],
    [22.2, SpoonSystem::Us, '1 tbsp + 1 1/2 tsp'],
    [3.7, SpoonSystem::Us, '3/4 tsp'],
    [25.0, SpoonSystem::Metric, '1 tbsp + 2 tsp'],
    [40.0, SpoonSystem::Australian, '2 tbsp'],
    [0.6, SpoonSystem::Us, 'a dash (1/8 tsp)'],
    [0.0, SpoonSystem::Us, 'none'],
]);

it('refuses quantities that cannot be', function (float $value): void {
    Grams::of($value);
})
    ->with([NAN, INF, -INF, -0.1, 1e308])
    ->throws(InvalidQuantity::class);
