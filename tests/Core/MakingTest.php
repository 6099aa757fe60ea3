<?php

declare(strict_types=1);

use Tempesal\Core\Bench\BenchAdvice;
use Tempesal\Core\Bench\BenchInput;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Bench\BlendSource;
use Tempesal\Core\Bench\IncompleteBench;
use Tempesal\Core\Bench\Pretreatment;
use Tempesal\Core\Bench\SaltChoice;
use Tempesal\Core\Bench\SaltTarget;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\EntrySchedule;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltDose;
use Tests\Support\Kitchen;

/** @param  array<string, mixed>  $more */
function onBench(Method $method, SaltTarget $target, array $more = []): BenchInput
{
    $given = [
        'vegetable' => Kitchen::carrot()->cut(PieceShape::Sticks),
        'vegetableWeight' => Grams::of(600),
        'jars' => [],
        'packing' => new Packing(Millimetres::of(20), Millilitres::zero()),
        'salt' => Kitchen::pureSalt(),
        'saltUnit' => SaltUnit::Grams,
        'spoons' => SpoonSystem::Us,
        'serving' => Grams::of(40),
        'room' => Celsius::of(20),
        ...$more,
    ];

    $salt = new SaltChoice($given['salt'], $given['saltUnit'], $given['spoons'], $target);
    $pretreatment = new Pretreatment($given['salting'] ?? null, $given['rinse'] ?? null, $given['isSqueezed'] ?? false);
    $mine = array_flip(['saltUnit', 'spoons', 'salting', 'rinse', 'isSqueezed']);

    return new BenchInput(
        ...[
            ...array_diff_key($given, $mine),
            ...['method' => $method, 'salt' => $salt, 'pretreatment' => $pretreatment],
        ],
    );
}

function quart(): Jar
{
    return Jar::of(Millilitres::of(946), Millimetres::of(76), Millimetres::of(95));
}

function salted(float $grams, SaltBasis $basis = SaltBasis::OfVegetable): SaltTarget
{
    return SaltTarget::amount($basis, Kitchen::weighed($grams));
}

/** Milligrams of sodium in a gram of pure salt, from the atomic masses. */
const SODIUM_OF_SALT = 393.372;

it('finds the salt for a strength on every basis', function (
    Method $method,
    SaltBasis $basis,
    float $share,
    float $grams,
    array $more = [],
): void {
    $solution = BenchSolution::from(onBench($method, SaltTarget::strength($share, $basis), $more));
    expect($solution->salt->value)->toEqualWithDelta($grams, 0.051);
})->with([
    'of the vegetable' => [Method::DrySalting, SaltBasis::OfVegetable, 0.02, 12.0],
    'of the water' => [Method::PouredBrine, SaltBasis::OfWater, 0.03, 15.0, ['water' => Grams::of(500)]],
    'as a strength' => [
        Method::PouredBrine,
        SaltBasis::BrineStrength,
        0.05,
        (500 * 0.05) / 0.95,
        ['water' => Grams::of(500)],
    ],
    'of everything' => [Method::EquilibriumBrine, SaltBasis::OfEverything, 0.025, 27.5, ['water' => Grams::of(500)]],
    'a quick pickle' => [Method::QuickSaltPickle, SaltBasis::OfWater, 0.2, 80.0, ['water' => Grams::of(400)]],
    'a soak' => [Method::KimchiSoaked, SaltBasis::OfWater, 0.065, 39.0],
    'with more beside it' => [
        Method::Mash,
        SaltBasis::OfVegetable,
        0.03,
        21.0,
        ['alongside' => [new IngredientAmount(Kitchen::cabbage(), Band::exact(100))]],
    ],
]);

it('lets the other number follow when salt and strength are both fixed', function (): void {
    $both = SaltTarget::amountAtStrength(Kitchen::weighed(20), 0.025, SaltBasis::OfVegetable);
    $kraut = BenchSolution::from(onBench(Method::DrySalting, $both, ['vegetableWeight' => null]));
    expect($kraut->vegetable()->value)->toEqualWithDelta(800, 0.06);

    $brine = SaltTarget::amountAtStrength(Kitchen::weighed(20), 0.025, SaltBasis::OfWater);
    expect(BenchSolution::from(onBench(Method::PouredBrine, $brine))->work->water->value)->toEqualWithDelta(800, 0.06);

    $all = SaltTarget::amountAtStrength(Kitchen::weighed(30), 0.025, SaltBasis::OfEverything);
    expect(BenchSolution::from(onBench(Method::EquilibriumBrine, $all))->work->water->value)->toEqualWithDelta(
        600,
        0.06,
    );
});

