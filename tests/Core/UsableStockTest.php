<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Plan\UsableStock;

it('counts what portions can take of a jar', function (array $portions, float $stock, float $usable): void {
    expect(UsableStock::of($portions, $stock))->toEqualWithDelta($usable, 1e-9);
})->with([
    'what is left over is too little' => [[40.0, 30.0, 20.0, 10.0], 87.0, 80.0],
    'two sizes meet it' => [[30.0, 20.0], 50.4, 50.0],
    'less than the smallest' => [[30.0, 20.0], 19.9, 0.0],
    'a sum that only the sizes together do not reach' => [[30.0, 75.0], 100.0, 90.0],
    'a condiment in halves of a gram' => [[2.5, 4.0], 7.9, 7.5],
    'a full crock' => [[30.0, 45.0], 12_345.0, 12_345.0],
    'portions finer than can be told apart' => [[10.001], 87.0, 87.0],
    'nobody may have any of it' => [[], 87.0, 87.0],
    'no end of it' => [[10.0], INF, INF],
    'none of it' => [[10.0], 0.0, 0.0],
    'to the last gram' => [[29.0, 13.0], 29.0 * 3 + 13.0 * 4, 29.0 * 3 + 13.0 * 4],
]);

it('comes to the largest sum that fits, as trying all of them does', function (): void {
    $seed = random_int(1, 1_000_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    $less = 0;
    foreach (range(1, 200) as $n) {
        $portions = array_map(static fn(): float => $chance->getInt(5, 60) / 2.0, range(0, $chance->getInt(0, 2)));
        $stock = $chance->getInt(0, 1_500) / 10.0;
        $sums = [0.0];
        foreach ($portions as $portion) {
            foreach ($sums as $sum) {
                for ($more = $sum + $portion; $more <= $stock; $more += $portion) {
                    $sums[] = $more;
                }
            }
        }
        $usable = UsableStock::of($portions, $stock);
        $less += $usable < $stock - 0.5 ? 1 : 0;
        expect($usable)->toEqualWithDelta(max($sums), 1e-9, "seed {$seed}, {$n}");
    }
    expect($less)->toBeGreaterThan(20, "seed {$seed}");
});
