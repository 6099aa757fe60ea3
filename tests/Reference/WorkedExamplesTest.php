<?php

declare(strict_types=1);

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

/*
 * The two equilibrium examples were computed by a separate program (mass balance on water) before this one existed;
 * pieces at equilibrium, without film. docs/sources.md has them in full.
 */
it('A: 600 g carrot in 600 g water with 15 g salt', function (): void {
    $state = (new Ledger([
        new Add(Kitchen::carrot(), Band::exact(600), Phase::Pieces),
        new Add(Kitchen::water(), Band::exact(600), Phase::Brine),
        new Salt(Kitchen::weighed(15), Phase::Brine),
        Soak::untilEven(),
    ]))->state();
    expect($state->phase(Phase::Pieces)->sodiumPer100g())
        ->toEqualWithDelta(488.2, 0.1)
        ->and($state->phase(Phase::Brine)->sodiumPer100g())
        ->toEqualWithDelta(551.1, 0.1);
});

it('B: 1000 g cabbage with 22.5 g salt, 200 g juice drawn', function (): void {
    $state = (new Ledger([
        new Add(Kitchen::cabbage(), Band::exact(1000), Phase::Pieces),
        new Salt(Kitchen::weighed(22.5), Phase::Brine),
        new Draw(Band::exact(0.2)),
        Soak::untilEven(),
    ]))->state();
    expect($state->phase(Phase::Pieces)->sodiumPer100g())
        ->toEqualWithDelta(865.0, 0.1)
        ->and($state->phase(Phase::Brine)->sodiumPer100g())
        ->toEqualWithDelta(955.9, 0.1);
});

// Computed apart from this program by series and finite volumes. The soak's 135 g of juice are 15 % of the leaf.
it('C: 900 g napa soaked 20 h in 1800 g water with 120 g salt, rinsed 3 min', function (): void {
    $leaf = Piece::measured(PieceForm::Sheet, Millimetres::of(1.5), Band::exact(5.0));
    $soaked = new Ledger([
        new Add(Kitchen::food('napa', 94.39, 9), Band::exact(900), Phase::Pieces),
        new Add(Kitchen::water(), Band::exact(1800), Phase::Brine),
        new Salt(Kitchen::weighed(120), Phase::Brine),
        new Draw(Band::exact(0.15)),
        Soak::lasting(Seconds::ofHours(20), null, $leaf),
    ]);
    $rinsed = $soaked->with(
        new Drain(Band::exact(0.0)),
        new Rinse(Rinsing::underTheTap(Seconds::of(180)), Band::exact(0.0), $leaf),
    );
    $before = $soaked->state()->phase(Phase::Pieces);
    $after = $rinsed->state()->phase(Phase::Pieces);
    expect($before->sodiumPer100g())
        ->toEqualWithDelta(1599.6, 0.1)
        ->and(1.0 - $after->sodiumMg / $before->sodiumMg)
        ->toEqualWithDelta(0.21, 0.0005)
        ->and($after->sodiumPer100g())
        ->toEqualWithDelta(1274.3, 0.15);
});

it('D: 500 g cucumber spears in 400 g water with 60 g salt, 4 h at 21 C', function (): void {
    $spear = Piece::measured(PieceForm::Cylinder, Millimetres::of(8), Band::exact(6.0));
    $start = new Ledger([
        new Add(Kitchen::food('cucumber', 95.23, 2), Band::exact(500), Phase::Pieces),
        new Add(Kitchen::water(), Band::exact(400), Phase::Brine),
        new Salt(Kitchen::weighed(60), Phase::Brine),
    ]);
    $soaked = $start
        ->with(Soak::lasting(Seconds::ofHours(4), TemperatureHistory::constant(Celsius::of(21)), $spear))
        ->state()
        ->phase(Phase::Pieces);
    $none = $start->state()->phase(Phase::Pieces)->sodiumMg;
    expect($soaked->sodiumPer100g())
        ->toEqualWithDelta(2115, 1)
        ->and(($soaked->sodiumMg - $none) / ($start->settled()->state()->phase(Phase::Pieces)->sodiumMg - $none))
        ->toEqualWithDelta(0.871, 0.0005);
});

// USDA composition tables, from memory: a level teaspoon (6 g) of table salt holds 2325 mg sodium (38.76 g in 100 g).
it('spoons a teaspoon of table salt as USDA weighs it', function (): void {
    $table = Kitchen::salt('table');
    $spoon = SaltDose::spooned($table, Kitchen::volume('1 tsp'));
    expect($spoon->grams()->value)
        ->toEqualWithDelta(6.0, 0.05)
        ->and($spoon->grams()->value * $table->sodiumPerGram()->band->typical)
        ->toEqualWithDelta(2325, 25);
});

// USDA Complete Guide to Home Canning, kraut: 3 tbsp canning or pickling salt for 5 lb cabbage; from memory.
it('gives the published kraut its strength', function (): void {
    $salt = SaltDose::spooned(Kitchen::salt('pickling'), Kitchen::volume('3 tbsp'))->grams();
    $cabbage = Kitchen::mass('5 lb');
    $share = (new JarContents($salt, $cabbage, Grams::zero(), Grams::zero()))->share(SaltBasis::OfVegetable);
    expect($share)->toEqualWithDelta(0.024, 0.0006);
});

// IUPAC atomic weights: Na 22.98977, NaCl 58.44277. Regulation (EU) 1169/2011, annex I: salt = sodium x 2.5.
it('knows the sodium in salt', function (): void {
    expect(SodiumChloride::SODIUM_SHARE)
        ->toEqualWithDelta(0.393372, 1e-6)
        ->and(SodiumChloride::EU_LABEL_SALT_PER_SODIUM * SodiumChloride::SODIUM_SHARE)
        ->toEqualWithDelta(1.0, 0.02);
});

// CRC Handbook of Chemistry and Physics, aqueous sodium chloride at 20 C, g/ml; from memory.
it('has the density of brine', function (float $strength, float $density): void {
    expect(BrineTable::density($strength))->toEqualWithDelta($density, 5e-5);
})->with([
    [0.0, 0.9982],
    [0.01, 1.0053],
    [0.05, 1.034],
    [0.1, 1.0707],
    [0.15, 1.1085],
    [0.2, 1.1478],
    [0.26, 1.1972],
    [0.07, 1.0486],
]);

// The same table through a formula fitted elsewhere: rho = 0.9982 + 0.00707 w + 0.0000187 w2 (w in %), a common
// engineering fit, from memory; a slip of a row would show.
it('rises smoothly with strength', function (): void {
    foreach (range(0, 260) as $tenth) {
        $w = $tenth / 10;
        expect(BrineTable::density($w / 100))->toEqualWithDelta(0.9982 + 0.00707 * $w + 0.0000187 * $w ** 2, 0.0035);
    }
});
