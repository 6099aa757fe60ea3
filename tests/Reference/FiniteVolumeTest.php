<?php

declare(strict_types=1);

use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\UptakeSeries;

/*
 * The same physics by another road: the piece cut into thin shells, salt passed from shell to shell in small steps of
 * time, the bath losing what the piece takes up. Crank and Nicolson's scheme, which is unconditionally stable; nothing
 * of the series' analysis goes into it.
 */
function shells(PieceForm $form, float $fourier, float $alpha, int $count = 160, int $steps = 1200): float
{
    $power = match ($form) {
        PieceForm::Sheet => 0,
        PieceForm::Cylinder => 1,
        PieceForm::Sphere => 2,
    };
    // Shells are thin at the surface, where the gradient is steep.
    $edges = array_map(fn(int $i): float => 1.0 - (1.0 - $i / $count) ** 1.5, range(0, $count));
    $middles = $volumes = $areas = [];
    for ($i = 0; $i < $count; $i++) {
        $middles[$i] = ($edges[$i] + $edges[$i + 1]) / 2.0;
        $volumes[$i] = ($edges[$i + 1] ** ($power + 1) - $edges[$i] ** ($power + 1)) / ($power + 1);
        $areas[$i + 1] = $edges[$i + 1] ** $power;
    }
    $whole = array_sum($volumes);
    $bath = $alpha * $whole;
    // What flows between two neighbours for a difference of one; the bath is the last neighbour.
    $flow = [];
    for ($i = 0; $i < $count; $i++) {
        $next = $i === $count - 1 ? 1.0 : $middles[$i + 1];
        $flow[$i] = $areas[$i + 1] / ($next - $middles[$i]);
    }
    $sizes = [...$volumes, $bath];
    $salt = [...array_fill(0, $count, 0.0), 1.0];
    $n = $count + 1;

    // Steps grow with time: the start is quick.
    $ratio = 1.005;
    $step = ($fourier * ($ratio - 1.0)) / ($ratio ** $steps - 1.0);
    for ($t = 0; $t < $steps; $t++, $step *= $ratio) {
        $implicit = $t < 4 ? 1.0 : 0.5;
        $below = $main = $above = $right = [];
        for ($i = 0; $i < $n; $i++) {
            $left = $i > 0 ? $flow[$i - 1] * $step : 0.0;
            $out = $i < $n - 1 ? $flow[$i] * $step : 0.0;
            $below[$i] = -$implicit * $left;
            $above[$i] = -$implicit * $out;
            $main[$i] = $sizes[$i] + $implicit * ($left + $out);
            $right[$i] =
                $sizes[$i] * $salt[$i] +
                (1.0 - $implicit) *
                    ($left * (($salt[$i - 1] ?? 0.0) - $salt[$i]) + $out * (($salt[$i + 1] ?? 0.0) - $salt[$i]));
        }
        // Thomas's algorithm for three diagonals.
        for ($i = 1; $i < $n; $i++) {
            $factor = $below[$i] / $main[$i - 1];
            $main[$i] -= $factor * $above[$i - 1];
            $right[$i] -= $factor * $right[$i - 1];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            $salt[$i] = ($right[$i] - ($i < $n - 1 ? $above[$i] * $salt[$i + 1] : 0.0)) / $main[$i];
        }
    }
    $taken = 0.0;
    for ($i = 0; $i < $count; $i++) {
        $taken += $volumes[$i] * $salt[$i];
    }
    $atRest = ($whole * $bath) / ($whole + $bath);

    return $taken / $atRest;
}

it('agrees with shells of a piece passing salt on', function (PieceForm $form, float $fourier, float $alpha): void {
    expect(UptakeSeries::share($form, $fourier, $alpha))->toEqualWithDelta(shells($form, $fourier, $alpha), 1e-4);
})->with([
    [PieceForm::Sheet, 0.001, 0.3],
    [PieceForm::Sheet, 0.02, 0.9],
    [PieceForm::Sheet, 0.1, 1.0],
    [PieceForm::Sheet, 0.6, 5.0],
    [PieceForm::Cylinder, 0.002, 0.3],
    [PieceForm::Cylinder, 0.03, 0.15],
    [PieceForm::Cylinder, 0.1, 1.5],
    [PieceForm::Cylinder, 0.3, 20.0],
    [PieceForm::Sphere, 0.001, 2.0],
    [PieceForm::Sphere, 0.05, 0.8],
    [PieceForm::Sphere, 0.15, 0.1],
    [PieceForm::Sphere, 0.3, 2.0],
]);
