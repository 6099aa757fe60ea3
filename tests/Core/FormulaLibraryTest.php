<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Method\Method;

/** @return array<string, array{array<string, mixed>}> */
function libraryFormulas(): array
{
    $all = [];
    foreach (FormulaLibrary::documents() as $document) {
        $all[$document['key']] = [$document];
    }

    return $all;
}

/** What is wrong with a formula: the checks that every one of the library passes. */
function faults(array $document): array
{
    $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
    $faults = [];
    $missed = $answer->floor()->missed($answer->salted());
    if ($missed !== null) {
        $faults[] = sprintf('salt %.4f, floor %s', $answer->strength(), said($missed->text()));
    }
    $per100g = ($answer->typicalServingMg() / $answer->formula->serving->grams->value) * 100;
    if ($per100g < $document['sanity']['low'] || $per100g > $document['sanity']['high']) {
        $faults[] = sprintf('%.0f mg in 100 g', $per100g);
    }
    if ($answer->servings() < 3) {
        $faults[] = "{$answer->servings()} servings";
    }
    if (abs($answer->state->sodiumAstray()) > 1e-6) {
        $faults[] = 'sodium astray';
    }

    return $faults;
}

it('passes through the core with plausible results', function (array $document): void {
    expect(faults($document))->toBe([]);
})->with(libraryFormulas());

it('says everything a cook wants to know', function (array $document): void {
    $formula = Formula::read($document, FoodTable::pantry());
    expect($formula->name)
        ->not->toBe('')
        ->and($formula->summary())
        ->not->toBe('')
        ->and($formula->group)
        ->not->toBe('other')
        ->and(count($formula->work))
        ->toBeGreaterThanOrEqual(3)
        ->and($formula->keeping()?->days)
        ->toBeGreaterThan(0)
        ->and($formula->vessel->nominal->value)
        ->toBeGreaterThan(100)
        ->and($formula->colour())
        ->toMatch('/^#[0-9a-f]{6}$/');
    foreach (['signs', 'why', 'schools', 'cautions'] as $text) {
        expect($formula->texts[$text])->not->toBe([], $text);
    }
})->with(libraryFormulas());

it('has a caution on every formula with egg, chilli, or a sauce that is bottled', function (): void {
    foreach (libraryFormulas() as [$document]) {
        $formula = Formula::read($document, FoodTable::pantry());
        $cautions = implode(' ', $formula->texts['cautions']);
        $allergens = array_map(fn($allergen) => $allergen->value, FormulaAnswer::of($formula)->allergens());
        foreach ($allergens as $allergen) {
            if ($allergen === 'egg') {
                expect($cautions)->toContain('pasteurised egg');
            }
            if (in_array($allergen, ['fish', 'milk', 'mustard', 'soy', 'crustaceans'], true)) {
                expect($cautions)->toContain('Contains')->toContain($allergen);
            }
        }
        if ($document['group'] === 'hot sauces') {
            expect($cautions)->toContain('4.6')->toContain('gloves');
        }
    }
});

it('covers every family', function (): void {
    $formulas = array_column(libraryFormulas(), 0);
    expect(count($formulas))
        ->toBeGreaterThanOrEqual(45)
        ->and(array_values(array_unique(array_column($formulas, 'group'))))
        ->toEqualCanonicalizing([
            'kraut',
            'roots',
            'florets',
            'onions',
            'beans',
            'chillies',
            'cucumbers',
            'quick pickles',
            'kimchi',
            'hot sauces',
            'condiments',
            'relishes',
            'drinks',
            'milk cultures',
            'starters',
        ]);
    $methods = array_unique(array_column($formulas, 'method'));
    foreach (Method::made() as $method) {
        if (!in_array($method, [Method::Mash, Method::ReusedBrine], true)) {
            expect($methods)->toContain($method->value);
        }
    }
});

it('finds a formula that is wrong', function (array $change, string $fault): void {
    $document = array_replace_recursive(libraryFormulas()['plain-kraut'][0], $change);
    expect(implode('; ', faults($document)))->toContain($fault);
})->with([
    'a slip in the share' => [['steps' => [0 => ['salt' => ['share' => 0.00225]]]], 'salt 0.0022'],
    'ten times the salt' => [['steps' => [0 => ['salt' => ['share' => 0.225]]]], 'mg in 100 g'],
    'hardly any cabbage' => [['steps' => [0 => ['vegetables' => [0 => ['grams' => 60]]]]], 'servings'],
]);

