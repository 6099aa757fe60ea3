<?php

declare(strict_types=1);

use Tempesal\Core\Plan\Eater;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\ServingOption;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\ObjectiveWeights;
use Tempesal\Core\Restock\RestockPlanner;
use Tempesal\Core\Restock\Product;
use Tempesal\Core\Restock\ScheduledBatch;
use Tempesal\Core\Restock\StockForecast;
use Tempesal\Core\Restock\Consumption;
use Tempesal\Core\Restock\RestockProblem;
use Tempesal\Core\Restock\FreeJar;

/*
 * Keeping the shelf full: how kinds are eaten from their batches, what is to be started when, and what remains without.
 */

/** @param  array<string, float>  $gramsIn */
function kindOf(
    string $id,
    float $perDay,
    int $lead,
    array $gramsIn,
    int $days,
    int $keeps = 180,
    ?Closure $inSeason = null,
): Product {
    $season = array_map(static fn(int $day): bool => $inSeason === null || $inSeason($day), range(0, $days - 1));

    return new Product($id, $id, $perDay, array_fill(0, $days, $lead), $gramsIn, $keeps, $season);
}

/** @return list<FreeJar> */
function quarts(int $count): array
{
    return array_map(static fn(int $i): FreeJar => new FreeJar("quart {$i}", 'quart'), range(1, $count));
}

/** Two batches in one jar at a time, or one that was begun in the past: told in a sentence, null where all is well. */
function jarTrouble(StockForecast $forecast): ?string
{
    $held = [];
    foreach ($forecast->lots as $lot) {
        $until = $forecast->runs[$lot->kind]->emptyOn[$lot->id] ?? PHP_INT_MAX;
        foreach ($held[$lot->vessel] ?? [] as [$from, $to, $id]) {
            if ($lot->start < $to && $from < $until) {
                return "{$lot->id} and {$id} stand in one jar.";
            }
        }
        $held[$lot->vessel][] = [$lot->start, $until, $lot->id];
    }
    foreach ($forecast->added as $lot) {
        if ($lot->start < 0) {
            return "{$lot->id} was to be started before today.";
        }
    }

    return null;
}

it('eats what was ready first, throws away what is past its day, and counts the days without', function (): void {
    $kind = kindOf('kraut', 100.0, 10, ['quart' => 600.0], 20);
    $run = Consumption::of(
        $kind,
        [
            new ScheduledBatch('old', 'kraut', 'a', -20, 0, 250.0, 100),
            new ScheduledBatch('new', 'kraut', 'b', -5, 5, 1000.0, 9),
            new ScheduledBatch('later', 'kraut', 'c', -5, 12, 300.0, 100),
        ],
        20,
    );
    // 250 g at 100 g a day: two days and a half. The day on which half is missing is a day without.
    expect($run->gaps)->toBe([2, 3, 4, 10, 11, 15, 16, 17, 18, 19]);
    expect($run->emptyOn)->toBe(['old' => 3, 'new' => 10, 'later' => 15]);
    expect($run->firstOn)->toBe(['old' => 0, 'new' => 5, 'later' => 12]);
    expect($run->left[0])->toBe(150.0)->and($run->left[5])->toBe(900.0)->and($run->left[10])->toBe(0.0);
});

it('starts a batch on the last day that will do', function (): void {
    $kind = kindOf('kraut', 50.0, 12, ['quart' => 600.0], 40);
    $forecast = RestockPlanner::plan(
        new RestockProblem(40, [$kind], quarts(3), [
            new ScheduledBatch('there', 'kraut', 'quart 1', -30, 0, 1000.0, 200),
        ]),
    );
    expect($forecast->gapDays())->toBe(0);
    // 1000 g at 50 g a day last twenty days; 600 g another twelve, which ends on day 32.
    expect(array_map(fn(ScheduledBatch $lot): array => [$lot->start, $lot->ready], $forecast->added))->toBe([
        [8, 20],
        [20, 32],
    ]);
    expect($forecast->runsOutOn($kind))->toBe(20)->and(jarTrouble($forecast))->toBeNull();
});