it('refuses in a sentence, beside the field, where nothing can follow', function (
    BenchInput $input,
    string $field,
    string $words,
): void {
    try {
        BenchSolution::from($input);
        $this->fail('It was not refused.');
    } catch (IncompleteBench $refusal) {
        expect($refusal->field)->toBe($field)->and(said($refusal->explanation()))->toContain($words);
    }
})->with([
    'the vegetable is fixed too' => fn() => [
        onBench(Method::DrySalting, SaltTarget::amountAtStrength(Kitchen::weighed(20), 0.02, SaltBasis::OfVegetable)),
        'vegetableAmount',
        'Leave it empty',
    ],
    'the water is fixed too' => fn() => [
        onBench(Method::PouredBrine, SaltTarget::amountAtStrength(Kitchen::weighed(20), 0.02, SaltBasis::OfWater), [
            'water' => Grams::of(500),
        ]),
        'waterAmount',
        'Leave it empty',
    ],
    'too little salt' => fn() => [
        onBench(
            Method::EquilibriumBrine,
            SaltTarget::amountAtStrength(Kitchen::weighed(2), 0.02, SaltBasis::OfEverything),
        ),
        'saltAmount',
        'not enough salt',
    ],
    'no water to be a share of' => fn() => [
        onBench(Method::DrySalting, SaltTarget::strength(0.02, SaltBasis::OfWater)),
        'strengthBasis',
        'no poured water',
    ],
    'no jar, no weight' => fn() => [
        onBench(Method::Mash, SaltTarget::strength(0.02, SaltBasis::OfVegetable), [
            'vegetableWeight' => null,
        ]),
        'vegetableAmount',
        'choose a jar',
    ],
    'brine of no jar' => fn() => [onBench(Method::ReusedBrine, salted(10)), 'starterBatchId', 'Choose the jar'],
    'more than dissolves' => fn() => [
        onBench(Method::PouredBrine, SaltTarget::sodium(9000, SaltBasis::OfWater), [
            'water' => Grams::of(400),
        ]),
        'sodiumWanted',
        'cannot hold that much',
    ],
]);

it('mixes the volume of brine that was fixed', function (): void {
    $solution = BenchSolution::from(
        onBench(Method::PouredBrine, SaltTarget::strength(0.05, SaltBasis::OfWater), [
            'brine' => Millilitres::of(500),
        ]),
    );
    // 5 g of salt to 100 g of water make a brine of 4.76 %, of 1.0323 g/ml at 20 °C
    // (CRC Handbook, concentrative properties; from memory).
    expect($solution->brine()->value)
        ->toEqualWithDelta(500, 0.5)
        ->and($solution->work->water->value)
        ->toEqualWithDelta((500 * 1.0323) / 1.05, 1.0);
});

it('brings a serving to the sodium that was wished for', function (Method $method, array $more): void {
    $solution = BenchSolution::from(
        onBench($method, SaltTarget::sodium(420, $method->profile()->salting->basis), $more),
    );
    expect($solution->serving()->band->typical)
        ->toEqualWithDelta(420, 6)
        ->and($solution->unreachedMg)
        ->toBeNull();
})->with([
    'a brine' => [Method::PouredBrine, ['water' => Grams::of(500)]],
    'kraut' => [Method::DrySalting, ['vegetable' => Kitchen::cabbage()]],
    'a mash' => [Method::Mash, []],
]);

