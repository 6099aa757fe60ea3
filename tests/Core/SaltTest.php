<?php

declare(strict_types=1);

use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\EmptyBasis;
use Tempesal\Core\Salt\SaltProduct;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Salt\StartingSalts;
use Tests\Support\Kitchen;

function contents(float $salt, float $vegetable, float $water, float $other = 0.0): JarContents
{
    return new JarContents(Grams::of($salt), Grams::of($vegetable), Grams::of($water), Grams::of($other));
}

function startingSalt(string $id): SaltProduct
{
    return array_values(array_filter(StartingSalts::all(), fn(SaltProduct $salt): bool => $salt->id === $id))[0];
}

function spoonful(string $salt, string $amount): float
{
    return Kitchen::volume($amount)->value * startingSalt($salt)->density()->band->typical;
}

function waterOf(string $amount): float
{
    return BrineTable::mass(Kitchen::volume($amount), 0.0)->value;
}

it('relates the four bases by the same weights', function (): void {
    $jar = contents(20, 600, 400, 30);
    expect($jar->share(SaltBasis::OfWater))
        ->toEqualWithDelta(0.05, 1e-12)
        ->and($jar->share(SaltBasis::BrineStrength))
        ->toEqualWithDelta(20 / 420, 1e-12)
        ->and($jar->share(SaltBasis::OfVegetable))
        ->toEqualWithDelta(20 / 600, 1e-12)
        ->and($jar->share(SaltBasis::OfEverything))
        ->toEqualWithDelta(20 / 1030, 1e-12);
});

it('finds the salt for a share on any basis and comes back to it', function (SaltBasis $basis): void {
    $jar = contents(0, 731.5, 412.25, 18);
    foreach ([0.005, 0.0225, 0.1, 0.26] as $share) {
        expect($jar->withSalt($jar->saltFor($share, $basis))->share($basis))->toEqualWithDelta($share, 1e-12);
    }
})->with(SaltBasis::cases());

it('knows a basis without meaning', function (): void {
    expect(fn() => contents(10, 500, 0)->share(SaltBasis::OfWater))
        ->toThrow(EmptyBasis::class)
        ->and(contents(10, 500, 0)->shareOrNull(SaltBasis::BrineStrength))
        ->toBeNull()
        ->and(fn() => contents(0, 500, 100)->saltFor(1.0, SaltBasis::BrineStrength))
        ->toThrow(fn(EmptyBasis $no) => expect(said($no->explanation()))->toContain('100 %'));
});

// Common practice, no source: household rules of thumb for salt in water and on cabbage.
it('agrees with the rules of thumb', function (float $percent, float $low, float $high): void {
    expect($percent)->toBeGreaterThanOrEqual($low)->toBeLessThanOrEqual($high);
})->with([
    '1 tsp in 1 cup is about 2-2.5 %' => fn() => [(spoonful('fine-sea', '1 tsp') / waterOf('1 cup')) * 100, 2.0, 2.6],
    'a rounded tbsp in a quart is about 2-2.5 %' => fn() => [
        (spoonful('fine-sea', '1 rounded tbsp') / waterOf('1 quart')) * 100,
        2.0,
        2.5,
    ],
    '2 tbsp of fine salt in 3 cups is about 4-5 %' => fn() => [
        (spoonful('fine-sea', '2 tbsp') / waterOf('3 cups')) * 100,
        4.0,
        5.1,
    ],
    '1 tbsp of sea salt in 2 cups is about 3-4 %' => fn() => [
        (spoonful('fine-sea', '1 tbsp') / waterOf('2 cups')) * 100,
        3.0,
        4.0,
    ],
    '3 tbsp of coarse sea salt in 2 quarts is a standing brine of 2-3 %' => fn() => [
        (spoonful('coarse-sea', '3 tbsp') / waterOf('2 quarts')) * 100,
        2.0,
        3.0,
    ],
    '1 tbsp of fine salt on 1 3/4 lb of cabbage is about 2 %' => fn() => [
        (spoonful('fine-sea', '1 tbsp') / Kitchen::mass('1 3/4 lb')->value) * 100,
        1.9,
        2.3,
    ],
    '1 tsp in 2 cups is weak' => fn() => [(spoonful('fine-sea', '1 tsp') / waterOf('2 cups')) * 100, 0.9, 1.4],
    '18 g in 500 ml is called 3.5 %' => fn() => [
        contents(18, 0, waterOf('500 ml'))->share(SaltBasis::BrineStrength) * 100,
        3.4,
        3.6,
    ],
    '15 g in 500 ml is 3 %' => fn() => [
        contents(15, 0, waterOf('500 ml'))->share(SaltBasis::OfWater) * 100,
        2.95,
        3.05,
    ],
    '370 g of mash at 3 % takes 11.1 g' => fn() => [
        contents(0, 370, 0)->saltFor(0.03, SaltBasis::OfVegetable)->value,
        11.0999,
        11.1001,
    ],
]);

it('says what water cannot dissolve', function (): void {
    expect(SodiumChloride::undissolved(100, 200))
        ->toEqualWithDelta(28.2, 1e-9)
        ->and(SodiumChloride::undissolved(70, 200))
        ->toBe(0.0)
        ->and(SodiumChloride::waterToDissolve(35.9))
        ->toEqualWithDelta(100.0, 1e-9);
});

it('turns brine between volume and weight', function (): void {
    $volume = BrineTable::volume(Grams::of(30), Grams::of(970));
    expect($volume->value)
        ->toEqualWithDelta(1000 / 1.0196, 1e-9)
        ->and(BrineTable::mass($volume, 0.03)->value)
        ->toEqualWithDelta(1000.0, 1e-9)
        ->and(BrineTable::volume(Grams::zero(), Grams::zero())->value)
        ->toBe(0.0)
        ->and(BrineTable::mass(Millilitres::of(100), 0.5)->value)
        ->toEqualWithDelta(119.72, 1e-9);
});

it('claims no more sodium than sodium chloride holds', function (): void {
    foreach (StartingSalts::all() as $salt) {
        expect($salt->sodiumPer100g->high)->toBeLessThanOrEqual(SodiumChloride::SODIUM_SHARE * 100_000);
    }
});
