<?php

declare(strict_types=1);

use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;

function jarOf(float $ml, float $mouth, float $body): Jar
{
    return Jar::of(Millilitres::of($ml), Millimetres::of($mouth), Millimetres::of($body));
}

function packed(float $headspace, float $weight = 0.0): Packing
{
    return new Packing(Millimetres::of($headspace), Millilitres::of($weight));
}

it('holds its nominal volume at the rim', function (float $ml, float $mouth, float $body): void {
    $jar = jarOf($ml, $mouth, $body);
    expect($jar->volumeUpTo($jar->height())->value)->toEqualWithDelta($ml, 1e-6);
})->with([[473, 76, 83], [946, 76, 90], [1893, 76, 112], [5000, 180, 190], [300, 60, 60]]);

it('comes back from volume to height', function (): void {
    $jar = jarOf(946, 76, 90);
    foreach ([10, 300, 700, 820, 900, 945] as $ml) {
        expect($jar->volumeUpTo($jar->heightOf(Millilitres::of($ml)))->value)->toEqualWithDelta($ml, 1e-6);
    }
    expect($jar->heightOf(Millilitres::of(2000))->value)->toBe($jar->height()->value);
});

it('takes headspace as length times mouth area while that is in the neck', function (): void {
    $jar = jarOf(946, 76, 90);
    $fit = JarFit::of($jar, packed(20, 50), Grams::of(500), 1.0, 0.65);
    expect($fit->usable->value)
        ->toEqualWithDelta(946 - (2.0 * M_PI * 7.6 ** 2) / 4 - 50, 1e-6)
        ->and($jar->mouthAreaCm2())
        ->toEqualWithDelta((M_PI * 7.6 ** 2) / 4, 1e-9)
        ->and($fit->brineToFill()->value)
        ->toEqualWithDelta($fit->usable->value - 500, 1e-9);
});

it('finds the food that fits, and says when it does not', function (): void {
    $jar = jarOf(946, 76, 90);
    $fits = JarFit::foodThatFits($jar, packed(20), 1.03, 0.65);
    expect(JarFit::of($jar, packed(20), $fits, 1.03, 0.65)->holdsTheFood())
        ->toBeTrue()
        ->and(JarFit::of($jar, packed(20), $fits->times(1.02), 1.03, 0.65)->holdsTheFood())
        ->toBeFalse();
});

it('stands as high as what is in it', function (): void {
    $jar = jarOf(1000, 80, 80);
    $fit = JarFit::of($jar, packed(20), Grams::of(500), 1.0, 0.65);
    expect($fit->liquidLevel(Millilitres::of(400))->value)
        ->toEqualWithDelta((900 / (M_PI * 16)) * 10, 1e-6)
        ->and($fit->foodLevel()->value)
        ->toEqualWithDelta((500 / 0.65 / (M_PI * 16)) * 10, 1e-6)
        ->and($fit->overflow(Millilitres::of(520))->value)
        ->toEqualWithDelta(20.0, 1e-6)
        ->and($fit->liquidLevel(Millilitres::of(100))->value)
        ->toBeLessThan($fit->foodLevel()->value);
});

it('refuses a jar that cannot be', function (float $ml, float $mouth, float $body): void {
    jarOf($ml, $mouth, $body);
})
    ->with([[946, 100, 90], [10, 76, 90], [200, 20, 400], [946, 5, 90]])
    ->throws(InvalidQuantity::class);
