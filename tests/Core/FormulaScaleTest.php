<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Eris\Generators;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Salt\BrineTable;
use Tests\Support\Property;

function formula(string $key): Formula
{
    $document = collect(FormulaLibrary::documents())->firstWhere('key', $key);

    return Formula::read($document, FoodTable::pantry());
}

it('makes twice as much of the same', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $once = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
        $twice = FormulaAnswer::of($once->formula->scaled(2.0));
        expect($twice->makesG())
            ->toEqualWithDelta(2.0 * $once->makesG(), 0.02, $document['key'])
            ->and($twice->typicalServingMg())
            ->toEqualWithDelta($once->typicalServingMg(), 0.05, $document['key'])
            ->and($twice->strength() ?? 0.0)
            ->toEqualWithDelta($once->strength() ?? 0.0, 1e-5, $document['key']);
    }
});

it('comes back from any scale', function (): void {
    $keys = array_column(FormulaLibrary::documents(), 'key');
    Property::holds(5, 40, Generators::choose(0, count($keys) - 1), Generators::choose(10, 3000))->then(function (
        int $which,
        int $percent,
    ) use ($keys): void {
        $formula = formula($keys[$which]);
        $there = FormulaAnswer::of($formula->scaled($percent / 100));
        $back = FormulaAnswer::of($formula->scaled($percent / 100)->scaled(100 / $percent));
        expect($back->makesG())
            ->toEqualWithDelta(FormulaAnswer::of($formula)->makesG(), 0.1)
            ->and($there->makesG() / FormulaAnswer::of($formula)->makesG())
            ->toEqualWithDelta($percent / 100, 0.003 + 0.0005 * $percent);
    });
});

it('hits the weight, the servings and the sodium it was asked for', function (): void {
    foreach (['plain-kraut', 'kimchi-soaked', 'ketchup-brine', 'beet-kvass', 'brine-hot-sauce'] as $key) {
        $formula = formula($key);
        $answer = FormulaAnswer::of($formula);
        $byWeight = FormulaAnswer::of($formula->scaled($answer->factorForVegetable(Grams::of(1500))));
        $vegetables = array_sum(
            array_map(
                fn($line): float => in_array($line->part, ['vegetables', 'base', 'add'], true) ? $line->grams : 0.0,
                $byWeight->lines,
            ),
        );
        expect($vegetables)
            ->toEqualWithDelta(1500, 0.01, $key)
            ->and(FormulaAnswer::of($formula->scaled($answer->factorForServings(25)))->servings())
            ->toBe(25, $key);
        $light = FormulaAnswer::of($formula->serving($answer->servingFor(100.0)));
        expect($light->typicalServingMg())
            ->toEqualWithDelta(min(100.0, $answer->makesG() * 1e6), 1e-6, $key)
            ->and($light->strength())
            ->toBe($answer->strength(), $key);
    }
});

it('fills a jar to its headspace and not beyond', function (string $key, float $ml, float $mouth, float $body): void {
    $jar = Jar::of(Millilitres::of($ml), Millimetres::of($mouth), Millimetres::of($body));
    $formula = formula($key);
    $filled = $formula->scaled(FormulaAnswer::of($formula)->factorForJar($jar));
    $begun = (new Ledger($filled->entries()))->state();
    $brine = $begun->phase(Phase::Brine);
    $lead = collect($filled->lines())->where('part', 'vegetables')->sortByDesc('grams')->first()?->food;
    $pieces = $begun->phase(Phase::Pieces)->saltFreeG() / ($lead?->density ?? 1.0);
    $volume =
        $pieces +
        $brine->weightG() / BrineTable::density($brine->brineStrength()) +
        $begun->phase(Phase::Sauce)->weightG();
    $packed = $pieces / ($lead?->shape->packing() ?? 1.0);
    $usable = JarFit::of($jar, new Packing($filled->vessel->headspace, Millilitres::zero()), Grams::zero(), 1.0, 1.0)
        ->usable->value;
    expect(max($volume, $packed))
        ->toEqualWithDelta($usable, 0.01 * $usable)
        ->and($usable)
        ->toBeLessThan($ml);
})->with([
    ['plain-kraut', 946, 76, 90],
    ['plain-kraut', 1893, 76, 112],
    ['carrot-sticks', 473, 76, 83],
    ['carrot-sticks', 946, 76, 90],
    ['kimchi-dry-salted', 2000, 95, 122],
    ['ketchup-whey', 500, 82, 92],
    ['full-sours', 5000, 180, 190],
]);

