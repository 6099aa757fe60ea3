<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Document\Scaling;
use Tempesal\Core\Formula\FormulaStep;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\KitchenPhrase;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Salt\SaltBasis;

function process(string $method, array $more): Fields
{
    return Fields::of(FoodTable::pantry()->fill(['kind' => 'process', 'method' => $method, ...$more], 'step'), 'step');
}

/** @return list<string> */
function kindsOf(Fields $step): array
{
    return array_map(fn($entry): string => $entry->toArray()['kind'], FormulaStep::expand($step));
}

function cabbage(float $grams): array
{
    return [['ingredient' => 'green-cabbage', 'grams' => $grams]];
}

it('carries a method out in the order of the work', function (string $method, array $more, array $kinds): void {
    expect(kindsOf(process($method, $more)))->toBe($kinds);
})->with([
    'dry salting' => [
        'dry_salting',
        ['vegetables' => cabbage(900), 'salt' => ['product' => 'pure', 'grams' => 20]],
        ['salt', 'add', 'draw', 'ferment'],
    ],
    'dry salting with a starter' => [
        'dry_salting',
        [
            'vegetables' => cabbage(900),
            'salt' => ['product' => 'pure', 'grams' => 20],
            'starter' => ['liquid' => 'whey', 'grams' => 30],
        ],
        ['salt', 'starter', 'add', 'draw', 'ferment'],
    ],
    'poured brine, some to spare' => [
        'poured_brine',
        [
            'vegetables' => cabbage(300),
            'water' => 400,
            'salt' => ['product' => 'pure', 'grams' => 12],
            'spare' => 0.1,
        ],
        ['add', 'salt', 'discard', 'add', 'draw', 'ferment'],
    ],
    'mash' => [
        'mash',
        ['vegetables' => cabbage(300), 'salt' => ['product' => 'pure', 'grams' => 9]],
        ['salt', 'add', 'ferment'],
    ],
    'kimchi, dry' => [
        'kimchi_dry_salted',
        [
            'vegetables' => cabbage(900),
            'salt' => ['product' => 'pure', 'grams' => 27],
            'paste' => [['ingredient' => 'garlic', 'grams' => 20]],
        ],
        ['salt', 'add', 'draw', 'rest', 'drain', 'rinse', 'squeeze', 'add', 'ferment'],
    ],
    'kimchi, soaked' => [
        'kimchi_soaked',
        [
            'vegetables' => cabbage(900),
            'water' => 1800,
            'salt' => ['product' => 'pure', 'grams' => 120],
        ],
        ['add', 'salt', 'add', 'draw', 'soak', 'drain', 'rinse', 'squeeze', 'ferment'],
    ],
    'salt and drain' => [
        'salt_and_drain',
        [
            'vegetables' => cabbage(400),
            'salt' => ['product' => 'pure', 'grams' => 8],
            'alongside' => [['ingredient' => 'sugar', 'grams' => 6]],
        ],
        ['salt', 'add', 'add', 'draw', 'rest', 'drain', 'ferment'],
    ],
    'quick pickle' => [
        'quick_salt_pickle',
        [
            'vegetables' => cabbage(300),
            'water' => 400,
            'salt' => ['product' => 'pure', 'grams' => 80],
            'soak' => ['hours' => 4],
            'freshen' => ['water' => 400, 'hours' => 1],
        ],
        ['add', 'salt', 'add', 'draw', 'soak', 'freshen', 'soak'],
    ],
    'condiment without salt' => [
        'cultured_condiment',
        [
            'base' => [['ingredient' => 'tomato-paste', 'grams' => 300]],
            'starter' => ['liquid' => 'kraut-juice', 'grams' => 60],
        ],
        ['add', 'starter', 'ferment'],
    ],
    'brine used again' => [
        'reused_brine',
        [
            'brine' => ['liquid' => 'kraut-juice', 'grams' => 200],
            'vegetables' => cabbage(200),
            'reSalt' => ['share' => 0.02],
        ],
        ['starter', 'add', 're_salt', 'draw', 'ferment'],
    ],
    'heated sauce' => [
        'transform',
        [
            'strain' => ['keep' => 50],
            'additions' => [['ingredient' => 'cider-vinegar', 'grams' => 60]],
            'salt' => ['product' => 'pure', 'grams' => 2],
            'heat' => true,
            'simmeredAway' => 30,
        ],
        ['drain', 'blend', 'add', 'salt', 'heat', 'evaporate'],
    ],
]);