it('never goes below the floor for it, and says what else would do', function (): void {
    $solution = BenchSolution::from(onBench(Method::DrySalting, SaltTarget::sodium(300, SaltBasis::OfVegetable)));
    $advice = collect(BenchAdvice::on($solution))->firstWhere('code', 'sodium_out_of_reach');
    preg_match('/Instead: (\d+) g have/', (string) said($advice?->text), $portion);
    $small = $solution->finished->serving(Serve::of(Served::Pieces, Grams::of((float) ($portion[1] ?? 0))));
    expect($solution->salt->value)
        ->toEqualWithDelta(12.0, 0.01)
        ->and($solution->unreachedMg)
        ->toBe(300.0)
        ->and($small->band->typical)
        ->toBeGreaterThan(290)
        ->toBeLessThan(310)
        ->and(said($advice?->text))
        ->toContain('Rinse it for');
});

it('divides one bowl among several jars by the room they have', function (): void {
    $pint = Jar::of(Millilitres::of(473), Millimetres::of(76), Millimetres::of(83));
    $solution = BenchSolution::from(
        onBench(Method::DrySalting, SaltTarget::strength(0.02, SaltBasis::OfVegetable), [
            'vegetable' => Kitchen::cabbage(),
            'vegetableWeight' => null,
            'jars' => [quart(), $pint],
            'saltUnit' => SaltUnit::Spoons,
            'salt' => Kitchen::salt('flaky-kosher'),
        ]),
    );
    $whole = $solution->ledger->settled()->state();
    $parts = array_map(fn(int $i) => (new Ledger($solution->stepsOf($i)->lines()))->settled()->state(), [0, 1]);
    expect($parts[0]->present()->weightG() + $parts[1]->present()->weightG())
        ->toEqualWithDelta($whole->present()->weightG(), 1e-6)
        ->and($parts[0]->present()->sodiumMg + $parts[1]->present()->sodiumMg)
        ->toEqualWithDelta($whole->present()->sodiumMg, 1e-5)
        ->and($parts[1]->phase(Phase::Pieces)->sodiumPer100g())
        ->toEqualWithDelta($whole->phase(Phase::Pieces)->sodiumPer100g(), 1e-6)
        ->and($parts[0]->present()->weightG())
        ->toBeGreaterThan($parts[1]->present()->weightG() * 1.8);
    [$large, $small] = $solution->settledFits();
    expect($large->bulk->value / $large->usable->value)->toEqualWithDelta(
        $small->bulk->value / $small->usable->value,
        1e-9,
    );
});

it('logs salt to taste pinch by pinch, after the food', function (): void {
    $solution = BenchSolution::from(
        onBench(
            Method::DrySalting,
            SaltTarget::amount(
                SaltBasis::OfVegetable,
                Kitchen::weighed(6),
                SaltDose::spooned(Kitchen::salt('pickling'), Millilitres::of(4.92892)),
                Kitchen::weighed(3),
            ),
        ),
    );
    $kinds = array_map(fn(LedgerLine $line): string => $line->entry->toArray()['kind'], $solution->timetable()->lines);
    [$first, $second, $third] = $solution->running(SaltBasis::OfVegetable);
    expect($kinds)
        ->toBe(['add', 'salt', 'salt', 'salt', 'draw', 'ferment'])
        ->and($first)
        ->toEqualWithDelta(0.01, 1e-9)
        ->and($third - $second)
        ->toEqualWithDelta(0.005, 1e-9)
        ->and($solution->salt->value)
        ->toEqualWithDelta($third * 600, 1e-6);
});

it('salts, rinses, squeezes and dresses, each at its time', function (): void {
    $fish = Kitchen::food('fish-sauce', 68, 7720);
    $solution = BenchSolution::from(
        onBench(Method::KimchiDrySalted, salted(30), [
            'vegetable' => Kitchen::cabbage()->cut(PieceShape::Leaves),
            'vegetableWeight' => Grams::of(1000),
            'salting' => Seconds::ofHours(2),
            'rinse' => Seconds::of(90),
            'isSqueezed' => true,
            'paste' => [new IngredientAmount($fish, Band::exact(30))],
        ]),
    );
    $at = [];
    foreach ($solution->timetable()->lines as $line) {
        $at[$line->entry->toArray()['kind']] = $line->at;
    }
    expect($at['rest'])->toBe(0.0)->and($at['rinse'])->toBe(7200.0)->and($at['ferment'])->toBe(7200.0);
    // Before the two hours are over nothing has been poured off; afterwards the salt is where the ledger says.
    $during = (new Ledger($solution->timetable()->lines))->asOf(3600)->state();
    $after = $solution->ledger->asOf(7200)->state();
    expect($during->account(Account::Discarded)->sodiumMg)
        ->toBe(0.0)
        ->and($during->present()->sodiumMg)
        ->toEqualWithDelta(30 * SODIUM_OF_SALT + 180, 0.1)
        ->and($after->present()->sodiumMg + $after->account(Account::Discarded)->sodiumMg)
        ->toEqualWithDelta(30 * SODIUM_OF_SALT + 180 + 30 * 77.2, 0.1)
        ->and($after->account(Account::Discarded)->sodiumMg)
        ->toBeGreaterThan(0.3 * 30 * SODIUM_OF_SALT);
});