it('never offers less salt, however little sodium is wanted', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
        $light = $answer->formula->serving($answer->servingFor(1.0));
        expect($light->document['steps'])->toEqual($answer->formula->document['steps']);
    }
});

it('is ready when its window says', function (): void {
    $kraut = formula('plain-kraut');
    $state = $kraut->ledger()->state();
    expect($state->clock)
        ->toEqualWithDelta($kraut->window->readyDays * 86_400.0, 1e-6)
        ->and($state->ripened)
        ->toBeGreaterThan(0.0)
        ->and(formula('quick-radish')->ledger()->state()->clock)
        // Four hours in brine and two in fresh water, and nothing after that.
        ->toEqualWithDelta(6 * 3600.0, 1e-6);
});

it('warns of too little salt and of raw egg, and not of what is well', function (): void {
    $codes = fn(array $change, string $key): array => array_map(
        fn($advice): string => $advice->code,
        FormulaAnswer::of(
            Formula::read(
                array_replace_recursive(collect(FormulaLibrary::documents())->firstWhere('key', $key), $change),
                FoodTable::pantry(),
            ),
        )->advice(),
    );
    expect($codes([], 'plain-kraut'))
        ->toBe([])
        ->and($codes(['steps' => [0 => ['salt' => ['share' => 0.01]]]], 'plain-kraut'))
        ->toBe(['below_floor'])
        ->and($codes([], 'cultured-mayonnaise'))
        ->toBe(['raw_egg'])
        ->and($codes(['steps' => [1 => ['heat' => true]]], 'brine-hot-sauce'))
        ->toContain('not_live')
        ->and($codes(['steps' => [0 => ['salt' => ['product' => 'half-potassium']]]], 'plain-kraut'))
        ->toContain('potassium');
});

it('salts down to the floor of its method and no further', function (): void {
    $tried = 0;
    foreach (FormulaLibrary::documents() as $document) {
        $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
        $lighter = $answer->atFloor();
        if ($lighter === null) {
            continue;
        }
        // At its nearest line, to a millionth of the salt that there was, and never below it.
        $line = $lighter->floor()->binding($lighter->salted());
        $own = array_sum(array_map(fn($one): float => $one->salt === null ? 0.0 : $one->grams, $lighter->lines));
        // Where a starter's salt is enough, no salt of its own is left.
        expect($line?->shareOf($lighter->salted()) / $line?->least)
            ->toBeGreaterThanOrEqual(1.0, $document['key'])
            ->and($own < 0.001 || $line?->shareOf($lighter->salted()) < 1.0001 * $line?->least)
            ->toBeTrue($document['key'])
            ->and($lighter->floor()->missed($lighter->salted()))
            ->toBeNull()
            ->and($lighter->typicalServingMg())
            ->toBeLessThan($answer->typicalServingMg())
            ->and($lighter->atFloor())
            ->toBeNull();
        $tried++;
    }
    expect($tried)->toBeGreaterThan(8);
    // Plain kraut, 2.25 % of 820 g: at 2 % two grams of salt less, the cabbage as it was.
    $grams = fn(FormulaAnswer $answer): array => array_map(fn($line): float => $line->grams, $answer->lines);
    $plain = FormulaAnswer::of(formula('plain-kraut'));
    expect($grams($plain)[0])
        ->toBe($grams($plain->atFloor())[0])
        ->and($grams($plain)[1] - $grams($plain->atFloor())[1])
        ->toEqualWithDelta(0.0025 * 820, 1e-4);
});