it('works salt out of a share, on the basis that is named', function (array $salt, float $grams): void {
    $entries = FormulaStep::expand(
        process('poured_brine', [
            'vegetables' => cabbage(600),
            'water' => 400,
            'salt' => ['product' => 'pure', ...$salt],
        ]),
    );
    expect($entries[1]->dose->grams()->value)->toEqualWithDelta($grams, 1e-9);
})->with([
    'usual basis, the water' => [['share' => 0.03], 12.0],
    'of the water' => [['share' => 0.03, 'basis' => 'of_water'], 12.0],
    'of the vegetable' => [['share' => 0.03, 'basis' => 'of_vegetable'], 18.0],
    'of everything' => [['share' => 0.03, 'basis' => 'of_everything'], 30.0],
    'brine strength' => [['share' => 0.03, 'basis' => 'brine_strength'], 12.0 / 0.97],
    'weighed' => [['grams' => 7.5], 7.5],
]);

it('throws most of a soak\'s salt away and keeps the paste\'s', function (): void {
    $state = (new Ledger(
        FormulaStep::expand(
            process('kimchi_soaked', [
                'vegetables' => [['ingredient' => 'napa-cabbage', 'grams' => 900]],
                'water' => 1800,
                'salt' => ['product' => 'pure', 'grams' => 120],
                'paste' => [['ingredient' => 'fish-sauce', 'grams' => 40]],
            ]),
        ),
    ))->state();
    $salt = 120 * 393.372;
    expect($state->account(Account::Discarded)->sodiumMg / $salt)
        ->toBeGreaterThan(0.6)
        ->toBeLessThan(0.95)
        ->and($state->present()->sodiumMg)
        ->toBeGreaterThan(40 * 78.5);
});

it('discards the brine that was mixed to spare', function (): void {
    $more = ['vegetables' => cabbage(300), 'water' => 440, 'salt' => ['product' => 'pure', 'grams' => 11]];
    $state = (new Ledger(FormulaStep::expand(process('poured_brine', [...$more, 'spare' => 0.1]))))->state();
    expect($state->account(Account::Discarded)->weightG())
        ->toEqualWithDelta(451 / 11, 1e-9)
        ->and($state->phase(Phase::Brine)->brineStrength())
        ->toEqualWithDelta(11 / 451, 1e-9);
});

it('names what is missing from a process', function (string $method, array $more, string $path): void {
    expect(fn() => FormulaStep::expand(process($method, $more)))->toThrow(
        fn(InvalidField $refusal) => expect($refusal->path)->toBe($path),
    );
})->with([
    ['dry_salting', ['salt' => ['product' => 'pure', 'grams' => 3]], 'step.vegetables'],
    [
        'dry_salting',
        ['vegetables' => cabbage(0), 'salt' => ['product' => 'pure', 'grams' => 3]],
        'step.vegetables[0].grams',
    ],
    ['dry_salting', ['vegetables' => cabbage(500)], 'step.salt'],
    ['poured_brine', ['vegetables' => cabbage(500), 'salt' => ['product' => 'pure', 'grams' => 3]], 'step.water'],
    [
        'dry_salting',
        [
            'vegetables' => cabbage(500),
            'salt' => ['product' => 'pure', 'share' => 0.02, 'basis' => 'of_water'],
        ],
        'step.salt.basis',
    ],
    [
        'quick_salt_pickle',
        [
            'vegetables' => cabbage(500),
            'water' => 300,
            'salt' => ['product' => 'pure', 'grams' => 3],
            'soak' => ['celsius' => 20],
        ],
        'step.soak.hours',
    ],
    ['cultured_condiment', ['salt' => ['product' => 'pure', 'grams' => 3]], 'step.base'],
    ['reused_brine', ['vegetables' => cabbage(500)], 'step.brine'],
    ['transform', ['simmeredAway' => 40], 'step.simmeredAway'],
]);

