<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Plan\StockCode;

/**
 * @param  array{int, int, int}  $room
 * @param  array{int, int, int}  $taken
 */
function isRoomFor(StockCode $code, array $room, array $taken): bool
{
    foreach ($code->guards as $word => $guards) {
        if ((($room[$word] - $taken[$word]) & $guards) !== $guards) {
            return false;
        }
    }

    return true;
}

it('tells whether there is enough of everything, as counting each jar does', function (): void {
    $seed = random_int(1, 1_000_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    [$enough, $short] = [0, 0];
    foreach (range(1, 300) as $n) {
        $jars = range(0, $chance->getInt(0, 14));
        $sizes = array_map(
            static fn(): array => array_map(
                static fn(): float => $chance->getInt(1, 12) * 2.5,
                range(0, $chance->getInt(0, 3)),
            ),
            $jars,
        );
        $stock = array_map(static fn(): float => $chance->getInt(0, 800) / 4.0, $jars);
        $code = new StockCode($stock, $sizes);
        $sum = [0, 0, 0];
        $left = $stock;
        // What was taken so far fits; one portion more may not.
        foreach (range(1, 30) as $_) {
            $jar = $chance->getInt(0, count($jars) - 1);
            $portion = $sizes[$jar][$chance->getInt(0, count($sizes[$jar]) - 1)];
            $taken = $code->taken([$jar => $portion]);
            $next = array_map(static fn(int $one, int $other): int => $one + $other, $sum, $taken);
            $fits = $portion <= $left[$jar] + 1e-9;
            $fits ? $enough++ : $short++;
            expect(isRoomFor($code, $code->stock, $next))
                ->toBe($fits, "seed {$seed}, {$n}")
                ->and(isRoomFor($code, $code->room($left), $taken))
                ->toBe($fits, "seed {$seed}, {$n}");
            if ($fits) {
                $sum = $next;
                $left[$jar] -= $portion;
            }
        }
        expect($code->isExact)->toBeTrue();
    }
    expect($enough)->toBeGreaterThan(100)->and($short)->toBeGreaterThan(100);
});

it(
    'never says that there is too little where there is enough, even where it cannot count to the gram',
    function (): void {
        $seed = random_int(1, 1_000_000_000);
        $chance = new Randomizer(new Mt19937($seed));
        foreach (range(1, 50) as $n) {
            // More jars than there is room for, with portions that have no step in common.
            $jars = range(0, 39);
            $stock = array_map(static fn(): float => $chance->getInt(50, 9_000) / 7.0, $jars);
            $code = new StockCode(
                $stock,
                array_map(static fn(float $grams): array => [$grams / 3.0, $grams / 7.0], $stock),
            );
            $sum = [0, 0, 0];
            foreach ($jars as $jar) {
                foreach ([3.0, 7.0, 7.0, 7.0, 7.0] as $part) {
                    $taken = $code->taken([$jar => (0.9999 * $stock[$jar]) / $part]);
                    $sum = array_map(static fn(int $one, int $other): int => $one + $other, $sum, $taken);
                }
            }
            expect($code->isExact)
                ->toBeFalse()
                ->and(isRoomFor($code, $code->stock, $sum))
                ->toBeTrue("seed {$seed}, {$n}");
        }
    },
);

it('leaves out what nobody contends for', function (): void {
    $code = new StockCode([40.0, 1_000.0], [0 => [20.0, 10.0]]);
    expect(array_keys($code->places))
        ->toBe([0])
        ->and($code->taken([1 => 500.0]))
        ->toBe([0, 0, 0])
        ->and(isRoomFor($code, $code->stock, $code->taken([0 => 40.0])))
        ->toBeTrue()
        ->and(isRoomFor($code, $code->stock, $code->taken([0 => 50.0])))
        ->toBeFalse();
});
