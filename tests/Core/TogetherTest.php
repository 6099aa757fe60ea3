<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Plan\PlannedEaterWeek;
use Tempesal\Core\Plan\Together;

/**
 * Every way to choose a week of each eater.
 *
 * @param  array<int, list<PlannedEaterWeek>>  $weeks  by eater
 * @return list<array<int, PlannedEaterWeek>>
 */
function choicesOf(array $weeks): array
{
    $choices = [[]];
    foreach ($weeks as $m => $own) {
        $longer = [];
        foreach ($choices as $choice) {
            foreach ($own as $week) {
                $longer[] = $choice + [$m => $week];
            }
        }
        $choices = $longer;
    }

    return $choices;
}

it('puts together the best plan that fits, as trying all of them does', function (): void {
    $seed = random_int(1, 1_000_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    [$met, $none] = [0, 0];
    foreach (range(1, 80) as $n) {
        $offers = range(0, $chance->getInt(0, 4));
        $stock = array_map(static fn(): float => (float) $chance->getInt(10, 120), $offers);
        $price = array_map(static fn(): float => $chance->getInt(0, 10) / 40.0, $offers);
        $fair = (float) $chance->getInt(0, 20);
        $weeks = $near = [];
        $atMost = array_sum(array_map(static fn(float $one, float $grams): float => $one * $grams, $price, $stock));
        foreach (range(0, $chance->getInt(0, 3)) as $m) {
            foreach (range(0, $chance->getInt(0, 7)) as $_) {
                $used = [];
                foreach ($chance->pickArrayKeys($offers, $chance->getInt(1, count($offers))) as $offer) {
                    $used[$offer] = (float) $chance->getInt(0, 60);
                }
                $missing = $chance->getInt(0, 2);
                $weeks[$m][] = new PlannedEaterWeek(
                    [],
                    $chance->getInt(0, 300) / 7.0 - 10.0 * $missing,
                    $missing,
                    $used,
                );
            }
            $priced = array_map(static fn(PlannedEaterWeek $one): float => $one->priced($price, 0.0), $weeks[$m]);
            $atMost += max($priced);
            $near[$m] = array_map(
                static fn(PlannedEaterWeek $one, float $at): array => [max($priced) - $at, $one],
                $weeks[$m],
                $priced,
            );
            usort($near[$m], static fn(array $one, array $other): int => $one[0] <=> $other[0]);
        }
        $best = -INF;
        foreach (choicesOf($weeks) as $choice) {
            $left = $stock;
            foreach ($choice as $week) {
                $left = $week->takenFrom($left);
            }
            if (min($left) >= 0.0) {
                $best = max(
                    $best,
                    array_sum(array_map(static fn(PlannedEaterWeek $one): float => $one->worth, $choice)) -
                        $fair * max(array_map(static fn(PlannedEaterWeek $one): int => $one->missing, $choice)),
                );
            }
        }
        $together = new Together($fair, 1_000_000);
        $found = $together->best($near, $stock, $atMost, -1000.0);
        expect($together->isWhole())
            ->toBeTrue()
            ->and($found === null)
            ->toBe($best === -INF, "seed {$seed}, {$n}");
        if ($found === null) {
            $none++;

            continue;
        }
        $met++;
        $total =
            array_sum(array_map(static fn(PlannedEaterWeek $one): float => $one->worth, $found)) -
            $fair * max(array_map(static fn(PlannedEaterWeek $one): int => $one->missing, $found));
        expect($total)
            ->toEqualWithDelta($best, 1e-9, "seed {$seed}, {$n}")
            ->and(array_keys($found))
            ->toBe(array_keys($weeks))
            ->and((new Together($fair, 1_000_000))->best($near, $stock, $atMost, $best))
            ->toBeNull("seed {$seed}, {$n}");
    }
    expect($met)
        ->toBeGreaterThan(20, "seed {$seed}")
        ->and($none)
        ->toBeGreaterThan(0, "seed {$seed}");
});

it('says when it was told to stop before all were looked at', function (): void {
    $week = static fn(float $worth): array => [50.0 - $worth, new PlannedEaterWeek([], $worth, 0, [0 => 60.0])];
    $rows = array_map($week, [50.0, 40.0, 30.0, 20.0]);
    $together = new Together(0.0, 3);
    expect($together->best([$rows, $rows], [100.0], 100.0, 0.0))->toBeNull()->and($together->isWhole())->toBeFalse();
});
