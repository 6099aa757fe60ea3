<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Plan\Assignment;
use Tempesal\Core\Plan\Eater;
use Tempesal\Core\Plan\Feasibility;
use Tempesal\Core\Plan\Objective;
use Tempesal\Core\Plan\ObjectiveWeights;
use Tempesal\Core\Plan\Plan;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\ServingOption;

/*
 * Smaller portions in a plan: sizes of one offer share its stock, nobody gets two of them on a day, and whoever has little
 * room left gets the most that fits.
 */

/**
 * An offer in its sizes: the usual one first.
 *
 * @param  list<float>  $sizes  grams
 * @return list<ServingOption>
 */
function offerInSizes(
    int $place,
    string $id,
    float $mgPerGram,
    array $sizes,
    float $stock,
    int $eaters,
    int $days,
): array {
    return array_map(
        static fn(float $grams, int $at): ServingOption => new ServingOption(
            $at === 0 ? $id : "{$id} {$at}",
            $id,
            true,
            $id,
            $stock,
            0,
            1000,
            [0],
            array_fill(0, $eaters, array_fill(0, $days, $grams * $mgPerGram)),
            array_fill(0, $eaters, $grams),
            array_fill(0, $eaters, true),
            $at === 0 ? null : $place,
            array_fill(0, $eaters, 1.0 - $grams / $sizes[0]),
        ),
        $sizes,
        array_keys($sizes),
    );
}

/** @param  list<Eater>  $eaters  @param  list<ServingOption>  $options */
function weekOf(array $eaters, array $options, int $days, ?ObjectiveWeights $weights = null): PlanningProblem
{
    return new PlanningProblem($days, ['day'], 2, $eaters, $options, [], [], $weights ?? new ObjectiveWeights());
}

/** The best of everything that can be put down, tried one by one. */
function bestOfAll(PlanningProblem $problem): float
{
    $places = [];
    foreach (array_keys($problem->eaters) as $m) {
        for ($d = 0; $d < $problem->days; $d++) {
            foreach (array_keys($problem->options) as $i) {
                $places[] = new Assignment($m, $d, 0, $i);
            }
        }
    }
    $best = -INF;
    for ($set = 0; $set < 1 << count($places); $set++) {
        $chosen = [];
        foreach ($places as $bit => $place) {
            if (($set >> $bit) & 1) {
                $chosen[] = $place;
            }
        }
        if (Feasibility::trouble($problem, $chosen) === null) {
            $best = max($best, Objective::of($problem, $chosen));
        }
    }

    return $best;
}

it('offers three quarters, half and a quarter as one weighs them out', function (
    Phase $phase,
    float $usual,
    array $sizes,
    float $live,
): void {
    expect(PortionSize::of($phase)->sizes($usual))
        ->toBe($sizes)
        ->and(PortionSize::of($phase)->liveFrom($usual))
        ->toBe($live);
})->with([
    [Phase::Pieces, 40.0, [30.0, 20.0, 10.0], 10.0],
    [Phase::Pieces, 25.0, [20.0, 15.0], 10.0],
    [Phase::Pieces, 15.0, [10.0], 10.0],
    [Phase::Pieces, 10.0, [], 10.0],
    [Phase::Sauce, 17.0, [13.0, 9.0, 4.0], 5.0],
    [Phase::Sauce, 4.0, [3.0], 4.0],
    [Phase::Sauce, 125.0, [95.0, 65.0, 30.0], 30.0],
    [Phase::Brine, 60.0, [45.0, 30.0], 30.0],
]);

