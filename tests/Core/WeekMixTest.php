<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Plan\PlannedEaterWeek;
use Tempesal\Core\Plan\WeekMix;

/*
 * A mixture is the best one when some prices allow no more than it comes to (strong duality of linear programmes; J. von Neumann
 * 1947): whatever the prices, no mixture can pass what the stock and each eater's best week are worth at them.
 */

/**
 * Eaters with known weeks, by chance.
 *
 * @return array{array<int, float>, array<int, float>, array<int, PlannedEaterWeek>, array<int, list<PlannedEaterWeek>>, float}
 *     stock and unit by offer, bare and known weeks by eater, the weight of fairness
 */
function knownWeeksByChance(Randomizer $chance): array
{
    $offers = $chance->getInt(1, 6);
    $stock = $unit = $bare = $weeks = [];
    for ($i = 0; $i < $offers; $i++) {
        $stock[$i] = (float) $chance->getInt(0, 200);
        $unit[$i] = (float) $chance->getInt(10, 40);
    }
    // What is but another size of an offer has no stock of its own.
    [$stock[$offers], $unit[$offers]] = [0.0, INF];
    $names = $chance->shuffleArray(range(0, 8));
    for ($m = 0; $m < $chance->getInt(1, 5); $m++) {
        $goal = $chance->getInt(0, 5);
        $bare[$names[$m]] = new PlannedEaterWeek([], -100.0 * $goal, $goal, []);
        for ($w = 0; $w < $chance->getInt(0, 30); $w++) {
            $used = [];
            foreach ($chance->pickArrayKeys(range(0, $offers - 1), $chance->getInt(1, $offers)) as $offer) {
                $used[$offer] = (float) $chance->getInt(5, 120);
            }
            $missing = $chance->getInt(0, $goal);
            $worth = $chance->getInt(-50, 200) / 7.0 - 100.0 * $missing;
            $weeks[$names[$m]][] = new PlannedEaterWeek([], $worth, $missing, $used);
        }
    }

    return [$stock, $unit, $bare, $weeks, (float) $chance->getInt(0, 30)];
}

/**
 * What no mixture can pass at its own prices.
 *
 * @param  array<int, PlannedEaterWeek>  $bare
 * @param  array<int, list<PlannedEaterWeek>>  $weeks
 */
function mostAtItsPrices(WeekMix $mix, array $stock, array $bare, array $weeks, int $counted): float
{
    $value = $mix->missing() * $counted;
    foreach ($mix->prices() as $offer => $price) {
        $value += $price * $stock[$offer];
    }
    foreach ($bare as $m => $week) {
        $fair = $mix->fair()[$m] + $mix->missing();
        $value += max(
            array_map(static fn(PlannedEaterWeek $one): float => $one->priced($mix->prices(), $fair), [
                $week,
                ...$weeks[$m] ?? [],
            ]),
        );
    }

    return $value;
}

it('comes to as much as its own prices allow, and takes no more than there is', function (): void {
    $seed = random_int(1, 1_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    for ($n = 0; $n < 300; $n++) {
        [$stock, $unit, $bare, $weeks, $fair] = knownWeeksByChance($chance);
        $mix = new WeekMix($stock, $unit, $bare, $fair);
        // Weeks come in a few at a time.
        foreach (
            array_chunk(
                array_merge(
                    ...array_map(
                        static fn(int $m): array => array_map(static fn($week): array => [$m, $week], $weeks[$m] ?? []),
                        array_keys($bare),
                    ),
                ),
                7,
            )
            as $some
        ) {
            foreach ($some as [$m, $week]) {
                $mix->add($m, $week);
            }
            $mix->solve();
        }
        $value = $mix->solve();
        $where = "seed {$seed}, mixture {$n}";
        expect(mostAtItsPrices($mix, $stock, $bare, $weeks, 0))->toEqualWithDelta(
            $value,
            1e-6 * (1.0 + abs($value)),
            $where,
        );
        expect(array_sum($mix->fair()))->toBeLessThan($fair + 1e-6, $where);

        $whole = array_fill_keys(array_keys($bare), 0.0);
        $missing = $whole;
        $sum = 0.0;
        $used = array_fill_keys(array_keys($stock), 0.0);
        foreach ($mix->parts() as [$part, $m, $week]) {
            $whole[$m] += $part;
            $missing[$m] += $part * $week->missing;
            $sum += $part * $week->worth;
            foreach ($week->used as $offer => $grams) {
                $used[$offer] += $part * $grams;
            }
        }
        foreach ($whole as $part) {
            expect($part)->toEqualWithDelta(1.0, 1e-6, $where);
        }
        foreach ($used as $offer => $grams) {
            expect($grams)->toBeLessThan($stock[$offer] + 1e-4, $where);
        }
        expect($sum - $fair * max($missing))->toEqualWithDelta($value, 1e-5 * (1.0 + abs($value)), $where);
    }
});

it('counts live servings that are missing, at most and at least', function (): void {
    $seed = random_int(1, 1_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    $less = 0;
    for ($n = 0; $n < 200; $n++) {
        [$stock, $unit, $bare, $weeks, $fair] = knownWeeksByChance($chance);
        $fill = static function (WeekMix $mix) use ($weeks): float {
            foreach ($weeks as $m => $ofOne) {
                array_walk($ofOne, static fn(PlannedEaterWeek $week): int => $mix->add($m, $week));
            }

            return $mix->solve();
        };
        $missing = static fn(WeekMix $mix): float => array_sum(
            array_map(static fn(array $part): float => $part[0] * $part[2]->missing, $mix->parts()),
        );
        $free = new WeekMix($stock, $unit, $bare, $fair);
        $value = $fill($free);
        $where = "seed {$seed}, mixture {$n}";
        $atMost = (int) floor($missing($free));
        $most = new WeekMix($stock, $unit, $bare, $fair, $atMost, 250.0);
        $ofMost = $fill($most);
        expect($ofMost)->toBeLessThan($value + 1e-5, $where);
        expect(mostAtItsPrices($most, $stock, $bare, $weeks, $atMost))->toEqualWithDelta(
            $ofMost,
            1e-5 * (1.0 + abs($ofMost)),
            $where,
        );
        expect($most->missing())
            ->toBeGreaterThan(-1e-6)
            ->toBeLessThan(250.0 + 1e-6);

        $all = array_sum(array_map(static fn(PlannedEaterWeek $week): int => $week->missing, $bare));
        $atLeast = min($all, (int) ceil($missing($free)) + 1);
        $least = new WeekMix($stock, $unit, $bare, $fair, $atLeast);
        $ofLeast = $fill($least);
        expect($missing($least))->toBeGreaterThan($atLeast - 1e-5, $where);
        expect(mostAtItsPrices($least, $stock, $bare, $weeks, $atLeast))->toEqualWithDelta(
            $ofLeast,
            1e-5 * (1.0 + abs($ofLeast)),
            $where,
        );
        expect($least->missing())->toBeLessThan(1e-6);
        $less += $ofLeast < $value - 1.0 ? 1 : 0;
    }
    expect($less)->toBeGreaterThan(20, "seed {$seed}");
});