it('lays timed rests out so that the end is the same', function (): void {
    $entries = [
        ...Kitchen::jarOfCarrots()->entries(),
        Soak::lasting(Seconds::ofHours(3)),
        new Salt(Kitchen::weighed(2), Phase::Brine),
        Soak::lasting(Seconds::ofHours(5))->called('rest'),
    ];
    $timetable = EntrySchedule::of($entries);
    $timed = (new Ledger($entries))->state();
    $laidOut = (new Ledger($timetable->lines))->asOf($timed->clock)->state();
    expect($timetable->seconds)
        ->toBe(3 * 3600.0)
        ->and($laidOut->phase(Phase::Pieces)->sodiumMg)
        ->toEqualWithDelta($timed->phase(Phase::Pieces)->sodiumMg, 1e-6);
});

it('uses a brine again, salted up, as much as the jar takes', function (): void {
    $old = Kitchen::food('old-brine', 96, 900);
    $solution = BenchSolution::from(
        onBench(Method::ReusedBrine, SaltTarget::strength(0.04, SaltBasis::BrineStrength), [
            'vegetableWeight' => null,
            'jars' => [quart()],
            'starter' => new Starter($old, Grams::zero()),
        ]),
    );
    $brine = $solution->work->starter?->grams->value ?? 0.0;
    $salt = ($brine * 9) / SODIUM_OF_SALT + $solution->salt->value;
    expect($brine)
        ->toBeGreaterThan(200)
        ->and($salt / ($salt + $brine * 0.96))
        ->toEqualWithDelta(0.04, 2e-4)
        ->and($solution->contents->share(SaltBasis::BrineStrength))
        ->toEqualWithDelta(0.04, 2e-4);
});

it('makes a condiment with another jar\'s brine stirred in', function (): void {
    $tomato = Kitchen::food('tomato-paste', 73.5, 59);
    $brine = Kitchen::food('brine', 96, 1100);
    $solution = BenchSolution::from(
        onBench(Method::CulturedCondiment, SaltTarget::amount(SaltBasis::OfEverything), [
            'vegetable' => $tomato->cut(PieceShape::Pulp),
            'vegetableWeight' => Grams::of(340),
            'alongside' => [new IngredientAmount(Kitchen::food('honey', 17, 4), Band::exact(40))],
            'starter' => new Starter($brine, Grams::of(60)),
        ]),
    );
    $sodium = 340 * 0.59 + 40 * 0.04 + 60 * 11;
    expect($solution->state->phase(Phase::Sauce)->sodiumMg)
        ->toEqualWithDelta($sodium, 1e-6)
        ->and($solution->serving()->band->typical)
        ->toEqualWithDelta(($sodium / 440) * 40, 0.01)
        ->and($solution->strength(SaltBasis::OfEverything))
        ->toEqualWithDelta((60 * 11) / SODIUM_OF_SALT / 440, 3e-5);
});

