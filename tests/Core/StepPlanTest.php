<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Making\Stage;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\Processes;
use Tests\Support\Kitchen;

/** @return list<array<string, mixed>> foods by weight */
function ingredientsOf(array $grams): array
{
    return array_map(
        fn(string $name, float $g): array => [
            'ingredient' => [
                'id' => $name,
                'name' => $name,
                'waterPer100g' => $name === 'oil' ? 0 : 90,
                'sodiumPer100g' => 20,
                'shape' => $name === 'garlic' ? 'whole' : 'sticks',
                ...$name === 'vinegar' ? ['traits' => ['liquid']] : [],
                ...$name === 'egg' ? ['allergens' => ['egg']] : [],
            ],
            'grams' => $g,
        ],
        array_keys($grams),
        array_values($grams),
    );
}

function saltOf(float $grams): array
{
    return ['product' => Kitchen::pureSalt()->toArray(), 'grams' => $grams];
}

/** @param  array<string, mixed>  $process */
function planOf(string $method, array $process, ?Seconds $standsFor = null): StepPlan
{
    $entries = Processes::read(Fields::of(['kind' => 'process', 'method' => $method, ...$process]))->entries();

    return StepPlan::of(Method::from($method), $entries, $standsFor);
}

/** @return list<string> each step, with the hours that come before it */
function stepsOf(StepPlan $plan): array
{
    return array_map(
        fn(Step $step): string => ($step->after->value > 0.0
            ? rtrim(rtrim(number_format($step->after->value / 3600.0, 2), '0'), '.') . ' h, '
            : '') . $step->kind->value,
        $plan->steps,
    );
}

dataset('makings in steps', [
    'kraut' => [
        'dry_salting',
        ['vegetables' => ingredientsOf(['cabbage' => 1000.0]), 'salt' => saltOf(22.0)],
        ['clean', 'salt', '0.08 h, massage', '0.5 h, pack'],
        [Stage::Begun, Stage::Salting, Stage::Salting, Stage::Working],
    ],
    'sticks under brine' => [
        'poured_brine',
        ['vegetables' => ingredientsOf(['carrot' => 600.0, 'vinegar' => 30.0]), 'water' => 600, 'salt' => saltOf(15.0)],
        ['clean', 'dissolve', 'pack', 'pour'],
        [Stage::Begun, Stage::Begun, Stage::Working, Stage::Working],
    ],
    'mash' => [
        'mash',
        ['vegetables' => ingredientsOf(['chilli' => 700.0]), 'salt' => saltOf(21.0)],
        ['clean', 'salt', 'pack'],
        [Stage::Begun, Stage::Salting, Stage::Working],
    ],
    'kimchi, soaked' => [
        'kimchi_soaked',
        [
            'vegetables' => ingredientsOf(['cabbage' => 900.0]),
            'water' => 1800,
            'salt' => saltOf(120.0),
            'salting' => ['hours' => 20],
            'paste' => ingredientsOf(['radish' => 200.0, 'vinegar' => 30.0]),
        ],
        ['clean', 'dissolve', 'soak', '20 h, drain', 'rinse', 'squeeze', 'dress', 'pack'],
        [
            Stage::Begun,
            Stage::Begun,
            Stage::Soaking,
            Stage::Draining,
            Stage::Draining,
            Stage::Draining,
            Stage::Dressing,
            Stage::Working,
        ],
    ],
    'a salted side dish' => [
        'salt_and_drain',
        [
            'vegetables' => ingredientsOf(['cucumber' => 500.0]),
            'salt' => saltOf(15.0),
            'paste' => ingredientsOf(['garlic' => 10.0]),
        ],
        ['clean', 'salt', '1 h, drain', 'dress', 'pack'],
        [Stage::Begun, Stage::Salting, Stage::Draining, Stage::Dressing, Stage::Working],
    ],
    'a quick pickle' => [
        'quick_salt_pickle',
        ['vegetables' => ingredientsOf(['radish' => 500.0]), 'water' => 400, 'salt' => saltOf(60.0)],
        ['clean', 'dissolve', 'pack', 'pour', '4 h, chill'],
        [Stage::Begun, Stage::Begun, Stage::Working, Stage::Working, Stage::Cold],
    ],
]);

