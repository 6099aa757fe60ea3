<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Uptake\BathKind;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\SharedBath;
use Tempesal\Core\Uptake\UptakeSeries;

/** A kind of pieces: half-thickness or radius in mm, D in 1e-10 m²/s, g of water, K. */
function piecesAs(PieceForm $form, float $reachMm, float $diffusivity, float $waterG, float $partition = 1.0): BathKind
{
    return new BathKind($form, ($reachMm * 1e-3) ** 2 / ($diffusivity * 1e-10), $partition * $waterG);
}

/**
 * What a bath and its kinds come to, in concentrations over K, from what they began with.
 *
 * @param  list<BathKind>  $kinds
 * @param  list<float>  $began  the bath's first
 * @return list<float>
 */
function comeTo(float $seconds, float $waterG, array $kinds, array $began): array
{
    return array_map(
        fn(array $row): float => array_sum(array_map(fn(float $part, float $one): float => $part * $one, $row, $began)),
        SharedBath::response($seconds, $waterG, $kinds),
    );
}

// Check values of the handbook, from an independent computation: contour and finite volumes agree to 1e-6 there.
it('agrees with the check values', function (): void {
    $leaf = piecesAs(PieceForm::Sheet, 0.75, 5.0, 450.0);
    $ribs = piecesAs(PieceForm::Sheet, 4.0, 5.0, 400.0);
    [, $inLeaf, $inRibs] = comeTo(7_200.0, 1_800.0, [$leaf, $ribs], [1.0 / 1_800.0, 0.0, 0.0]);
    expect($inLeaf * 450.0)
        ->toEqualWithDelta(0.182612, 1e-6)
        ->and($inRibs * 400.0)
        ->toEqualWithDelta(0.088659, 1e-6);

    $coins = piecesAs(PieceForm::Sheet, 2.5, 5.0, 350.0);
    $cloves = piecesAs(PieceForm::Sphere, 8.0, 2.0, 40.0);
    [, $inCoins, $inCloves] = comeTo(43_200.0, 500.0, [$coins, $cloves], [1.0 / 500.0, 0.0, 0.0]);
    expect($inCoins * 350.0)
        ->toEqualWithDelta(0.396132, 1e-6)
        ->and($inCloves * 40.0)
        ->toEqualWithDelta(0.038527, 1e-6);

    $kinds = [piecesAs(PieceForm::Sheet, 0.75, 5.0, 450.0, 0.95), piecesAs(PieceForm::Sheet, 4.0, 5.0, 400.0, 0.95)];
    [$bath, $leaf, $ribs] = comeTo(1_800.0, 1_000.0, $kinds, [0.0, 40.0 / 0.95, 25.0 / 0.95]);
    expect([$bath, 0.95 * $leaf, 0.95 * $ribs])->toEqualWithDelta([13.5752, 12.9717, 21.4687], 1e-4);
});

it('is the series where there is one kind', function (PieceForm $form): void {
    $chance = new Randomizer(new Mt19937(4));
    foreach (range(1, 300) as $_) {
        $fourier = 10.0 ** (-6.0 + (7.0 * $chance->getInt(0, 1_000_000)) / 1e6);
        $alpha = 10.0 ** (-1.3 + (7.3 * $chance->getInt(0, 1_000_000)) / 1e6);
        [, $taken] = comeTo($fourier, $alpha, [new BathKind($form, 1.0, 1.0)], [1.0, 0.0]);
        expect(($taken * (1.0 + $alpha)) / $alpha)->toEqualWithDelta(
            UptakeSeries::share($form, $fourier, $alpha),
            1e-7,
        );
    }
})->with(PieceForm::cases());

it('takes two kinds that are alike for one', function (): void {
    $half = piecesAs(PieceForm::Cylinder, 6.0, 5.0, 150.0);
    $whole = piecesAs(PieceForm::Cylinder, 6.0, 5.0, 300.0);
    [$bath, $one] = comeTo(9_000.0, 400.0, [$whole], [30.0, 5.0]);
    expect(comeTo(9_000.0, 400.0, [$half, $half], [30.0, 5.0, 5.0]))->toEqualWithDelta([$bath, $one, $one], 1e-9);
});

/**
 * The same by another road: every kind cut into thin shells around one stirred bath, Crank and Nicolson's scheme.
 *
 * @param  list<BathKind>  $kinds
 * @param  list<float>  $began  concentrations over K, the bath's first
 * @return list<float>
 */
