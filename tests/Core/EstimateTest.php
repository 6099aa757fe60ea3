<?php

declare(strict_types=1);

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Intake\SodiumDay;
use Tempesal\Core\Measure\InvalidQuantity;

function input(string $key, float $low, float $typical, float $high): Uncertain
{
    return new Uncertain($key, $key, Band::of($low, $typical, $high));
}

// JCGM 100:2008 (GUM) 5.1.2: for y = a + b of independent inputs the squares add.
it('adds independent changes as root of the sum of squares', function (): void {
    [$sum] = Propagation::estimate(
        fn(Point $at): array => [$at->of(input('a', 7, 10, 13)) + $at->of(input('b', 16, 20, 24))],
    );
    expect($sum->band->low)
        ->toEqualWithDelta(25.0, 1e-12)
        ->and($sum->band->typical)
        ->toBe(30.0)
        ->and($sum->band->high)
        ->toEqualWithDelta(35.0, 1e-12)
        ->and($sum->contributions[0]->input->key)
        ->toBe('b')
        ->and($sum->contributions[0]->share)
        ->toEqualWithDelta(16 / 25, 1e-12)
        ->and($sum->without('b')->high)
        ->toEqualWithDelta(33.0, 1e-12);
});

// The same for a product: relative changes add as squares, exact for one input at a time.
it('carries a product', function (): void {
    [$product] = Propagation::estimate(
        fn(Point $at): array => [$at->of(input('a', 95, 100, 105)) * $at->of(input('b', 1.8, 2, 2.2))],
    );
    expect($product->band->high - 200)->toEqualWithDelta(hypot(10, 20), 1e-9);
});

it('moves inputs of one name together', function (): void {
    [$twice] = Propagation::estimate(
        fn(Point $at): array => [$at->of(input('a', 9, 10, 11)) + $at->of(input('a', 9, 10, 11))],
    );
    expect($twice->band->high)->toEqualWithDelta(22.0, 1e-12);
});

it('keeps a lopsided band lopsided', function (): void {
    [$value] = Propagation::estimate(fn(Point $at): array => [100 * $at->of(input('heap', 1.5, 1.75, 2.2))]);
    expect($value->band->low)->toEqualWithDelta(150.0, 1e-9)->and($value->band->high)->toEqualWithDelta(220.0, 1e-9);
});

it('turns a falling dependence round', function (): void {
    [$value] = Propagation::estimate(fn(Point $at): array => [100 / $at->of(input('a', 4, 5, 8))]);
    expect($value->band->low)->toEqualWithDelta(12.5, 1e-9)->and($value->band->high)->toEqualWithDelta(25.0, 1e-9);
});

it('has no band without doubt', function (): void {
    [$value] = Propagation::estimate(fn(Point $at): array => [$at->of(Uncertain::exactly(3.0))]);
    expect($value->band->isExact())->toBeTrue()->and($value->contributions)->toBe([]);
});

it('refuses a band out of order', function (float $low, float $typical, float $high): void {
    Band::of($low, $typical, $high);
})
    ->with([[2, 1, 3], [1, 4, 3], [NAN, 1, 2]])
    ->throws(InvalidQuantity::class);

// 21 CFR 101.9(c)(4): below 5 mg none, to 140 mg by fives, above by tens.
it('rounds as labels do', function (float $mg, int $shown): void {
    expect(LabelRounding::milligrams($mg))->toBe($shown);
})->with([[4.9, 0], [5, 5], [7.4, 5], [7.6, 10], [137.6, 140], [140, 140], [144, 140], [146, 150], [333.8, 330]]);

it('adds bands of one batch, and squares those of different ones', function (): void {
    $band = Band::of(90, 100, 110);
    $day = fn(string ...$sources): Band => (new SodiumDay(
        1500,
        900,
        array_map(fn(string $source): array => ['source' => $source, 'sodiumMg' => $band], array_values($sources)),
    ))->ferments();
    expect($day('a', 'a')->high)
        ->toEqualWithDelta(220.0, 1e-9)
        ->and($day('a', 'b')->high)
        ->toEqualWithDelta(200 + hypot(10, 10), 1e-9)
        ->and((new SodiumDay(1500, 900, [['source' => 'a', 'sodiumMg' => $band]]))->marginMg())
        ->toEqualWithDelta(500.0, 1e-9);
});