it('is made in steps', function (string $method, array $process, array $steps, array $stages): void {
    $plan = planOf($method, $process);
    expect(stepsOf($plan))
        ->toBe($steps)
        ->and(array_map(fn(Step $step): Stage => $step->kind->stage(), $plan->steps))
        ->toBe($stages);
})->with('makings in steps');

it('lets an egg emulsion stand for its hours, and nothing else', function (): void {
    $base = ['base' => ingredientsOf(['egg' => 50.0, 'oil' => 200.0])];
    expect(stepsOf(planOf('cultured_condiment', $base, Seconds::ofHours(8.0))))
        ->toBe(['clean', 'mix', '8 h, chill'])
        ->and(stepsOf(planOf('cultured_condiment', $base)))
        ->toBe(['clean', 'mix'])
        ->and(StepKind::Mix->stage()->isFood())
        ->toBeFalse();
});

// By hand: 1000 g of cabbage with 20 g of pure salt, 39.34 % sodium, half now and half later.
it('salts in two halves', function (): void {
    $plan = planOf('dry_salting', [
        'vegetables' => ingredientsOf(['cabbage' => 1000.0]),
        'salt' => saltOf(20.0),
    ])->saltedTwice();
    expect(stepsOf($plan))->toBe(['clean', 'salt', '0.5 h, salt_again', '0.5 h, pack']);
    $doses = [];
    foreach ($plan->steps as $step) {
        foreach ($step->entries as $entry) {
            if ($entry instanceof Salt) {
                $doses[] = $entry->dose->gramsAt(Point::typical());
            }
        }
    }
    expect($doses)->toEqualWithDelta([10.0, 10.0], 1e-9);
});

it('takes what the scale says for what was planned', function (): void {
    $step = planOf('dry_salting', ['vegetables' => ingredientsOf(['cabbage' => 1000.0]), 'salt' => saltOf(20.0)])
        ->steps[1];
    $weighed = $step->weighing([0 => Grams::of(23.5)]);
    expect($weighed->entries[0])
        ->toBeInstanceOf(Salt::class)
        ->and($weighed->entries[0]->dose->gramsAt(Point::typical()))
        ->toBe(23.5)
        ->and(count($weighed->entries))
        ->toBe(count($step->entries));
});

it('is written down and read again', function (string $method, array $process): void {
    foreach (planOf($method, $process)->steps as $step) {
        $document = json_decode(json_encode($step->toArray(), JSON_PRESERVE_ZERO_FRACTION), true);
        expect(Step::read(Fields::of($document))->toArray())->toEqual($step->toArray());
    }
})->with('makings in steps');

it('comes to the same as the whole making, each step when it is due', function (string $method, array $process): void {
    $plan = planOf($method, $process);
    $whole = new Ledger(
        array_values(Processes::read(Fields::of(['kind' => 'process', 'method' => $method, ...$process]))->entries()),
    );
    $until = $plan->secondsInAll() + 1.0;
    $inSteps = (new Ledger($plan->lines()))->asOf($until)->state();
    $at = new Ledger([...\Tempesal\Core\Ledger\EntrySchedule::of($whole->entries())->lines]);
    foreach ([Phase::Pieces, Phase::Brine, Phase::Sauce] as $phase) {
        expect($inSteps->phase($phase)->sodiumMg)->toEqualWithDelta(
            $at->asOf($until)->state()->phase($phase)->sodiumMg,
            // A quick pickle has been in the cold for a second.
            0.05,
        );
    }
})->with('makings in steps');

