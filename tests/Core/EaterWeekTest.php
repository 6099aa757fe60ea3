<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Plan\Assignment;
use Tempesal\Core\Plan\CodedWeeks;
use Tempesal\Core\Plan\DayPlate;
use Tempesal\Core\Plan\Eater;
use Tempesal\Core\Plan\EaterWeek;
use Tempesal\Core\Plan\Feasibility;
use Tempesal\Core\Plan\Objective;
use Tempesal\Core\Plan\ObjectiveWeights;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\ServingOption;
use Tempesal\Core\Plan\StockCode;
use Tempesal\Core\Plan\Wish;

/**
 * A week of one eater, by chance: few enough places that every way to fill them can be tried.
 */
function smallWeekByChance(int $seed, ?float $stock = null): PlanningProblem
{
    mt_srand($seed);
    $days = mt_rand(2, 3);
    $eater = new Eater(
        'a',
        'A',
        1500.0,
        array_map(static fn(): float => (float) mt_rand(-100, 500), range(1, $days)),
        mt_rand(0, 1) === 1,
        array_map(static fn(): int => mt_rand(0, 2), range(1, $days)),
    );
    $options = [];
    foreach (range(0, mt_rand(1, 3)) as $i) {
        $options[] = new ServingOption(
            "i{$i}",
            "i{$i}",
            mt_rand(1, 4) > 1,
            mt_rand(1, 4) > 1 ? 'g' . mt_rand(0, 2) : ServingOption::NO_CULTURE,
            $stock ?? (float) (1 + (($seed + $i) % 3)),
            mt_rand(0, 1),
            mt_rand(1, 16),
            mt_rand(1, 3) === 1 ? [0] : [0, 1],
            [array_map(static fn(): float => (float) mt_rand(30, 260), range(1, $days))],
            [[0.5, 1.0][mt_rand(0, 1)]],
            [true],
        );
    }
    $previous = mt_rand(0, 1) === 1 ? [0 => [0 => true]] : [];
    $wishes = [];
    for ($i = 0; $i < mt_rand(0, 3); $i++) {
        $from = mt_rand(0, $days - 1);
        $wishes[] = new Wish(
            0,
            range($from, mt_rand($from, $days - 1)),
            [mt_rand(0, count($options) - 1), 0],
            mt_rand(2, 30) / 2.0,
        );
    }

    return new PlanningProblem(
        $days,
        ['noon', 'evening'],
        1,
        [$eater],
        $options,
        [],
        [],
        new ObjectiveWeights(),
        $previous,
        wishes: $wishes,
    );
}

/** One eater for two days, with offers in sizes, of which there may be too little. */
function weekInSizes(int $seed, ?float $stock = null): PlanningProblem
{
    mt_srand($seed);
    $offer = static fn(string $id): array => [
        'id' => $id,
        'live' => true,
        'stock' => mt_rand(20, 90) + ($stock ?? 0.0),
        'portions' => [40, 30, 20, 10],
        'mgPerGram' => mt_rand(1, 60) / 10.0,
        'urgency' => mt_rand(0, 10),
    ];

    return PlanningProblem::read(
        Fields::of([
            'tempesal' => 'plan',
            'version' => 2,
            'days' => 2,
            'meals' => ['noon', 'evening'],
            'perMeal' => 1,
            'eaters' => [['id' => 'a', 'targetMg' => 1500, 'allowanceMg' => mt_rand(60, 500), 'hard' => true]],
            'offers' => [$offer('one'), $offer('other')],
        ]),
    );
}

/**
 * Every way to fill it that breaks nothing but the stock.
 *
 * @return list<list<Assignment>>
 */
function waysOf(PlanningProblem $ample): array
{
    $ofDay = [];
    for ($d = 0; $d < $ample->days; $d++) {
        $ofDay[$d] = [];
        foreach ([null, ...array_keys($ample->options)] as $noon) {
            foreach ([null, ...array_keys($ample->options)] as $evening) {
                $plate = [];
                foreach ([$noon, $evening] as $meal => $i) {
                    $i === null ?: ($plate[] = new Assignment(0, $d, $meal, $i));
                }
                if (Feasibility::trouble($ample, $plate) === null) {
                    $ofDay[$d][] = $plate;
                }
            }
        }
    }
    $ways = [[]];
    foreach ($ofDay as $plates) {
        $longer = [];
        foreach ($ways as $way) {
            foreach ($plates as $plate) {
                $longer[] = [...$way, ...$plate];
            }
        }
        $ways = $longer;
    }

    return $ways;
}