it('refuses a formula that cannot be, with the path', function (array $change, string $path): void {
    $document = array_replace_recursive(libraryFormulas()['plain-kraut'][0], $change);
    expect(fn() => FormulaAnswer::of(Formula::read($document, FoodTable::pantry())))->toThrow(
        fn(InvalidField $refusal) => expect($refusal->path)->toBe($path),
    );
})->with([
    [['tempesal' => 'recipe'], 'tempesal'],
    [['version' => 2], 'version'],
    [['name' => ''], 'name'],
    [['name' => str_repeat('x', 500)], 'name'],
    [['method' => 'boiling'], 'method'],
    [['steps' => 'none'], 'steps'],
    [['steps' => [0 => ['vegetables' => [0 => ['grams' => -4]]]]], 'steps[0].vegetables[0].grams'],
    [['steps' => [0 => ['vegetables' => [0 => ['ingredient' => 'kabbage']]]]], 'steps[0].vegetables[0].ingredient'],
    [['serving' => ['grams' => 'a forkful']], 'serving.grams'],
    [['serving' => ['phase' => 'sauce']], 'serving.phase'],
    [['window' => ['youngDays' => 90]], 'window.readyDays'],
    [['window' => ['celsius' => 900]], 'window.celsius'],
    [['vessel' => ['nominalMl' => 2]], 'vessel.nominalMl'],
    [['keeping' => ['days' => 0]], 'keeping.days'],
    [['work' => ['a', ['b']]], 'work.1'],
    [['summry' => 'typo'], 'summry'],
]);

/*
 * By hand: salt is 393 mg of sodium a gram (22.99 of 58.44), spread evenly over all the water in the jar; a piece holds
 * the share of its own water. Water of vegetables from USDA tables, from memory: cabbage 92, carrot 88, turnip 92,
 * green tomato 93, garlic 59 to 64 %.
 *
 * Grams of salt: its share of the water, or of the vegetables; water; vegetables; how much of them is water.
 */
const PENCIL_OF_WATER = [
    'whole-garlic' => [0.03 * 380, 380, 421, 0.62],
    'golden-kraut' => [0.0225 * 848, 0, 848, 0.92],
    'paprika-carrots' => [0.028 * 360, 360, 493, 0.87],
    'pink-turnips' => [0.03 * 400, 400, 476, 0.91],
    'cabbage-relish' => [0.0225 * 841, 0, 841, 0.91],
    'green-tomatoes' => [0.035 * 420, 420, 514, 0.92],
    'plain-kraut' => [0.0225 * 820, 0, 820, 0.92],
    'caraway-kraut' => [0.0225 * 806, 0, 806, 0.92],
    'two-colour-kraut' => [0.022 * 850, 0, 850, 0.91],
    'courgette-kraut' => [0.022 * 812, 0, 812, 0.92],
    'leaf-mustard' => [0.025 * 810, 0, 810, 0.9],
    'carrot-sticks' => [0.025 * 360, 360, 494, 0.87],
    'jalapeno-rings' => [0.032 * 420, 420, 388, 0.86],
    'garden-mix' => [0.028 * 400, 400, 457, 0.91],
    'brined-chillies' => [0.034 * 430, 430, 342, 0.88],
    'broccoli-stems' => [0.03 * 450, 450, 388, 0.89],
    // Live brine of 950 mg in 100 g is salt of 2.4 %.
    'dilly-beans' => [0.03 * 440 + 0.024 * 60, 440 + 58, 432, 0.89],
    'full-sours' => [0.05 * 880, 880, 1097, 0.93],
    'half-sours' => [0.035 * 430, 430, 542, 0.93],
    'red-onions' => [0.025 * 420, 420, 383, 0.86],
    'turmeric-cauliflower' => [0.022 * 864, 430, 434, 0.9],
];

/*
 * What is stirred together holds the sodium of its parts, a gram the same everywhere. In 100 g, by usual composition
 * tables, from memory: milk 43, cream 27, kefir 45, yogurt 55, whey 54, tea 3, kraut juice 750, tomato paste 59, prepared
 * mustard 1100, fish sauce 7850, salted shrimp 9000, miso 3730, kelp 2700 mg; salt 386 mg a gram.
 *
 * Milligrams in the jar, and its grams.
 */
