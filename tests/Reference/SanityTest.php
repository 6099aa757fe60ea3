<?php

declare(strict_types=1);

use App\Console\ComputeBatch;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltDose;
use Tests\Support\Kitchen;

/** Milligrams in 100 g of what is eaten of a documented example. */
function per100g(string $example): float
{
    $batch = ComputeBatch::compute(file_get_contents(__DIR__ . "/../../docs/formats/examples/{$example}.json"))[
        'batches'
    ][0];

    return ($batch['serving']['sodiumMg']['typical'] / $batch['serving']['grams']) * 100.0;
}

/*
 * USDA composition tables, from memory, mg in 100 g: sauerkraut 661 (canned, with its liquid), kimchi 498, dill pickles
 * 809, catsup 907. Home jars are not packed to a standard: half to two and a half times counts as the same food.
 */
it('comes out where the composition tables are', function (string $example, float $tables): void {
    expect(per100g($example))
        ->toBeGreaterThan(0.5 * $tables)
        ->toBeLessThan(2.5 * $tables);
})->with([['dry-salting', 661], ['kimchi-dry-salted', 498], ['kimchi-soaked', 498], ['cultured-condiment', 907]]);

it('comes out where fermented dill pickles are', function (): void {
    // USDA Complete Guide to Home Canning, dill pickles, from memory: 1/2 cup salt and 1/4 cup vinegar in 8 cups water
    // for 4 lb of 4-inch cucumbers.
    $salt = SaltDose::spooned(Kitchen::salt('pickling'), Kitchen::volume('1/2 cup'))->grams()->value;
    $answer = ComputeBatch::compute(
        json_encode(
            [
                'tempesal' => 'batch',
                'version' => 1,
                'steps' => [
                    [
                        'kind' => 'add',
                        'ingredient' => 'water',
                        'grams' => Kitchen::volume('8 cups')->value,
                        'into' => 'brine',
                    ],
                    ['kind' => 'salt', 'product' => 'pickling', 'grams' => $salt, 'into' => 'brine'],
                    [
                        'kind' => 'add',
                        'ingredient' => 'pickling-cucumber',
                        'grams' => Kitchen::mass('4 lb')->value,
                    ],
                    ['kind' => 'ferment', 'days' => 28, 'celsius' => 22],
                ],
            ],
            JSON_THROW_ON_ERROR,
        ),
    );
    expect($salt / Kitchen::volume('8 cups')->value)
        ->toEqualWithDelta(0.078, 0.002)
        ->and($answer['batches'][0]['phases'][0]['sodiumPer100g']['typical'])
        ->toBeGreaterThan(809)
        ->toBeLessThan(2.5 * 809);
});

// Common practice, no source: a head of napa soaked in half a cup of rock salt to eight cups of water keeps 2 to 3 % in
// the leaf after rinsing.
it('leaves 2 to 3 % of salt in a rinsed kimchi leaf', function (): void {
    $states = ComputeBatch::compute(file_get_contents(__DIR__ . '/../../docs/formats/examples/kimchi-soaked.json'))[
        'batches'
    ][0]['states'];
    $rinsed = $states[array_search('rinse', array_column($states, 'kind'), true)]['phases']['pieces'];
    expect($rinsed['sodiumMg'] / 393.372 / $rinsed['weightG'])
        ->toBeGreaterThan(0.02)
        ->toBeLessThan(0.035);
});

// Common practice, no source: the poured brine's strength is about twice what the jar ends at.
it('takes about half of a poured brine', function (): void {
    $strength = ComputeBatch::compute(file_get_contents(__DIR__ . '/../../docs/formats/examples/poured-brine.json'))[
        'batches'
    ][0]['strength'];
    expect($strength['ofWater'] / 0.03)
        ->toBeGreaterThan(0.4)
        ->toBeLessThan(0.6);
});

// Published kraut, 3 tbsp pickling salt to 5 lb (USDA Complete Guide to Home Canning, from memory): 2.4 % of the
// cabbage, 2.3 % of everything.
it('knows the published kraut on every basis', function (): void {
    $salt = SaltDose::spooned(Kitchen::salt('pickling'), Kitchen::volume('3 tbsp'))->grams();
    $contents = new JarContents($salt, Kitchen::mass('5 lb'), Grams::zero(), Grams::zero());
    expect($contents->share(SaltBasis::OfVegetable))
        ->toEqualWithDelta(0.0245, 0.0005)
        ->and($contents->share(SaltBasis::OfEverything))
        ->toEqualWithDelta(0.0245, 0.0005);
});

// USDA Complete Guide to Home Canning and National Center for Home Food Preservation, from memory: kraut takes 3-4
// weeks at 70-75 F and 5-6 weeks at 60-65 F. Middle to middle that is 5.5 / 3.5 weeks over 5.6 degrees Celsius.
it('ripens kraut in the published times', function (): void {
    $fahrenheit = fn(float $f): Celsius => Celsius::of(($f - 32) / 1.8);
    $weeks = 3.5 * Ripening::factor($fahrenheit(72.5));
    expect($weeks / Ripening::factor($fahrenheit(62.5)))
        ->toBeGreaterThan(5.0)
        ->toBeLessThan(6.0);
});
