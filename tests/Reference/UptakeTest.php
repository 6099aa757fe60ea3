<?php

declare(strict_types=1);

use Tempesal\Core\Uptake\Bessel;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\ShortTime;
use Tempesal\Core\Uptake\UptakeSeries;

// Computed apart from this program: series and finite-volume solution agree to 5e-6.
it('agrees with the check values', function (PieceForm $form, float $fourier, float $alpha, float $share): void {
    expect(UptakeSeries::share($form, $fourier, $alpha))->toEqualWithDelta($share, 1e-5);
})->with([
    [PieceForm::Sheet, 0.1, 1.0, 0.55284],
    [PieceForm::Cylinder, 0.1, 1.5, 0.74958],
    [PieceForm::Sphere, 0.05, 0.8, 0.81521],
    [PieceForm::Sheet, 0.02, 0.9, 0.29499],
    [PieceForm::Sphere, 0.3, 2.0, 0.98817],
]);

// Inversion of the Laplace transform by scipy, tests/Reference/data/uptake.py: 288 points from Fo 1e-6 to 10, alpha
// 0.05 to 1e6.
it('agrees with the Laplace transform wherever salt can be on its way', function (): void {
    $rows = array_slice(file(__DIR__ . '/data/uptake.csv', FILE_IGNORE_NEW_LINES), 1);
    expect(count($rows))->toBeGreaterThanOrEqual(200);
    foreach ($rows as $row) {
        [$form, $fourier, $alpha, $share] = explode(',', $row);
        expect(UptakeSeries::share(PieceForm::from($form), (float) $fourier, (float) $alpha))->toEqualWithDelta(
            (float) $share,
            1e-6,
            $row,
        );
    }
});

it('goes over from the contour to the series without a step', function (PieceForm $form): void {
    foreach ([0.0, 0.2, 2.0, 20.0] as $beta) {
        foreach ([1e-4, 1e-3, ShortTime::UNTIL] as $fourier) {
            expect(ShortTime::share($form, $fourier, $beta))->toEqualWithDelta(
                UptakeSeries::sum($form, $fourier, $beta),
                5e-9,
            );
        }
    }
})->with(PieceForm::cases());

// Crank, 4.20: soon after the start an unlimited bath has carried a sheet 2 sqrt(Fo / pi) of the way.
it('starts with the square root of time', function (): void {
    foreach ([1e-12, 1e-9, 1e-5] as $fourier) {
        expect(UptakeSeries::share(PieceForm::Sheet, $fourier, INF) / (2.0 * sqrt($fourier / M_PI)))->toEqualWithDelta(
            1.0,
            1e-6,
        );
    }
});

// The unlimited bath is the limited one that grows and grows.
it('goes over into the unlimited bath', function (PieceForm $form): void {
    foreach ([1e-6, 1e-3, 0.03, 0.5] as $fourier) {
        expect(UptakeSeries::share($form, $fourier, 1e9))->toEqualWithDelta(
            UptakeSeries::share($form, $fourier, INF),
            1e-6,
        );
    }
})->with(PieceForm::cases());

it('grows with time from nothing to all of the way, whatever the bath', function (PieceForm $form): void {
    foreach ([0.05, 0.7, 30.0, INF] as $alpha) {
        $before = 0.0;
        for ($exponent = -9.0; $exponent <= 1.0; $exponent += 0.125) {
            $share = UptakeSeries::share($form, 10.0 ** $exponent, $alpha);
            expect($share)->toBeGreaterThanOrEqual($before)->toBeLessThanOrEqual(1.0);
            $before = $share;
        }
        expect($before)->toEqualWithDelta(1.0, 1e-6);
    }
})->with(PieceForm::cases());

// Half times in an unlimited bath: Crank, The Mathematics of Diffusion, 2nd ed. 1975, chapters 4 to 6.
it('is half-way at the classical times', function (PieceForm $form, float $fourier): void {
    expect(UptakeSeries::share($form, $fourier, INF))->toEqualWithDelta(0.5, 4e-4);
})->with([[PieceForm::Sheet, 0.1967], [PieceForm::Cylinder, 0.0631], [PieceForm::Sphere, 0.0305]]);

// Abramowitz and Stegun, Handbook of Mathematical Functions, tables 9.1 and 9.5.
it('knows the Bessel functions', function (): void {
    expect(Bessel::j0(1.0))
        ->toEqualWithDelta(0.7651976866, 1e-9)
        ->and(Bessel::j1(1.0))
        ->toEqualWithDelta(0.4400505857, 1e-9)
        ->and(Bessel::j0(10.0))
        ->toEqualWithDelta(-0.2459357645, 1e-9)
        ->and(Bessel::j1(15.0))
        ->toEqualWithDelta(0.2051040386, 1e-9)
        ->and(Bessel::j0(2.4048255577))
        ->toEqualWithDelta(0.0, 1e-9)
        ->and(Bessel::j1(3.8317059702))
        ->toEqualWithDelta(0.0, 1e-9)
        ->and(Bessel::j0(14.9309177086))
        ->toEqualWithDelta(0.0, 1e-9);
});