it('multiplies amounts and leaves times, strengths and shares alone', function (): void {
    $step = [
        'kind' => 'process',
        'method' => 'kimchi_soaked',
        'vegetables' => [['ingredient' => 'napa-cabbage', 'grams' => ['low' => 800, 'typical' => 900, 'high' => 1000]]],
        'water' => 1800,
        'salt' => ['product' => 'pure', 'share' => 0.065],
        'salting' => ['hours' => 18, 'celsius' => 18],
        'squeeze' => ['tissueWater' => 0.1],
    ];
    $scaled = Scaling::of([$step], 1.5)[0];
    expect($scaled['vegetables'][0]['grams'])
        ->toEqual(['low' => 1200.0, 'typical' => 1350.0, 'high' => 1500.0])
        ->and($scaled['water'])
        ->toBe(2700.0)
        ->and($scaled['salt'])
        ->toBe($step['salt'])
        ->and($scaled['salting'])
        ->toBe($step['salting'])
        ->and($scaled['squeeze'])
        ->toBe($step['squeeze'])
        ->and(Scaling::of(Scaling::of([$step], 4.0), 0.25))
        ->toEqual([$step]);
});

it('lists what goes in, with the salt it comes to', function (): void {
    $lines = FormulaLine::ofStep(
        process('poured_brine', [
            'vegetables' => [['ingredient' => 'carrot', 'grams' => 480], ['ingredient' => 'garlic', 'grams' => 20]],
            'water' => 360,
            'salt' => ['product' => 'fine-sea', 'share' => 0.03],
            'starter' => ['liquid' => 'whey', 'grams' => 30],
        ]),
    );
    expect(
        array_map(fn(FormulaLine $line): array => [$line->part, $line->name, round($line->grams, 6)], $lines),
    )->toEqual([
        ['vegetables', 'carrot', 480.0],
        ['vegetables', 'garlic', 20.0],
        ['water', 'water', 360.0],
        ['salt', 'fine sea salt', 10.8],
        ['starter', 'sweet whey', 30.0],
    ]);
});

it('says amounts as kitchens without a scale do', function (
    float $grams,
    float $density,
    bool $pours,
    SpoonSystem $system,
    string $text,
): void {
    expect(said(KitchenPhrase::of(Grams::of($grams), $density, $system, $pours)))->toBe($text);
})->with([
    [473.2, 1.0, true, SpoonSystem::Us, '2 cups'],
    [355.0, 1.0, true, SpoonSystem::Us, '1 1/2 cups'],
    [177.4, 1.0, true, SpoonSystem::Us, '3/4 cup'],
    [500.0, 1.0, true, SpoonSystem::Metric, '2 cups'],
    [250.0, 1.0, true, SpoonSystem::Australian, '1 cup'],
    [14.8, 1.0, true, SpoonSystem::Us, '1 tbsp'],
    [20.0, 1.0, true, SpoonSystem::Australian, '1 tbsp'],
    [9.0, 0.61, true, SpoonSystem::Us, '1 tbsp'],
    [907.2, 1.0, false, SpoonSystem::Us, '2 lb'],
    [567.0, 1.0, false, SpoonSystem::Us, '1 lb 4 oz'],
    [57.0, 1.0, false, SpoonSystem::Us, '2 oz'],
    [8.0, 1.0, false, SpoonSystem::Us, '1/4 oz'],
    [900.0, 1.0, false, SpoonSystem::Metric, '900 g'],
    [4.25, 1.0, false, SpoonSystem::Metric, '4.3 g'],
]);