it('finds the best week of an eater at any prices, as trying all of them does', function (): void {
    $seed = random_int(1, 1_000_000_000);
    foreach (range(0, 39) as $n) {
        $week = smallWeekByChance($seed + $n);
        $price = array_map(static fn(): float => mt_rand(0, 40) / 2.0, $week->options);
        $best = -INF;
        foreach (waysOf(smallWeekByChance($seed + $n, 1000.0)) as $way) {
            $worth = Objective::of($week, $way);
            foreach ($way as $one) {
                $worth -= $price[$one->option] * $week->options[$one->option]->portion[0];
            }
            $best = max($best, $worth);
        }
        $mine = new EaterWeek($week, 0);
        [$least] = $mine->relaxed($price, 0.0, $best - 20.0, 4);
        [$bound, $weeks] = $mine->best($price, 0.0, $best - 20.0);
        $found = $mine->week($weeks[0]);
        expect($least)
            ->toBeGreaterThan($best - 1e-6, "seed {$seed}, week {$n}")
            ->and($bound)
            ->toEqualWithDelta($best, 1e-6, "seed {$seed}, week {$n}")
            ->and($found->priced($price, 0.0))
            ->toEqualWithDelta($best, 1e-6, "seed {$seed}, week {$n}");
    }
});

it('finds it too where one wish follows another, and only what is as good is looked for', function (): void {
    $seed = random_int(1, 1_000_000_000);
    foreach (range(0, 59) as $n) {
        mt_srand($seed + $n);
        $days = 6;
        $option = static fn(int $i): ServingOption => new ServingOption(
            "i{$i}",
            "i{$i}",
            true,
            "g{$i}",
            9.0,
            0,
            9,
            [0],
            [array_map(static fn(): float => (float) mt_rand(30, 260), range(1, $days))],
            [1.0],
            [true],
        );
        $wishes = [];
        for ($from = 0; $from < $days; $from = $until + 1) {
            $until = min($days - 1, $from + mt_rand(0, 2));
            $wishes[] = new Wish(0, range($from, $until), [mt_rand(0, 1)], mt_rand(2, 30) / 2.0);
        }
        $week = new PlanningProblem(
            $days,
            ['day'],
            1,
            [new Eater('a', 'A', 1500.0, array_fill(0, $days, 900.0), false, array_fill(0, $days, mt_rand(0, 1)))],
            [$option(0), $option(1)],
            [],
            [],
            new ObjectiveWeights(),
            [],
            wishes: $wishes,
        );
        $price = [mt_rand(0, 30) / 1.0, mt_rand(0, 30) / 1.0];
        $best = -INF;
        foreach (range(0, 3 ** $days - 1) as $way) {
            $plates = array_map(
                static fn(int $d): array => [[], [0], [1]][intdiv($way, 3 ** $d) % 3],
                range(0, $days - 1),
            );
            $best = max($best, (new EaterWeek($week, 0))->week($plates)->priced($price, 0.0));
        }
        $mine = new EaterWeek($week, 0);
        $mine->relaxed($price, 0.0, $best - 0.01, 4);
        [$bound, $weeks] = $mine->best($price, 0.0, $best - 0.01);
        expect($bound)
            ->toEqualWithDelta($best, 1e-6, "seed {$seed}, week {$n}")
            ->and($weeks)
            ->not->toBe([], "seed {$seed}, week {$n}");
    }
});

/**
 * Of all ways to spend a week the best for what it takes of the jars that are contended for, and what is missing, the best first.
 *
 * @param  list<list<Assignment>>  $ways
 * @param  list<float>  $price
 * @return array<string, float> what each comes to at the prices
 */
function bestByUse(PlanningProblem $week, StockCode $code, array $ways, array $price): array
{
    $best = [];
    $mine = new EaterWeek($week, 0);
    foreach (array_filter($ways, static fn(array $way): bool => Feasibility::trouble($week, $way) === null) as $way) {
        $plates = array_fill(0, $week->days, []);
        foreach ($way as $one) {
            $plates[$one->day][] = $one->option;
        }
        $spent = $mine->week($plates);
        $use = json_encode([...$code->taken($spent->used), $spent->missing]);
        $best[$use] = max($best[$use] ?? -INF, $spent->priced($price, 0.0));
    }
    arsort($best);

    return $best;
}

