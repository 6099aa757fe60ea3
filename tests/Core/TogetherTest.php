<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Plan\CodedWeeks;
use Tempesal\Core\Plan\PlannedEaterWeek;
use Tempesal\Core\Plan\StockCode;
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

/**
 * @param  list<PlannedEaterWeek>  $weeks
 * @param  list<float>  $price
 * @return array{float, CodedWeeks} what the best comes to, and all of them
 */
function codedBy(StockCode $code, array $weeks, array $price): array
{
    $priced = array_map(static fn(PlannedEaterWeek $one): float => $one->priced($price, 0.0), $weeks);
    $coded = new CodedWeeks();
    foreach ($weeks as $at => $week) {
        $coded->add(max($priced) - $priced[$at], $week->worth, $week->worth, $week->missing, $code->taken($week->used));
    }
    $coded->sort();

    return [max($priced), $coded];
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
        // Counted in grams, so that what is taken is known to the gram.
        $code = new StockCode($stock, array_map(static fn(): array => [60.0, 1.0], $offers));
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
            [$most, $near[$m]] = codedBy($code, $weeks[$m], $price);
            $atMost += $most;
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
        $together = new Together($code, $price, $fair, 1_000_000);
        $found = $together->best($near, $atMost, 0.0, -1000.0);
        expect($together->isWhole())
            ->toBeTrue()
            ->and($code->isExact)
            ->toBeTrue()
            ->and($found === null)
            ->toBe($best === -INF, "seed {$seed}, {$n}");
        if ($found === null) {
            $none++;

            continue;
        }
        $met++;
        ksort($found);
        $chosen = array_map(
            static fn(int $m, int $at): PlannedEaterWeek => $weeks[$m][$at],
            array_keys($found),
            $found,
        );
        $left = array_reduce(
            $chosen,
            static fn(array $left, PlannedEaterWeek $week): array => $week->takenFrom($left),
            $stock,
        );
        $again = new Together($code, $price, $fair, 1_000_000);
        expect(PlannedEaterWeek::total($chosen, $fair))
            ->toEqualWithDelta($best, 1e-9, "seed {$seed}, {$n}")
            ->and(min($left))
            ->toBeGreaterThanOrEqual(0.0, "seed {$seed}, {$n}")
            ->and(array_keys($found))
            ->toBe(array_keys($weeks))
            ->and($again->best($near, $atMost, 0.0, $best))
            ->toBeNull("seed {$seed}, {$n}");
    }
    expect($met)
        ->toBeGreaterThan(20, "seed {$seed}")
        ->and($none)
        ->toBeGreaterThan(0, "seed {$seed}");
});

it('says when it was told to stop before all were looked at', function (): void {
    $weeks = array_map(static fn(float $worth): PlannedEaterWeek => new PlannedEaterWeek([], $worth, 0, [0 => 60.0]), [
        50.0,
        40.0,
        30.0,
        20.0,
    ]);
    $code = new StockCode([100.0], [[60.0]]);
    [, $coded] = codedBy($code, $weeks, [0.0]);
    foreach ([[3, false], [1_000, true]] as [$looks, $isWhole]) {
        $together = new Together($code, [0.0], 0.0, $looks);
        expect($together->best([$coded, $coded], 100.0, 0.0, 0.0))
            ->toBeNull()
            ->and($together->isWhole())
            ->toBe($isWhole);
    }
});

it('adds to all plans what missing servings that are free are worth', function (): void {
    $code = new StockCode([100.0], [[60.0]]);
    $weeks = [new PlannedEaterWeek([], 50.0, 1, [0 => 60.0]), new PlannedEaterWeek([], 45.0, 2, [])];
    // A missing serving is given 10 back, and of those two free.
    $coded = new CodedWeeks();
    $coded->add(0.0, 65.0, 45.0, 2, $code->taken([]));
    $coded->add(5.0, 60.0, 50.0, 1, $code->taken([0 => 60.0]));
    expect(PlannedEaterWeek::total($weeks, 10.0))->toBe(75.0);
    foreach ([[74.999, [0, 1]], [75.001, null]] as [$total, $places]) {
        $found = (new Together($code, [0.0], 10.0, 1_000))->best([$coded, $coded], 110.0, -20.0, $total);
        expect($found === null ? null : collect($found)->sort()->values()->all())->toBe($places);
    }
});

it('leaves out what loses most where there are too many to be kept, and says so', function (): void {
    $code = new StockCode([100_000.0], [[400.0, 1.0]]);
    // 90,000 pairs in one half; no two of them take the same.
    $weeks = static fn(float $grams): array => array_map(
        static fn(int $n): PlannedEaterWeek => new PlannedEaterWeek([], 50.0 - $n / 100.0, 0, [0 => $grams * $n]),
        range(0, 299),
    );
    [, $one] = codedBy($code, $weeks(1.0), [0.0]);
    [, $other] = codedBy($code, $weeks(300.0), [0.0]);
    $together = new Together($code, [0.0], 0.0, 10_000_000);
    $found = $together->best([$one, $other, $one, $one], 200.0, 0.0, 0.0);
    ksort($found);
    expect($together->isWhole())
        ->toBeFalse()
        ->and($found)
        ->toBe([0, 0, 0, 0]);
});
