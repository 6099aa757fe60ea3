<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Plan\Assignment;
use Tempesal\Core\Plan\Feasibility;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\Objective;
use Tempesal\Core\Plan\ServingOption;
use Tempesal\Core\Plan\DayPlate;
use Tempesal\Core\Plan\Plan;
use Tempesal\Core\Plan\Planner;

/**
 * A week of two eaters and three jars.
 *
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function week(array $change = []): array
{
    return [
        'tempesal' => 'plan',
        'version' => 1,
        'days' => 7,
        'meals' => ['noon', 'evening'],
        'eaters' => [
            ['id' => 'ada', 'name' => 'Ada', 'targetMg' => 1500, 'allowanceMg' => 400, 'hard' => true],
            ['id' => 'bo', 'name' => 'Bo', 'targetMg' => 2000, 'allowanceMg' => 700],
        ],
        'offers' => [
            ['id' => 'kraut', 'live' => true, 'group' => 'cabbage', 'stock' => 9, 'sodiumMg' => 290],
            ['id' => 'radish', 'live' => true, 'stock' => 6, 'sodiumMg' => 150, 'useBy' => 4],
            ['id' => 'ketchup', 'stock' => 5, 'sodiumMg' => 60, 'notFor' => ['bo']],
        ],
        ...$change,
    ];
}

function planned(array $week): Plan
{
    return Planner::plan(PlanningProblem::read(Fields::of($week)));
}

/** @return list<string> cells in words */
function inWords(Plan $plan): array
{
    return array_map(
        fn(array $assignment): string => "{$assignment['eater']} {$assignment['day']} {$assignment['offer']}",
        $plan->toArray()['cells'],
    );
}

it('reckons the objective as it is written down', function (): void {
    $problem = PlanningProblem::read(
        Fields::of(
            week([
                'days' => 2,
                'eaters' => [['id' => 'bo', 'targetMg' => 2000, 'allowanceMg' => [300, 100], 'liveGoal' => 2]],
            ]),
        ),
    );
    // Kraut on both days and radish, that keeps until day 4, on the second; by hand.
    $assignments = [new Assignment(0, 0, 0, 0), new Assignment(0, 1, 0, 0), new Assignment(0, 1, 1, 1)];
    $urgency = 2 * (1 - 3 / 14);
    $expected = $urgency - 100 * 1 + 10 * 2 - 3 - 0.02 * (440 - 100) - (0.2 * (290 + 440)) / 2000;
    expect(Objective::of($problem, $assignments))->toEqualWithDelta($expected, 1e-9);
});

it('gives the same week for the same document, and says how far from the best it can be', function (): void {
    $plan = planned(week());
    expect($plan->toArray())
        ->toBe(planned(week())->toArray())
        ->and($plan->bound)
        ->toBeGreaterThanOrEqual($plan->objective)
        ->and($plan->gap())
        ->toBeLessThan(0.1)
        ->and($plan->objective)
        ->toEqualWithDelta(Objective::of($plan->problem, $plan->assignments), 1e-9);
});

it('leaves locked cells where they are, even past a hard limit, and adds nothing to them then', function (): void {
    $locked = [
        ['eater' => 'ada', 'day' => 2, 'meal' => 'noon', 'offer' => 'kraut'],
        ['eater' => 'ada', 'day' => 2, 'meal' => 'evening', 'offer' => 'radish'],
    ];
    $plan = planned(week(['locked' => $locked]));
    $assignments = array_values(
        array_filter(
            $plan->toArray()['cells'],
            fn(array $assignment): bool => $assignment['eater'] === 'ada' && $assignment['day'] === 2,
        ),
    );
    expect($assignments)->toBe($locked)->and(Feasibility::trouble($plan->problem, $plan->assignments))->toBeNull();
});