it('finds for each use of the jars the best week that comes near the best', function (
    Closure $weekBy,
    Closure $ampleBy,
    float $loss,
): void {
    $seed = random_int(1, 1_000_000_000);
    $many = 0;
    foreach (range(0, 29) as $n) {
        $week = $weekBy($seed + $n);
        $code = StockCode::of($week);
        $price = array_map(
            static fn(float $grams): float => mt_rand(0, 20) / max(1.0, $grams),
            array_map(static fn(ServingOption $one): float => $one->portion[0], $week->options),
        );
        $all = bestByUse($week, $code, waysOf($ampleBy($seed + $n)), $price);
        $reached = max($all) - $loss;
        $mine = new EaterWeek($week, 0);
        $mine->relaxed($price, 0.0, $reached, 4);
        [$best, $weeks, $plates] = $mine->near($price, 0.0, $reached, 100_000) ?? [0.0, new CodedWeeks(), []];
        $found = [];
        foreach ($weeks->place as $at => $place) {
            $spent = $mine->week($plates[$place]);
            $found[json_encode([...$code->taken($spent->used), $spent->missing])] = $spent->priced($price, 0.0);
            expect($weeks->bare[$at])
                ->toEqualWithDelta($spent->worth, 1e-6, "seed {$seed}, week {$n}")
                ->and($weeks->worth[$at])
                ->toEqualWithDelta($spent->worth, 1e-6)
                ->and([$weeks->p[$at], $weeks->q[$at], $weeks->r[$at]])
                ->toBe($code->taken($spent->used))
                ->and($best - $weeks->loss[$at])
                ->toEqualWithDelta($spent->priced($price, 0.0), 1e-6, "seed {$seed}, week {$n}")
                ->and($weeks->missing[$at])
                ->toBe($spent->missing);
        }
        $near = array_filter($all, static fn(float $one): bool => $one > $reached + 1e-6);
        ksort($near);
        ksort($found);
        $inOrder = $weeks->loss;
        sort($inOrder);
        expect(array_keys($found))
            ->toBe(array_keys($near), "seed {$seed}, week {$n}")
            ->and(array_values($found))
            ->toEqualWithDelta(array_values($near), 1e-6, "seed {$seed}, week {$n}")
            ->and($best)
            ->toEqualWithDelta(max($all), 1e-6)
            ->and($weeks->loss)
            ->toBe($inOrder);
        $many += count($near) > 2 ? 1 : 0;
        if (count($near) > 1) {
            expect($mine->near($price, 0.0, $reached, 1))->toBeNull("seed {$seed}, week {$n}");
        }
    }
    expect($many)->toBeGreaterThan(5, "seed {$seed}");
})->with([
    'by chance' => [
        smallWeekByChance(...),
        static fn(int $seed): PlanningProblem => smallWeekByChance($seed, 1000.0),
        150.0,
    ],
    'in sizes, those too that another beats' => [
        weekInSizes(...),
        static fn(int $seed): PlanningProblem => weekInSizes($seed, 1000.0),
        6.0,
    ],
]);

it('finds the best week that keeps to what others leave', function (): void {
    $seed = random_int(1, 1_000_000_000);
    $far = 0;
    foreach (range(0, 39) as $n) {
        $week = smallWeekByChance($seed + $n);
        $best = -INF;
        foreach (waysOf(smallWeekByChance($seed + $n, 1000.0)) as $way) {
            $best = Feasibility::trouble($week, $way) === null ? max($best, Objective::of($week, $way)) : $best;
        }
        $plan = Planner::plan($week);
        $far += $best - $plan->objective > 1e-6 ? 1 : 0;
        expect($plan->bound)
            ->toBeGreaterThan($best - 1e-6, "seed {$seed}, week {$n}")
            ->and($plan->objective)
            ->toBeLessThan($best + 1e-6, "seed {$seed}, week {$n}");
    }
    expect($far)->toBe(0, "seed {$seed}");
});

it('says how near the best plate the next ones come, and where it left some out', function (): void {
    // Worths 5, 4 and 3, room for two: 9, 8, 7, 5, 4, 3, 0.
    $candidates = array_map(static fn(int $i): array => [5.0 - $i, 10.0, 0, $i, false, $i], [0, 1, 2]);
    $plate = new DayPlate($candidates, 2, 0, 100.0, 0.0, 1000.0, INF);
    [$near, $loss] = $plate->near(4.0, 50);
    expect(array_column($near, 0))
        ->toBe([9.0, 8.0, 7.0, 5.0])
        ->and($loss)
        ->toBe(4.0);
    [$near, $loss] = $plate->near(4.0, 2);
    expect(array_column($near, 0))
        ->toBe([9.0, 8.0])
        ->and($loss)
        ->toBe(2.0);
});