it('leaves the smallest gap where one jar has to do, and says why', function (): void {
    // Ten days to make, ten to eat, one jar: ten days in twenty without. Reckoned by hand: days 10-19, 30-39 and 50-55
    // are fed.
    $kind = kindOf('kraut', 60.0, 10, ['quart' => 600.0], 56);
    $forecast = RestockPlanner::plan(new RestockProblem(56, [$kind], quarts(1), []));
    expect($forecast->gapDays())->toBe(30);
    expect(array_map(fn(array $gap): array => [$gap['from'], $gap['to']], $forecast->gaps($kind)))->toBe([
        [0, 9],
        [20, 29],
        [40, 49],
    ]);
    expect(said($forecast->gaps($kind)[0]['reason']))
        ->toContain('Started today it is ready in 10 days')
        ->and(said($forecast->gaps($kind)[1]['reason']))
        ->toContain('One more jar would help');
    // One more jar, and only the days that nothing can spare are left.
    expect(RestockPlanner::plan(new RestockProblem(56, [$kind], quarts(2), []))->gapDays())->toBe(10);
});

it('keeps to the season, to what keeps, and to what a jar is for', function (): void {
    $spring = kindOf('radish', 30.0, 5, ['quart' => 600.0], 60, 14, fn(int $day): bool => $day >= 20);
    $forecast = RestockPlanner::plan(new RestockProblem(60, [$spring], quarts(4), []));
    foreach ($forecast->added as $lot) {
        expect($lot->start)
            ->toBeGreaterThanOrEqual(20)
            ->and($lot->grams)
            ->toBeLessThanOrEqual(30.0 * 14)
            ->and($lot->useBy - $lot->ready)
            ->toBe(13);
    }
    expect($forecast->gapDays())
        ->toBe(25)
        ->and(said($forecast->gaps($spring)[0]['reason']))
        ->toContain('season starts in 20 days');
    $crock = new Product('mash', 'mash', 10.0, array_fill(0, 60, 5), ['crock' => 900.0], 90, array_fill(0, 60, true));
    expect(
        said(RestockPlanner::plan(new RestockProblem(60, [$crock], quarts(2), []))->gaps($crock)[0]['reason']),
    )->toBe('No jar is the right size for it.');
    $bought = new Product('bought', 'bought', 10.0, [], [], 1, []);
    expect(
        said(RestockPlanner::plan(new RestockProblem(60, [$bought], quarts(2), []))->gaps($bought)[0]['reason']),
    )->toBe('No formula says how to make it.');
});

it('answers with nothing to do, no jars, and a kitchen full of kinds, at once', function (): void {
    expect(RestockPlanner::plan(new RestockProblem(56, [], [], []))->gapDays())->toBe(0);
    $kinds = array_map(
        fn(int $i): Product => kindOf("kind {$i}", 20.0 + $i, 3 + 2 * $i, ['quart' => 600.0], 63),
        range(1, 12),
    );
    expect(RestockPlanner::plan(new RestockProblem(63, $kinds, [], []))->gapDays())->toBe(12 * 63);
    $forecast = RestockPlanner::plan(new RestockProblem(63, $kinds, quarts(20), []));
    expect(jarTrouble($forecast))
        ->toBeNull()
        ->and($forecast->gapDays())
        ->toBeLessThan(12 * 63);
});

/**
 * The fewest days without of all ways to start batches of full jars, tried one after the other. It shares no code with
 * the planner: its own way of eating, and every day as a start.
 *
 * @param  list<Product>  $kinds
 * @param  list<array{int, int, int}>  $made  kind, jar, start
 */
function fewestWithout(array $kinds, int $jars, int $days, float $full, array $made = [], int $from = 0): int
{
    [$without, $free] = eatAll($kinds, $days, $full, $made);
    $best = $without;
    if ($without === 0) {
        return 0;
    }
    for ($start = $from; $start < $days; $start++) {
        foreach ($kinds as $k => $kind) {
            if ($start + $kind->leadDays[0] >= $days) {
                continue;
            }
            for ($jar = 0; $jar < $jars; $jar++) {
                if (($free[$jar] ?? 0) <= $start) {
                    $best = min(
                        $best,
                        fewestWithout($kinds, $jars, $days, $full, [...$made, [$k, $jar, $start]], $start),
                    );
                    break;
                }
            }
        }
    }

    return $best;
}

/**
 * @param  list<Product>  $kinds
 * @param  list<array{int, int, int}>  $made
 * @return array{int, array<int, int>} days without, and the day from which each jar is free; a jar that is not emptied
 *     never is
 */