const PENCIL_OF_ALL = [
    'plain-yogurt' => [900 * 0.43 + 40 * 0.55, 940],
    'milk-kefir' => [700 * 0.43 + 30 * 0.45, 730],
    'cultured-cream' => [300 * 0.27 + 20 * 0.45, 320],
    'yogurt-whey' => [200 * 0.54, 200],
    'water-kefir' => [60 * 0.05, 990],
    'kombucha' => [850 * 0.03 + 100 * 0.04, 1015],
    'preserved-lemon' => [0.08 * 681 * 386 + 681 * 0.03, 681 * 1.08],
    'wine-mustard' => [0.012 * 272 * 386 + 100 * 0.04 + 120 * 0.05, 275],
    'beer-mustard' => [0.012 * 276 * 386 + 15 * 0.28, 279],
    'seed-mustard' => [3 * 386 + 210 * 7.5, 339],
    'apple-chutney' => [6 * 386 + 60 * 0.54 + 8, 576],
    'cultured-mayonnaise' => [2 * 386 + 8 * 11 + 36 * 0.46 + 30 * 0.54, 301],
    'plain-mayonnaise' => [2.5 * 386 + 36 * 0.46, 278],
    'cultured-salsa' => [0.015 * 676 * 386 + 70, 686],
    'ketchup-brine' => [3 * 386 + 70 * 7.5 + 340 * 0.59, 490],
    'ketchup-mother' => [4 * 386 + 300 * 0.59 + 120 * 0.15 + 40 * 0.28, 536],
    'ketchup-whey' => [4 * 386 + 340 * 0.59 + 70 * 0.54 + 40 * 0.12, 480],
    // A mash with all its salt, thinned.
    'mash-hot-sauce' => [0.03 * 510 * 386 + 45, 510 * 1.03 + 160],
    // 5580 mg in 772 g of water before it is strained; 400 g of vegetables and 150 g of brine go on.
    'brine-hot-sauce' => [(5580 / 772) * (400 * 0.88 + 145), 400 + 150 + 78],
    // Brine is 97 % water: 5600 mg in 944 g of it.
    'beet-kvass' => [5600 * 0.97, 944],
    // Half of the salt leaves with brine and rinse; a drain alone leaves three quarters, on thick cubes somewhat less
    // (common practice, no source).
    'kimchi-dry-salted' => [0.5 * (27 * 386 + 180) + 30 * 78.5 + 60, 983],
    'cold-kimchi' => [0.5 * (0.028 * 880 * 386 + 180) + 30 * 78.5 + 60, 967],
    'vegan-kimchi' => [0.5 * (27 * 386 + 180) + 30 * 37.3 + 2 * 27 + 60, 1010],
    // 104.5 g of salt even in 2738 g of water before the rinse.
    'kimchi-soaked' => [0.5 * ((104.5 * 386) / 2738) * 838 + 20 * 78.5 + 8 * 90 + 60, 1003],
    'cucumber-kimchi' => [0.75 * (10 * 386 + 32) + 8 * 78.5 + 15, 460],
    'radish-kimchi' => [0.7 * (16 * 386 + 168) + 18 * 78.5 + 25, 736],
    'fridge-cucumbers' => [0.75 * (0.022 * 600 * 386 + 38) + 5, 567],
    // 81 g of salt in 450 g of water and 286 in the radish: 41 mg a gram at rest, 0.87 of the way there in four hours
    // (worked example D), then two thirds of the way down to 14 in fresh water.
    'quick-radish' => [0.87 * 41 - 0.67 * (0.87 * 41 - 13.9), 1],
];

/** What a pencil gives for a serving, in milligrams. */
function byPencil(string $key, float $grams): float
{
    if (isset(PENCIL_OF_WATER[$key])) {
        [$salt, $water, $solids, $wet] = PENCIL_OF_WATER[$key];

        return (($salt * 393.4) / ($water + $solids * $wet)) * $wet * $grams;
    }

    return (PENCIL_OF_ALL[$key][0] / PENCIL_OF_ALL[$key][1]) * $grams;
}

it('comes to what a pencil gives', function (array $document): void {
    $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
    $byHand = byPencil($document['key'], $answer->formula->serving->grams->value);
    expect($answer->typicalServingMg())->toEqualWithDelta($byHand, max(1.0, 0.1 * $byHand));
})->with(libraryFormulas());

it('salts a condiment by everything in it, its starter among it', function (string $liquid, float $grams): void {
    $document = FormulaLibrary::document('cultured-salsa');
    $document['steps'][0]['starter'] = ['liquid' => $liquid, 'grams' => $grams];
    $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
    $share = $document['steps'][0]['salt']['share'];
    // Salt for a gram of all else, as the basis says it: what is in the jar at the end.
    $salt = $answer->state->present()->sodiumMg / 393.4;
    $all = $answer->makesG() - $salt;
    $ofFoods = 60 / 393.4;
    expect(($salt - $ofFoods) / $all)->toEqualWithDelta($share, 0.02 * $share);
})->with([['whey', 30.0], ['whey', 150.0], ['kraut-juice', 60.0], ['live-brine', 100.0]]);