it('makes every formula of the library in steps, the last of which makes it food', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $formula = Formula::read($document, FoodTable::pantry());
        $steps = $formula->steps()->steps;
        $entries = array_merge(...array_map(fn(Step $step): array => $step->entries, $steps));
        expect($steps[0]->kind)
            ->toBe($formula->method === Method::Transform ? StepKind::Sterilise : StepKind::Clean)
            ->and(count($entries))
            ->toBeGreaterThanOrEqual(count($formula->entries()), $formula->name)
            ->and(array_filter($steps, fn(Step $step): bool => $step->kind->stage()->isFood()) === [])
            ->toBe($formula->method->isMixed() && end($steps)->kind === StepKind::Mix);
    }
});

/*
 * 10,000 histories with several kinds of pieces: steps done late, early, out of order, left out, done twice; something
 * eaten in between. Whatever happens, sodium that came in is in the jar or has left it.
 */
it('loses no sodium, whatever order and delay its steps have', function (): void {
    $seed = 20261130;
    $chance = new Randomizer(new Mt19937($seed));
    $plans = array_map(fn(array $making): StepPlan => planOf(...$making), [
        [
            'kimchi_soaked',
            [
                'vegetables' => [
                    [
                        'ingredient' => Kitchen::cabbage()
                            ->inParts([
                                new Tempesal\Core\Produce\CutShare(Tempesal\Core\Produce\PieceShape::Leaf, 0.55),
                                new Tempesal\Core\Produce\CutShare(Tempesal\Core\Produce\PieceShape::Ribs, 0.45),
                            ])
                            ->toArray(),
                        'grams' => 900,
                    ],
                ],
                'water' => 1800,
                'salt' => saltOf(120.0),
                'paste' => ingredientsOf(['radish' => 200.0, 'garlic' => 30.0, 'vinegar' => 40.0]),
            ],
        ],
        [
            'poured_brine',
            [
                'vegetables' => ingredientsOf(['carrot' => 500.0, 'garlic' => 40.0]),
                'water' => 500,
                'salt' => saltOf(15.0),
            ],
        ],
        [
            'quick_salt_pickle',
            [
                'vegetables' => ingredientsOf(['radish' => 400.0, 'garlic' => 20.0]),
                'water' => 400,
                'salt' => saltOf(60.0),
            ],
        ],
        [
            'salt_and_drain',
            [
                'vegetables' => ingredientsOf(['cucumber' => 500.0, 'garlic' => 30.0]),
                'salt' => saltOf(15.0),
                'paste' => ingredientsOf(['radish' => 60.0, 'vinegar' => 30.0]),
            ],
        ],
    ]);
    $done = 0;
    for ($history = 0; $history < 10_000; $history++) {
        $steps = $plans[$history % count($plans)]->steps;
        $lines = [];
        $at = 0.0;
        $order = $chance->getInt(0, 3) === 0 ? $chance->shuffleArray($steps) : $steps;
        foreach ($order as $step) {
            if ($chance->getInt(0, 5) === 0) {
                continue;
            }
            $at += ($step->after->value * $chance->getInt(0, 40)) / 10.0 + $chance->getInt(0, 3_000);
            foreach ($chance->getInt(0, 19) === 0 ? [...$step->entries, ...$step->entries] : $step->entries as $entry) {
                $lines[] = new LedgerLine($entry, $at);
            }
            if ($chance->getInt(0, 9) === 0) {
                $lines[] = new LedgerLine(Serve::of(Served::All, Grams::of($chance->getInt(1, 60))), $at);
            }
        }
        try {
            $state = (new Ledger($lines))->asOf($at + $chance->getInt(0, 900_000))->state();
        } catch (NotEnough) {
            continue;
        }
        $done++;
        expect(abs($state->sodiumAstray()))->toBeLessThan(1e-3, "seed {$seed}, history {$history}");
        $kinds = array_sum(array_map(fn($kind): float => $kind->masses->sodiumMg, $state->kinds()));
        expect($kinds)->toEqualWithDelta($state->phase(Phase::Pieces)->sodiumMg, 1e-3, "history {$history}");
    }
    expect($done)->toBeGreaterThan(7_000);
});