function eatAll(array $kinds, int $days, float $full, array $made): array
{
    $without = 0;
    $free = [];
    foreach ($kinds as $k => $kind) {
        $lots = [];
        foreach ($made as [$of, $jar, $start]) {
            if ($of === $k) {
                $lots[] = [
                    'ready' => $start + $kind->leadDays[0],
                    'jar' => $jar,
                    'left' => $full,
                    'empty' => PHP_INT_MAX,
                ];
            }
        }
        usort($lots, fn(array $one, array $other): int => $one['ready'] <=> $other['ready']);
        for ($day = 0; $day < $days; $day++) {
            $need = $kind->perDay;
            foreach ($lots as $at => $lot) {
                if ($lot['ready'] <= $day && $lot['left'] > 0.0 && $need > 0.0) {
                    $takes = min($need, $lot['left']);
                    $lots[$at]['left'] -= $takes;
                    $need -= $takes;
                    $lots[$at]['empty'] = $lots[$at]['left'] <= 0.0 ? $day + 1 : PHP_INT_MAX;
                }
            }
            $without += $need > 0.0 ? 1 : 0;
        }
        foreach ($lots as $lot) {
            $free[$lot['jar']] = max($free[$lot['jar']] ?? 0, $lot['empty']);
        }
    }

    return [$without, $free];
}

it('leaves no more days without than the best of all ways tried one by one', function (int $seed): void {
    mt_srand($seed);
    $count = mt_rand(1, 3);
    $jars = mt_rand(1, 3);
    $days = [1 => 16, 2 => 14, 3 => 13, 4 => 12, 6 => 10, 9 => 9][$count * $jars];
    $kinds = array_map(
        fn(int $i): Product => kindOf("kind {$i}", (float) mt_rand(1, 3), mt_rand(1, 4), ['quart' => 6.0], $days),
        range(1, $count),
    );
    $forecast = RestockPlanner::plan(new RestockProblem($days, $kinds, quarts($jars), []));
    // Nothing is made that is not eaten.
    foreach ($forecast->added as $lot) {
        expect($forecast->runs[$lot->kind]->firstOn[$lot->id])->not->toBeNull();
    }
    expect(jarTrouble($forecast))
        ->toBeNull()
        ->and($forecast->gapDays())
        ->toBe(
            fewestWithout($kinds, $jars, $days, 6.0),
            json_encode(array_map(fn(Product $kind): array => [$kind->perDay, $kind->leadDays[0]], $kinds)) .
                " in {$jars}",
        );
})->with(range(1, 60));

/**
 * A household of two over eight weeks, day by day: each week the planner says who eats what, each day the batches that
 * are to be started are started, and now and then someone leaves a serving out or takes more.
 *
 * @return array{missed: list<int>, starts: int, outlook: StockForecast} days on which someone was to have something
 *     live and had not
 */