it('keeps what was planned before where little is lost by it', function (): void {
    $first = planned(week());
    $before = $first->toArray()['cells'];
    $changed = week(['before' => $before]);
    $changed['offers'][0]['stock'] = 8;
    $again = planned($changed);
    $kept = array_intersect(inWords($first), inWords($again));
    expect(count($kept))->toBeGreaterThanOrEqual(count($before) - 2);
});

it('says in words why a day falls short', function (array $change, string $reason): void {
    $shortfalls = planned(week($change))->toArray()['shortfalls'];
    expect(array_map(said(...), array_column($shortfalls, 'reason')))->toContain($reason);
})->with([
    'nothing there' => [
        ['offers' => []],
        'Nothing live is on the shelf. Yogurt is ready in eight hours, kefir in a day; a live jar from a shop is ready at once.',
    ],
    'nothing ready' => [
        ['offers' => [['id' => 'i', 'live' => true, 'stock' => 9, 'sodiumMg' => 100, 'from' => 3]]],
        'Nothing live is ready or still good that day. Yogurt is ready in eight hours, kefir in a day; a live jar from a shop is ready at once.',
    ],
    'not for them' => [
        ['offers' => [['id' => 'i', 'live' => true, 'stock' => 9, 'sodiumMg' => 100, 'notFor' => ['bo']]]],
        'The live jars that are ready are not for Bo.',
    ],
    'used up' => [
        ['offers' => [['id' => 'i', 'live' => true, 'stock' => 3, 'sodiumMg' => 100]]],
        'The live jars that are ready are used up by other servings. Start another one, or take smaller portions.',
    ],
    'too much salt' => [
        ['offers' => [['id' => 'i', 'live' => true, 'stock' => 20, 'sodiumMg' => 450]]],
        '400 mg are left after other food, and no live serving fits: the smallest has 450 mg. Water kefir and kombucha hold hardly any sodium.',
    ],
    'all of it' => [
        [
            'offers' => [['id' => 'i', 'live' => true, 'stock' => 20, 'sodiumMg' => 100]],
            'eaters' => [['id' => 'bo', 'targetMg' => 2000, 'allowanceMg' => 700, 'liveGoal' => 2]],
        ],
        'Every live jar that is ready is already served.',
    ],
]);

it('fills one plate as trying every set would', function (): void {
    $lot = 7;
    $draw = function (int $below) use (&$lot): int {
        $lot = ($lot * 48_271) % 2_147_483_647;

        return $lot % $below;
    };
    foreach (range(1, 60) as $_) {
        $candidates = array_map(
            fn(int $i): array => [($draw(400) - 150) / 20, 50.0 + $draw(300), $draw(2), $i, false, $i],
            range(0, 7),
        );
        [$goal, $room, $allowance] = [$draw(3), 1 + $draw(4), (float) ($draw(700) - 100)];
        $limit = $draw(2) === 0 ? INF : max(0.0, $allowance);
        $over = $limit === INF ? 0.02 : 0.0;
        $best = -INF;
        for ($set = 0; $set < 256; $set++) {
            $chosen = array_filter($candidates, fn(array $one): bool => (($set >> $one[3]) & 1) === 1);
            $sodium = array_sum(array_column($chosen, 1));
            if (count($chosen) > $room || $sodium > $limit + 1e-9) {
                continue;
            }
            $short = max(0, $goal - array_sum(array_column($chosen, 2)));
            $best = max(
                $best,
                array_sum(array_column($chosen, 0)) - 100 * $short - $over * max(0.0, $sodium - $allowance),
            );
        }
        [$worth] = (new DayPlate($candidates, $room, $goal, 100.0, $over, $allowance, $limit))->best();
        expect($worth)->toEqualWithDelta($best, 1e-9);
    }
});

