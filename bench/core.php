<?php

declare(strict_types=1);

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\UptakeSeries;
use Tests\Support\RandomHistory;

/*
 * How fast the ledger computes, and whether ten thousand random histories lose anything:
 *   php bench/core.php
 */
require dirname(__DIR__) . '/vendor/autoload.php';

/** @param  list<float>  $times  milliseconds */
function spread(array $times): string
{
    sort($times);

    return sprintf(
        'median %.2f ms, 95 %% within %.2f ms',
        $times[intdiv(count($times), 2)],
        $times[(int) (count($times) * 0.95)],
    );
}

/** @return float milliseconds */
function timed(callable $run): float
{
    $start = hrtime(true);
    $run();

    return (hrtime(true) - $start) / 1e6;
}

$full = [];
for ($seed = 1; count($full) < 200; $seed++) {
    $history = RandomHistory::seeded($seed, 27);
    $state = $history->state();
    $phase = $state->isOnePhase() ? Phase::Sauce : Phase::Pieces;
    if (count($history->lines) === 30 && $state->phase($phase)->weightG() > 50.0) {
        $full[] = [$history, Serve::of($phase, Grams::of(40.0))];
    }
}
$times = $inputs = [];
foreach ($full as [$history, $serving]) {
    $fresh = static fn(): Ledger => new Ledger($history->lines);
    $times[] = timed(static function () use ($fresh, $serving): void {
        $fresh()->estimates($serving);
    });
    $point = Point::typical();
    $history->state($point);
    $inputs[] = count($point->asked());
}
sort($inputs);
printf(
    "%-52s %s (%d to %d uncertain inputs)\n",
    'a batch of 30 entries, three bands and a serving',
    spread($times),
    $inputs[0],
    end($inputs),
);

foreach (PieceForm::cases() as $form) {
    foreach ([1e-6, 1e-3, 0.1] as $fourier) {
        $alpha = 0.5;
        $times = [];
        for ($i = 0; $i < 40; $i++) {
            $alpha += 0.01;
            $times[] = timed(static fn() => UptakeSeries::share($form, $fourier, $alpha));
        }
        printf(
            "%-52s %s\n",
            "uptake of a {$form->value} at Fo " . rtrim(sprintf('%.6f', $fourier), '0') . ', new bath',
            spread($times),
        );
    }
}

$worst = 0.0;
$entries = 0;
$start = hrtime(true);
for ($seed = 1; $seed <= 10_000; $seed++) {
    $history = RandomHistory::seeded($seed, 1 + ($seed % 40));
    $entries += count($history->lines);
    $worst = max($worst, abs($history->state()->sodiumAstray()));
}
printf(
    "10000 random histories, %d entries, in %.1f s: at the most %.1e mg of sodium astray\n",
    $entries,
    (hrtime(true) - $start) / 1e9,
    $worst,
);
exit($worst < 1e-3 ? 0 : 1);