it('gives someone with sixty milligrams left a small portion every day', function (): void {
    // A limit of 1160 mg with 1100 mg of other food; carrots of 4.1 mg a gram, 40 g at a time: 10 g are 41 mg.
    $eater = new Eater('m', 'Mo', 1160.0, array_fill(0, 7, 60.0), true, array_fill(0, 7, 1));
    $plan = Planner::plan(weekOf([$eater], offerInSizes(0, 'carrots', 4.1, [40.0, 30.0, 20.0, 10.0], 400.0, 1, 7), 7));
    expect(array_map(static fn(Assignment $one): int => $one->day, $plan->assignments))->toBe(range(0, 6));
    foreach ($plan->assignments as $one) {
        expect($plan->problem->options[$one->option]->portion[0])->toBe(10.0);
    }
});

it('gives the usual portion wherever there is room for it', function (): void {
    $eater = new Eater('m', 'Mo', 2300.0, array_fill(0, 7, 900.0), false, array_fill(0, 7, 1));
    $plan = Planner::plan(weekOf([$eater], offerInSizes(0, 'kraut', 8.5, [25.0, 20.0, 15.0], 1000.0, 1, 7), 7));
    foreach ($plan->assignments as $one) {
        expect($plan->problem->options[$one->option]->offer)->toBeNull();
    }
});

it('shares a last jar out in smaller portions rather than let one go without', function (): void {
    $eater = static fn(string $id): Eater => new Eater($id, $id, 2000.0, [800.0], true, [1]);
    $options = offerInSizes(0, 'kraut', 8.5, [40.0, 30.0, 20.0, 10.0], 40.0, 2, 1);
    $plan = Planner::plan(weekOf([$eater('a'), $eater('b')], $options, 1));
    expect($plan->assignments)
        ->toHaveCount(2)
        ->and(Feasibility::trouble($plan->problem, $plan->assignments))
        ->toBeNull();
});

it('lets shortage fall on all alike where that is asked for', function (): void {
    // Two servings of stock, two eaters, two days: one each instead of two for one.
    $eater = static fn(string $id, float $target): Eater => new Eater($id, $id, $target, [800.0, 800.0], true, [1, 1]);
    $options = offerInSizes(0, 'kraut', 8.5, [40.0], 80.0, 2, 2);
    // The sodium of one counts for less, so that without fairness that one would get both.
    $plan = Planner::plan(
        weekOf([$eater('a', 1500.0), $eater('b', 4000.0)], $options, 2, new ObjectiveWeights(repeat: 0.0, fair: 20.0)),
    );
    $by = array_count_values(array_map(static fn(Assignment $one): int => $one->eater, $plan->assignments));
    expect($by)->toBe([0 => 1, 1 => 1]);
});

it('comes to the best of all that can be tried, sizes and fairness and all', function (int $seed): void {
    mt_srand($seed);
    $days = mt_rand(1, 2);
    $eaters = array_map(
        static fn(int $m): Eater => new Eater(
            "e{$m}",
            "e{$m}",
            1500.0,
            array_map(static fn(): float => (float) mt_rand(0, 400), range(1, $days)),
            mt_rand(0, 1) === 1,
            array_map(static fn(): int => mt_rand(0, 2), range(1, $days)),
        ),
        range(0, mt_rand(0, 1)),
    );
    $options = [
        ...offerInSizes(0, 'a', mt_rand(20, 90) / 10.0, [40.0, 20.0], mt_rand(20, 120), count($eaters), $days),
        ...offerInSizes(2, 'b', mt_rand(20, 90) / 10.0, [30.0], mt_rand(20, 120), count($eaters), $days),
    ];
    $problem = weekOf($eaters, $options, $days, new ObjectiveWeights(fair: 20.0));
    $plan = Planner::plan($problem);
    $best = bestOfAll($problem);
    expect(Feasibility::trouble($problem, $plan->assignments))
        ->toBeNull("seed {$seed}")
        ->and($plan->objective)
        ->toEqualWithDelta($best, 1e-6, "seed {$seed}")
        ->and($plan->bound)
        ->toBeGreaterThanOrEqual($best - 1e-6, "seed {$seed}");
})->with(fn(): array => array_map(static fn(): int => random_int(1, 1_000_000_000), range(1, 20)));