it('refuses what makes no sense, with the path of it', function (array $change, string $path): void {
    $week = array_replace_recursive(week(), $change);
    try {
        PlanningProblem::read(Fields::of($week));
        $at = null;
    } catch (InvalidField $refusal) {
        $at = $refusal->path;
    }
    expect($at)->toBe($path);
})->with([
    [['tempesal' => 'formula'], 'tempesal'],
    [['version' => 3], 'version'],
    [['days' => 0], 'days'],
    [['days' => 400], 'days'],
    [['meals' => ['noon', 'noon']], 'meals'],
    [['eaters' => [['targetMg' => 0]]], 'eaters[0].targetMg'],
    [['eaters' => [['allowanceMg' => [1, 2]]]], 'eaters[0].allowanceMg'],
    [['eaters' => [1 => ['id' => 'ada']]], 'eaters'],
    [['offers' => [['stock' => -1]]], 'offers[0].stock'],
    [['offers' => [['portion' => 0]]], 'offers[0].portion'],
    [['offers' => [['meals' => ['midnight']]]], 'offers[0].meals'],
    [['offers' => [['from' => 0.5]]], 'offers[0].from'],
    [['locked' => [['eater' => 'zoe', 'day' => 0, 'meal' => 'noon', 'offer' => 'kraut']]], 'locked[0].eater'],
    [['locked' => [['eater' => 'bo', 'day' => 0, 'meal' => 'noon', 'offer' => 'ketchup']]], 'locked'],
    [['weights' => ['repeat' => -1]], 'weights.repeat'],
]);

it('answers too many eaters in a sentence, and no jars with an empty week', function (): void {
    $many = array_map(fn(int $n): array => ['id' => "m{$n}", 'targetMg' => 1500, 'allowanceMg' => 300], range(1, 40));
    expect(fn() => PlanningProblem::read(Fields::of(week(['eaters' => $many]))))
        ->toThrow(fn(InvalidField $no) => expect(said($no->explanation()))->toContain('at most 12'))
        ->and(planned(week(['offers' => []]))->assignments)
        ->toBe([]);
});

/**
 * A week made up from a number: eaters with hard and soft limits, jars that come and go, some of it locked.
 *
 * @return array<string, mixed>
 */
function madeUp(int $seed): array
{
    $lot = $seed * 7919 + 1;
    $draw = function (int $below) use (&$lot): int {
        $lot = ($lot * 48_271) % 2_147_483_647;

        return $lot % $below;
    };
    $meals = array_slice(['morning', 'noon', 'evening'], 0, 1 + $draw(3));
    $eaters = array_map(
        fn(int $m): array => [
            'id' => "m{$m}",
            'targetMg' => 1200 + 100 * $draw(10),
            'allowanceMg' => array_map(fn(): int => $draw(800) - 100, range(0, 4)),
            'hard' => $draw(2) === 0,
            'liveGoal' => 1 + $draw(2),
        ],
        range(0, $draw(3)),
    );
    $options = array_map(
        fn(int $i): array => [
            'id' => "i{$i}",
            'live' => $draw(4) > 0,
            'group' => 'g' . $draw(3),
            'stock' => $draw(8),
            'from' => $draw(3) - 1,
            'useBy' => 2 + $draw(9),
            'sodiumMg' => 40 + 20 * $draw(18),
            'meals' => array_values(array_filter($meals, fn(): bool => $draw(3) > 0)) ?: [$meals[0]],
            'portion' => 1 + $draw(2) / 2,
            'notFor' => $draw(4) === 0 ? ['m0'] : [],
        ],
        range(0, 2 + $draw(6)),
    );
    $week = [
        'tempesal' => 'plan',
        'days' => 5,
        'meals' => $meals,
        'perMeal' => 1 + $draw(2),
        'eaters' => $eaters,
        'offers' => $options,
    ];
    // One cell of a first plan is locked, so that it can be kept.
    $first = planned($week)->toArray()['cells'];

    return $first === [] ? $week : [...$week, 'locked' => [$first[$draw(count($first))]]];
}