function shellsInOneBath(float $seconds, float $waterG, array $kinds, array $began, int $count = 130): array
{
    $steps = 400;
    $shells = [];
    foreach ($kinds as $k => $kind) {
        $n = $kind->form->dimension();
        $edges = array_map(fn(int $i): float => 1.0 - (1.0 - $i / $count) ** 1.6, range(0, $count));
        $size = $flow = [];
        for ($i = 0; $i < $count; $i++) {
            $size[$i] = $kind->takesUpG * ($edges[$i + 1] ** $n - $edges[$i] ** $n);
            $next = $i === $count - 1 ? 1.0 : ($edges[$i + 1] + $edges[$i + 2]) / 2.0;
            $flow[$i] =
                ($kind->takesUpG * $n * $edges[$i + 1] ** ($n - 1)) /
                ($next - ($edges[$i] + $edges[$i + 1]) / 2.0) /
                $kind->crossingS;
        }
        $shells[$k] = ['size' => $size, 'flow' => $flow, 'salt' => array_fill(0, $count, $began[$k + 1])];
    }
    $bath = $began[0];
    $ratio = 1.02;
    $step = ($seconds * ($ratio - 1.0)) / ($ratio ** $steps - 1.0);
    for ($t = 0; $t < $steps; $t++, $step *= $ratio) {
        $implicit = $t < 4 ? 1.0 : 0.5;
        // Each kind is solved up to its outermost shell, as far as the bath is unknown: a + b times the bath.
        $main = $waterG;
        $right = $waterG * $bath;
        $solved = [];
        foreach ($shells as $k => ['size' => $size, 'flow' => $flow, 'salt' => $salt]) {
            $a = $b = $m = [];
            for ($i = 0; $i < $count; $i++) {
                $left = $i > 0 ? $flow[$i - 1] * $step : 0.0;
                $out = $flow[$i] * $step;
                $outer = $i === $count - 1 ? $bath : $salt[$i + 1];
                $m[$i] = $size[$i] + $implicit * ($left + $out);
                $a[$i] =
                    $size[$i] * $salt[$i] +
                    (1.0 - $implicit) *
                        ($left * (($i > 0 ? $salt[$i - 1] : 0.0) - $salt[$i]) + $out * ($outer - $salt[$i]));
                $b[$i] = $i === $count - 1 ? $implicit * $out : 0.0;
                if ($i > 0) {
                    $factor = ($implicit * $left) / $m[$i - 1];
                    $m[$i] -= $factor * $implicit * $left;
                    $a[$i] += $factor * $a[$i - 1];
                }
            }
            $last = $count - 1;
            $edge = $flow[$last] * $step;
            $main += $implicit * $edge - ($implicit * $edge * $b[$last]) / $m[$last];
            $right += ($implicit * $edge * $a[$last]) / $m[$last] + (1.0 - $implicit) * $edge * ($salt[$last] - $bath);
            $solved[$k] = [$a, $b, $m];
        }
        $bath = $right / $main;
        foreach ($solved as $k => [$a, $b, $m]) {
            $salt = [];
            for ($i = $count - 1; $i >= 0; $i--) {
                $inwards =
                    $i === $count - 1 ? $b[$i] * $bath : $implicit * $shells[$k]['flow'][$i] * $step * $salt[$i + 1];
                $salt[$i] = ($a[$i] + $inwards) / $m[$i];
            }
            ksort($salt);
            $shells[$k]['salt'] = $salt;
        }
    }
    $means = [$bath];
    foreach ($shells as ['size' => $size, 'salt' => $salt]) {
        $means[] = array_sum(array_map(fn(float $g, float $c): float => $g * $c, $size, $salt)) / array_sum($size);
    }

    return $means;
}

it('agrees with shells that pass salt on, wherever they begin', function (): void {
    $seed = 20261130;
    $chance = new Randomizer(new Mt19937($seed));
    $between = fn(float $low, float $high): float => $low + (($high - $low) * $chance->getInt(0, 1_000_000)) / 1e6;
    foreach (range(1, 100) as $point) {
        $seconds = 10.0 ** $between(2.5, 5.5);
        $waterG = $between(50.0, 2_000.0);
        $began = [$between(0.0, 60.0)];
        $kinds = [];
        foreach (range(1, 1 + ($point % 3)) as $_) {
            $kinds[] = piecesAs(
                PieceForm::cases()[$chance->getInt(0, 2)],
                $between(0.7, 12.0),
                $between(1.0, 8.0),
                $between(30.0, 800.0),
                $between(0.85, 1.05),
            );
            $began[] = $between(0.0, 60.0);
        }
        expect(comeTo($seconds, $waterG, $kinds, $began))->toEqualWithDelta(
            shellsInOneBath($seconds, $waterG, $kinds, $began),
            4e-3,
            "seed {$seed}, point {$point}",
        );
    }
});