it('refuses two sizes of one offer on a day, and more of its sizes than there is', function (): void {
    $eater = new Eater('m', 'Mo', 2000.0, [900.0, 900.0], false, [1, 1]);
    $problem = weekOf([$eater], offerInSizes(0, 'kraut', 8.5, [40.0, 20.0], 50.0, 1, 2), 2);
    expect(Feasibility::trouble($problem, [new Assignment(0, 0, 0, 0), new Assignment(0, 0, 0, 1)])?->code)
        ->toBe('errors.plan_twice')
        ->and(Feasibility::trouble($problem, [new Assignment(0, 0, 0, 0), new Assignment(0, 1, 0, 1)])?->code)
        ->toBe('errors.plan_stock')
        ->and(Feasibility::trouble($problem, [new Assignment(0, 0, 0, 1), new Assignment(0, 1, 0, 1)]))
        ->toBeNull();
});

it('counts as a repeat what was had on the day before the week', function (): void {
    $eater = new Eater('m', 'Mo', 2000.0, [900.0], false, [1]);
    $options = [
        ...offerInSizes(0, 'kraut', 8.0, [40.0], 400.0, 1, 1),
        ...offerInSizes(1, 'beets', 8.1, [40.0], 400.0, 1, 1),
    ];
    $week = static fn(array $previous): array => array_map(
        static fn(Assignment $one): int => $one->option,
        Planner::plan(new PlanningProblem(1, ['day'], 1, [$eater], $options, [], [], new ObjectiveWeights(), $previous))
            ->assignments,
    );
    expect($week([]))
        ->toBe([0])
        ->and($week([0 => [0 => true]]))
        ->toBe([1])
        ->and($week([0 => [0 => true, 1 => true]]))
        ->toBe([0]);
});

/** A week of version 2 of the document, for one eater with little room. */
function portionedWeek(array $change = []): array
{
    return array_replace_recursive(
        [
            'tempesal' => 'plan',
            'version' => 2,
            'days' => 3,
            'eaters' => [['id' => 'ada', 'targetMg' => 1160, 'allowanceMg' => 60, 'hard' => true]],
            'offers' => [
                [
                    'id' => 'carrots',
                    'live' => true,
                    'stock' => 400,
                    'portions' => [40, 30, 20, 10],
                    'mgPerGram' => 4.1,
                ],
            ],
        ],
        $change,
    );
}

function plannedBy(array $document): Plan
{
    return Planner::plan(PlanningProblem::read(Fields::of($document)));
}

it('reads offers in sizes, and says the size of each cell', function (): void {
    $answer = plannedBy(portionedWeek())->toArray();
    expect($answer['version'])
        ->toBe(2)
        ->and($answer['cells'])
        ->toBe(
            array_map(
                static fn(int $day): array => [
                    'eater' => 'ada',
                    'day' => $day,
                    'meal' => 'day',
                    'offer' => 'carrots',
                    'portion' => 10.0,
                ],
                [0, 1, 2],
            ),
        )
        ->and($answer['days'][0]['sodiumMg'])
        ->toEqualWithDelta(41.0, 1e-9)
        ->and($answer['shortfalls'])
        ->toBe([]);
});

it('counts a size as live from so many grams on, for each eater by their own portions', function (): void {
    $small = plannedBy(portionedWeek(['offers' => [['liveFrom' => 15]]]))->toArray();
    expect($small['shortfalls'])->toHaveCount(3);
    $two = portionedWeek(['offers' => [['portionsBy' => ['bo' => [12, 6]]]]]);
    $two['eaters'][] = ['id' => 'bo', 'targetMg' => 2000, 'allowanceMg' => 900];
    $by = [];
    foreach (plannedBy($two)->toArray()['cells'] as $cell) {
        $by[$cell['eater']][] = $cell['portion'];
    }
    expect($by)->toBe(['ada' => [10.0, 10.0, 10.0], 'bo' => [12.0, 12.0, 12.0]]);
});