it('never breaks what must not be broken, whatever the week', function (int $seed): void {
    $week = madeUp($seed);
    $plan = planned($week);
    $assignments = $plan->toArray()['cells'];
    expect(Feasibility::trouble($plan->problem, $plan->assignments))
        ->toBeNull()
        ->and($plan->bound)
        ->toBeGreaterThanOrEqual($plan->objective - 1e-6);
    foreach ($week['locked'] ?? [] as $locked) {
        expect($assignments)->toContain($locked);
    }
    // Reckoned once more from the document alone.
    $used = $sodium = [];
    foreach ($assignments as $assignment) {
        $option = $week['offers'][(int) substr($assignment['offer'], 1)];
        $eater = $week['eaters'][(int) substr($assignment['eater'], 1)];
        $used[$option['id']] = ($used[$option['id']] ?? 0) + $option['portion'];
        $at = "{$assignment['eater']} {$assignment['day']}";
        $sodium[$at] = ($sodium[$at] ?? 0) + $option['sodiumMg'];
        expect($option['notFor'])
            ->not->toContain($assignment['eater'])
            ->and($used[$option['id']])
            ->toBeLessThanOrEqual($option['stock'])
            ->and($assignment['day'])
            ->toBeGreaterThanOrEqual($option['from'])
            ->toBeLessThanOrEqual($option['useBy']);
        if ($eater['hard']) {
            expect($sodium[$at])->toBeLessThanOrEqual(max(0, $eater['allowanceMg'][$assignment['day']]));
        }
    }
    // Every day that is short says so.
    $short = array_filter($plan->toArray()['days'], fn(array $day): bool => $day['live'] < $day['liveGoal']);
    expect($plan->toArray()['shortfalls'])->toHaveCount(count($short));
})->with(range(1, 30));

/** No serving that could be left out or put down as well makes a week better. */
function expectUnbeaten(Plan $plan): void
{
    $problem = $plan->problem;
    foreach ($plan->assignments as $at => $_) {
        $without = $plan->assignments;
        unset($without[$at]);
        if (!in_array($plan->assignments[$at], $problem->locked, false)) {
            expect(Objective::of($problem, array_values($without)))->toBeLessThanOrEqual($plan->objective + 1e-9);
        }
    }
    foreach ($problem->eaters as $m => $_) {
        foreach (range(0, 4) as $d) {
            foreach ($problem->options as $i => $option) {
                foreach ($option->meals as $meal) {
                    $with = [...$plan->assignments, new Assignment($m, $d, $meal, $i)];
                    if (Feasibility::trouble($problem, $with) === null) {
                        expect(Objective::of($problem, $with))->toBeLessThanOrEqual($plan->objective + 1e-9);
                    }
                }
            }
        }
    }
}

it('is not beaten by any small change of its own week', function (): void {
    foreach (range(1, 8) as $seed) {
        expectUnbeaten(planned(madeUp($seed)));
    }
});

it('thanks for no variety in what brings no culture', function (): void {
    foreach (range(1, 8) as $seed) {
        $week = PlanningProblem::read(Fields::of(madeUp($seed)));
        $options = array_map(
            fn(ServingOption $one): ServingOption => $one->isLive
                ? $one
                : new ServingOption(
                    $one->id,
                    $one->name,
                    false,
                    ServingOption::NO_CULTURE,
                    $one->stock,
                    $one->from,
                    $one->useBy,
                    $one->meals,
                    $one->sodium,
                    $one->portion,
                    $one->isFor,
                ),
            $week->options,
        );
        $plan = Planner::plan(
            new PlanningProblem(
                $week->days,
                $week->meals,
                $week->perMeal,
                $week->eaters,
                $options,
                $week->locked,
                [],
                $week->weights,
            ),
        );
        expect(Feasibility::trouble($plan->problem, $plan->assignments))
            ->toBeNull()
            ->and($plan->objective)
            ->toEqualWithDelta(Objective::of($plan->problem, $plan->assignments), 1e-9)
            ->and($plan->bound)
            ->toBeGreaterThanOrEqual($plan->objective - 1e-6);
        expectUnbeaten($plan);
    }
});