it('makes a sauce of a batch, keeping some brine, salted to a strength', function (): void {
    $batch = Kitchen::jarOfCarrots()->asOf(0.0);
    $input = onBench(Method::Transform, SaltTarget::strength(0.02, SaltBasis::OfEverything), [
        'source' => new BlendSource($batch, Grams::of(150), true),
        'alongside' => [new IngredientAmount(Kitchen::food('vinegar', 95, 2), Band::exact(50))],
    ]);
    $solution = BenchSolution::from($input);
    $before = $batch->state();
    $sauce = $solution->state->phase(Phase::Sauce);
    expect($sauce->saltFreeG())
        ->toEqualWithDelta(600 + (150 * 600) / 615 + 50 - (600 * 0.69) / SODIUM_OF_SALT, 0.5)
        ->and($sauce->sodiumMg / SODIUM_OF_SALT / $sauce->saltFreeG())
        ->toEqualWithDelta(0.02, 1e-4)
        ->and($solution->state->live)
        ->toBeFalse()
        ->and($solution->state->account(Account::Discarded)->sodiumMg)
        ->toEqualWithDelta($before->phase(Phase::Brine)->sodiumMg * (1 - 150 / 615), 1e-6);
});

it('fills a jar with kimchi as it is packed, not as it was cut', function (): void {
    $solution = BenchSolution::from(
        onBench(Method::KimchiSoaked, SaltTarget::strength(0.065, SaltBasis::OfWater), [
            'vegetable' => Kitchen::cabbage()->cut(PieceShape::Leaves),
            'vegetableWeight' => null,
            'jars' => [quart()],
            'isSqueezed' => true,
            'rinse' => Seconds::of(120),
            'paste' => [new IngredientAmount(Kitchen::food('paste', 70, 2000), Band::exact(80))],
        ]),
    );
    $room = $solution->input->row()?->usable()->value ?? 0.0;
    expect($solution->bulk()->value)
        ->toBeLessThanOrEqual($room)
        ->toBeGreaterThan($room * 0.99)
        ->and($solution->vegetable()->value)
        ->toBeGreaterThan($solution->input->row()?->foodThatFits(1.0, PieceShape::Leaves->packing())->value ?? INF);
});

it('eats a quick pickle on its second day in the fridge, saltier than when it went there', function (): void {
    $pickle = BenchSolution::from(
        onBench(Method::QuickSaltPickle, SaltTarget::strength(0.2, SaltBasis::OfWater), [
            'water' => Grams::of(600),
            'salting' => Seconds::ofHours(1.0),
        ]),
    );
    $pieces = fn(Ledger $ledger): float => $ledger->state()->phase(Phase::Pieces)->sodiumMg;
    expect($pieces($pickle->finished))
        ->toBeGreaterThan(1.2 * $pieces($pickle->ledger->asOf(3_600.0)))
        ->toBeLessThan($pieces($pickle->ledger->settled()));
});

it('warns below each method\'s floor and stays silent at its usual salt', function (Method $method): void {
    $more = [
        'water' => $method->hasPouredBrine() ? Grams::of(500) : null,
        'starter' =>
            $method === Method::ReusedBrine ? new Starter(Kitchen::food('old-brine', 96, 200), Grams::of(400)) : null,
        'paste' => $method->isDressed()
            ? [new IngredientAmount(Kitchen::food('paste', 70, 3900), Band::exact(120))]
            : [],
    ];
    $codes = fn(float $share): array => array_column(
        BenchAdvice::on(
            BenchSolution::from(
                onBench($method, SaltTarget::strength($share, $method->profile()->salting->basis), $more),
            ),
        ),
        'code',
    );
    expect($codes($method->profile()->salting->usual * 0.08))
        ->toContain('below_floor')
        ->and($codes($method->profile()->salting->usual))
        ->not->toContain('below_floor');
})->with(
    array_values(
        array_filter(
            Method::made(),
            fn(Method $method): bool => $method !== Method::Transform && $method !== Method::MilkAndSweet,
        ),
    ),
);

it('tells whether its figures are those at equilibrium', function (
    Method $method,
    SaltBasis $basis,
    float $share,
    bool $is,
): void {
    $solution = BenchSolution::from(
        onBench($method, SaltTarget::strength($share, $basis), ['water' => Grams::of(500)]),
    );
    expect($solution->isAtEquilibrium())->toBe($is);
})->with([
    [Method::PouredBrine, SaltBasis::OfWater, 0.03, true],
    [Method::DrySalting, SaltBasis::OfVegetable, 0.02, true],
    [Method::QuickSaltPickle, SaltBasis::OfWater, 0.2, false],
    [Method::Mash, SaltBasis::OfVegetable, 0.03, false],
]);