it('keeps a locked size, and repeats nothing of the day before', function (): void {
    $cell = ['eater' => 'ada', 'day' => 1, 'meal' => 'day', 'offer' => 'carrots', 'portion' => 30];
    $cells = plannedBy(portionedWeek(['locked' => [$cell]]))->toArray()['cells'];
    expect(array_column($cells, 'portion', 'day')[1])->toBe(30.0);
    $worth = static fn(array $previous): float => plannedBy(portionedWeek(['previous' => $previous]))->objective;
    expect($worth([]) - $worth([['eater' => 'ada', 'offer' => 'carrots']]))->toEqualWithDelta(3.0, 1e-9);
});

it('counts a wish once that is met, and lets one be for which there is no room', function (): void {
    $wish = static fn(array $more): array => ['eater' => 'ada', 'offers' => ['carrots'], 'worth' => 4, ...$more];
    $worth = static fn(array $wishes): float => plannedBy(portionedWeek(['wishes' => $wishes]))->objective;
    $without = $worth([]);
    expect($worth([$wish([])]) - $without)
        ->toEqualWithDelta(4.0, 1e-9)
        ->and($worth([$wish(['worth' => 0])]) - $without)
        ->toEqualWithDelta(0.0, 1e-9)
        ->and($worth([$wish([]), $wish([])]) - $without)
        ->toEqualWithDelta(8.0, 1e-9);
});

it('refuses sizes that make no sense, with the path of it', function (array $change, string $path): void {
    $document = portionedWeek();
    foreach ($change as $key => $value) {
        $key === 'offer'
            ? ($document['offers'][0] = [...$document['offers'][0], ...$value])
            : ($document[$key] = $value);
    }
    expect(fn() => plannedBy($document))->toThrow(fn(InvalidField $refusal) => expect($refusal->path)->toBe($path));
})->with([
    'a version to come' => [['version' => 3], 'version'],
    'none' => [['offer' => ['portions' => []]], 'offers[0].portions'],
    'five' => [['offer' => ['portions' => [50, 40, 30, 20, 10]]], 'offers[0].portions'],
    'one larger than the usual' => [['offer' => ['portions' => [20, 30]]], 'offers[0].portions'],
    'nothing of it' => [['offer' => ['portions' => [20, 0]]], 'offers[0].portions'],
    'more than salt holds' => [['offer' => ['mgPerGram' => 500]], 'offers[0].mgPerGram'],
    'a size that there is not' => [
        ['locked' => [['eater' => 'ada', 'day' => 0, 'meal' => 'day', 'offer' => 'carrots', 'portion' => 33]]],
        'locked[0].portion',
    ],
    'a wish of someone else' => [
        ['wishes' => [['eater' => 'cy', 'offers' => ['carrots'], 'worth' => 4]]],
        'wishes[0].eater',
    ],
    'a wish for what there is not' => [
        ['wishes' => [['eater' => 'ada', 'offers' => ['carrots', 'plums'], 'worth' => 4]]],
        'wishes[0].offers',
    ],
    'a wish that ends before it begins' => [
        ['wishes' => [['eater' => 'ada', 'offers' => ['carrots'], 'until' => -1, 'worth' => 4]]],
        'wishes[0].until',
    ],
    'a wish beyond all measure' => [
        ['wishes' => [['eater' => 'ada', 'offers' => ['carrots'], 'worth' => 20_000]]],
        'wishes[0].worth',
    ],
    'more wishes on a day than can be told apart' => [
        ['wishes' => array_fill(0, 15, ['eater' => 'ada', 'offers' => ['carrots'], 'worth' => 4])],
        'wishes',
    ],
    'someone else’s day before' => [['previous' => [['eater' => 'cy', 'offer' => 'carrots']]], 'previous[0].eater'],
]);