function eightWeeks(int $jars, int $seed, int $served = 600): array
{
    mt_srand($seed);
    $days = 56;
    $leads = ['kraut' => 20, 'kimchi' => 5, 'carrots' => 8];
    $portions = [40.0, 30.0];
    $in = ['quart' => 600.0];
    $kinds = array_map(
        fn(string $id, int $lead): Product => kindOf($id, 25.0, $lead, $in, $days),
        array_keys($leads),
        $leads,
    );
    $lots = [];
    foreach (array_keys($leads) as $i => $id) {
        if ($i < $jars) {
            $lots[] = [
                'id' => $id,
                'kind' => $id,
                'vessel' => 'quart ' . ($i + 1),
                'ready' => 0,
                'grams' => (float) $served,
            ];
        }
    }
    $missed = [];
    $starts = 0;
    $first = null;
    for ($today = 0; $today < $days; $today++) {
        $standing = array_map(
            fn(array $lot): ScheduledBatch => new ScheduledBatch(
                $lot['id'],
                $lot['kind'],
                $lot['vessel'],
                -1,
                max(0, $lot['ready'] - $today),
                $lot['grams'],
                500,
            ),
            $lots,
        );
        $forecast = RestockPlanner::plan(new RestockProblem($days, $kinds, quarts($jars), $standing));
        $first ??= $forecast;
        foreach ($forecast->added as $lot) {
            if ($lot->start === 0) {
                $lots[] = [
                    'id' => "{$lot->kind} {$today}",
                    'kind' => $lot->kind,
                    'vessel' => $lot->vessel,
                    'ready' => $today + $leads[$lot->kind],
                    'grams' => $lot->grams,
                ];
                $starts++;
            }
        }
        if ($today % 7 === 0) {
            $week = array_map(
                fn(array $lot): ServingOption => new ServingOption(
                    $lot['id'],
                    $lot['id'],
                    true,
                    $lot['kind'],
                    $lot['grams'],
                    $lot['ready'] - $today,
                    500,
                    [0],
                    array_fill(0, 2, array_fill(0, 7, 250.0)),
                    $portions,
                    [true, true],
                ),
                $lots,
            );
            $eaters = array_map(
                fn(int $i): Eater => new Eater(
                    "eater {$i}",
                    "eater {$i}",
                    2000.0,
                    array_fill(0, 7, 600.0),
                    true,
                    array_fill(0, 7, 1),
                ),
                [0, 1],
            );
            $plan = Planner::plan(new PlanningProblem(7, ['day'], 1, $eaters, $week, [], [], new ObjectiveWeights()));
        }
        $eaten = [0, 0];
        foreach ($plan->assignments as $assignment) {
            if ($assignment->day !== $today % 7) {
                continue;
            }
            // Now and then someone leaves a serving out, or takes more; where the jar is empty, another that is ready
            // will do.
            $mood = mt_rand(1, 20);
            $meant = $plan->problem->options[$assignment->option]->id;
            usort(
                $lots,
                fn(array $one, array $other): int => [$other['id'] === $meant, $one['id']] <=> [
                    $one['id'] === $meant,
                    $other['id'],
                ],
            );
            foreach ($lots as $i => $lot) {
                if ($lot['ready'] <= $today && $lot['grams'] >= $portions[$assignment->eater] * 0.8) {
                    $lots[$i]['grams'] = max(
                        0.0,
                        $lot['grams'] - $portions[$assignment->eater] * [0.0, 1.25, 1.0][min($mood - 1, 2)],
                    );
                    $eaten[$assignment->eater]++;
                    break;
                }
            }
        }
        if (min($eaten) === 0) {
            $missed[] = $today;
        }
        // What is too little for a portion is eaten up beside it, and the jar washed.
        $lots = array_values(array_filter($lots, fn(array $lot): bool => $lot['grams'] >= 0.8 * min($portions)));
        $held = array_count_values(array_column($lots, 'vessel'));
        expect(max([0, ...$held]))->toBeLessThanOrEqual(1);
    }

    return ['missed' => $missed, 'starts' => $starts, 'outlook' => $first];
}

it('keeps a household that eats by plan fed for eight weeks without a gap', function (int $seed): void {
    $weeks = eightWeeks(6, $seed);
    expect($weeks['missed'])
        ->toBe([])
        ->and($weeks['starts'])
        ->toBeGreaterThan(4)
        ->and($weeks['outlook']->gapDays())
        ->toBe(0);
})->with([1, 2, 3]);

it('says beforehand how many days will be without where the jars are too few', function (): void {
    $weeks = eightWeeks(1, 4);
    expect($weeks['missed'])->not->toBe([]);
    $forecast = $weeks['outlook'];
    expect($forecast->gapDays())->toBeGreaterThan(0);
    foreach ($forecast->shelf->kinds as $kind) {
        foreach ($forecast->gaps($kind) as $gap) {
            expect($gap['reason'])->not->toBe('');
        }
    }
});

it('eats as it is planned while there is a plan, and so much a day after it', function (): void {
    $kind = new Product('kraut', 'Kraut', 50.0, [], [], 100, [], 7);
    $lot = static fn(float $grams, array $meant, int $ready = -3): ScheduledBatch => new ScheduledBatch(
        "lot {$grams}",
        'kraut',
        null,
        -20,
        $ready,
        $grams,
        90,
        meant: $meant,
    );
    $run = Consumption::of($kind, [$lot(300.0, [0 => 20.0, 3 => 30.0])], 20);
    expect(array_slice($run->left, 0, 8))
        ->toBe([280.0, 280.0, 280.0, 250.0, 250.0, 250.0, 250.0, 200.0])
        ->and($run->emptyOn['lot 300'])
        ->toBe(12)
        // Days of the plan on which none is eaten are not days without.
        ->and($run->gaps)
        ->toBe(range(12, 19));
    // The plan eats of two jars as it says, not of the older one first; nothing is there before the one is ready.
    $run = Consumption::of($kind, [$lot(60.0, [4 => 10.0], 4), $lot(100.0, [5 => 40.0], 5)], 8);
    expect($run->left)
        ->toBe([0.0, 0.0, 0.0, 0.0, 50.0, 110.0, 110.0, 60.0])
        ->and($run->gaps)
        ->toBe([0, 1, 2, 3]);
    // Eaten up by the plan: the days after that are without.
    $run = Consumption::of($kind, [$lot(30.0, [1 => 30.0])], 7);
    expect($run->gaps)->toBe([2, 3, 4, 5, 6]);
});