it('stops when it is told to, with a week that keeps to everything', function (): void {
    $said = [];
    $week = smallWeekByChance(5);
    $eaters = array_map(
        static fn(int $m): Eater => new Eater(
            "m{$m}",
            "M{$m}",
            1500.0,
            array_fill(0, $week->days, 300.0),
            true,
            array_fill(0, $week->days, 1),
        ),
        range(0, 3),
    );
    $options = array_map(
        static fn(ServingOption $one): ServingOption => new ServingOption(
            $one->id,
            $one->name,
            true,
            $one->group,
            2.5,
            0,
            9,
            [0, 1],
            array_fill(0, 4, $one->sodium[0]),
            [0.5, 1.0, 1.0, 2.0],
            array_fill(0, 4, true),
        ),
        $week->options,
    );
    $problem = new PlanningProblem($week->days, $week->meals, 1, $eaters, $options, [], [], new ObjectiveWeights());
    $plan = Planner::plan($problem, function (float $objective, float $bound) use (&$said): bool {
        $said[] = [$objective, $bound];

        return false;
    });
    expect($said)
        ->toHaveCount(1)
        ->and($said[0][1])
        ->toBeGreaterThanOrEqual($said[0][0])
        ->and(Feasibility::trouble($problem, $plan->assignments))
        ->toBeNull()
        ->and($plan->bound)
        ->toBeGreaterThanOrEqual($plan->objective);
});

it('finds the best plate and all that come near it, whatever a missing live serving weighs', function (): void {
    $seed = random_int(1, 1_000_000);
    mt_srand($seed);
    for ($n = 0; $n < 300; $n++) {
        $candidates = [];
        foreach (range(0, mt_rand(0, 6)) as $i) {
            // Worth, mg, live, option, a must, and the offer: two of them may be sizes of one.
            $candidates[] = [mt_rand(-80, 80) / 8.0, (float) mt_rand(10, 90), mt_rand(0, 1), $i, false, intdiv($i, 2)];
        }
        [$room, $goal, $short] = [mt_rand(1, 4), mt_rand(0, 3), [0.0, 0.5, 4.0, 100.0][mt_rand(0, 3)]];
        [$over, $allowance, $limit] = [[0.0, 0.2][mt_rand(0, 1)], (float) mt_rand(0, 150), [INF, 160.0][mt_rand(0, 1)]];
        $all = [];
        foreach (range(0, 2 ** count($candidates) - 1) as $set) {
            $some = array_filter($candidates, static fn(array $one): bool => ($set & (1 << $one[3])) !== 0);
            $sodium = array_sum(array_column($some, 1));
            $offers = array_column($some, 5);
            if (count($some) <= $room && $sodium <= $limit && $offers === array_unique($offers)) {
                $all[implode(' ', array_keys($some))] =
                    array_sum(array_column($some, 0)) -
                    $short * max(0, $goal - array_sum(array_column($some, 2))) -
                    $over * max(0.0, $sodium - $allowance);
            }
        }
        $plate = new DayPlate($candidates, $room, $goal, $short, $over, $allowance, $limit);
        [$best] = $plate->best();
        expect($best)->toEqualWithDelta(max($all), 1e-9, "seed {$seed}, plate {$n}");
        [$near] = $plate->near(3.0, 1000);
        $seen = [];
        foreach ($near as [$worth, $options]) {
            sort($options);
            $seen[] = $set = implode(' ', $options);
            expect($worth)->toEqualWithDelta($all[$set], 1e-9, "seed {$seed}, plate {$n}");
        }
        // What a size of the same offer beats in worth, mg and life is left out, so that nothing else may be missing.
        foreach ($all as $set => $worth) {
            $isBeaten = array_filter(
                array_map(intval(...), $set === '' ? [] : explode(' ', (string) $set)),
                static fn(int $i): bool => array_filter(
                    $candidates,
                    static fn(array $one): bool => $one[3] !== $i &&
                        $one[5] === $candidates[$i][5] &&
                        $one[2] === $candidates[$i][2] &&
                        $one[0] >= $candidates[$i][0] &&
                        $one[1] <= $candidates[$i][1],
                ) !== [],
            );
            if ($isBeaten === [] && $worth >= $best - 3.0 + 1e-9) {
                expect(in_array((string) $set, $seen, true))->toBeTrue("seed {$seed}, plate {$n}, {$set}");
            }
        }
    }
});
