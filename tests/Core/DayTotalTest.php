<?php

declare(strict_types=1);

use Tempesal\Core\Intake\DayTotal;
use Tempesal\Core\Intake\DietKnowledge;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Measure\Band;

/*
 * Totals that are as honest as their parts: jars narrowly, the rest of the diet as widely as it is known.
 */

/** A number of a normal distribution around 0 with a half-width that 90 % lie within. */
function offBy(float $half): float
{
    $u = (mt_rand() + 1.0) / (mt_getrandmax() + 2.0);
    $v = (mt_rand() + 1.0) / (mt_getrandmax() + 2.0);

    return ($half / 1.645) * sqrt(-2.0 * log($u)) * cos(2.0 * M_PI * $v);
}

it('has the two half-widths of an estimate, and those of written foods and jars', function (): void {
    $total = DayTotal::of([900.0, 600.0], ['soup' => 500.0], Band::of(90.0, 100.0, 120.0), DietKnowledge::Typical);
    // By hand: 15 % of 750 every day; 30 % of each of two days; 20 % of 500 in two days.
    $half = sqrt((0.15 * 750.0) ** 2 + (0.3 ** 2 * (900.0 ** 2 + 600.0 ** 2)) / 4.0 + (0.2 * 250.0) ** 2);
    expect($total->rest->typical)
        ->toEqualWithDelta(1000.0, 1e-9)
        ->and($total->rest->high - $total->rest->typical)
        ->toEqualWithDelta($half, 1e-9)
        ->and($total->all->typical)
        ->toEqualWithDelta(1100.0, 1e-9)
        ->and($total->all->low)
        ->toEqualWithDelta(1100.0 - hypot($half, 10.0), 1e-9)
        ->and($total->all->high)
        ->toEqualWithDelta(1100.0 + hypot($half, 20.0), 1e-9);
});

it('rounds a total as far as its band lets it be said', function (float $value, float $half, int $shown): void {
    expect(DayTotal::rounded($value, Band::of($value - $half, $value, $value + $half)))->toBe($shown);
})->with([
    [1187.0, 5.0, 1190],
    [1187.0, 49.9, 1190],
    [1187.0, 50.1, 1200],
    [1160.0, 200.0, 1150],
    [1187.0, 249.0, 1200],
    [1187.0, 600.0, 1200],
    [1140.0, 600.0, 1100],
]);

it('knows the chance that a target is passed, and says it in words', function (): void {
    $of = static fn(float $typical, float $half): DayTotal => DayTotal::of(
        [0.0],
        [],
        Band::of($typical - $half, $typical, $typical + $half),
        DietKnowledge::Rough,
    );
    // A table of the normal distribution: one deviation above the mean 15.87 %, 1.645 of them 5.00 %.
    $deviation = 164.5 / 1.645;
    expect($of(1400.0, 164.5)->chanceOver(1400.0 + $deviation))
        ->toEqualWithDelta(0.158655, 1e-5)
        ->and($of(1400.0, 164.5)->chanceOver(1400.0 + 164.5))
        ->toEqualWithDelta(0.05, 2e-5)
        ->and($of(1400.0, 164.5)->chanceOver(1400.0))
        ->toEqualWithDelta(0.5, 1e-6)
        ->and($of(1400.0, 0.0)->chanceOver(1399.0))
        ->toBe(1.0)
        ->and($of(1400.0, 0.0)->chanceOver(1401.0))
        ->toBe(0.0);
    $words = static fn(float $target): ?string => $of(1400.0, 164.5)->chanceInWords($target)?->code;
    expect([$words(1700), $words(1530), $words(1480), $words(1430), $words(1400), $words(1330), $words(1200)])->toBe([
        null,
        'chance.tenth',
        'chance.quarter',
        'chance.third',
        'chance.half',
        'chance.most',
        'chance.nearly_all',
    ]);
});

it('covers what simulated eaters had, on a day and over four weeks', function (DietKnowledge $known, int $seed): void {
    mt_srand($seed);
    $eaters = 600;
    $inDay = $inMonth = 0;
    for ($eater = 0; $eater < $eaters; $eater++) {
        $estimates = array_map(static fn(): float => (float) mt_rand(700, 1300), range(1, 28));
        $alike = offBy($known->everyDay());
        $had = array_map(static fn(float $one): float => $one * (1.0 + $alike + offBy($known->ofTheDay())), $estimates);
        // Carrots twice a week from one jar that holds more or less than was reckoned.
        $jar = offBy(20.0);
        $days = [];
        foreach ($estimates as $day => $estimate) {
            $eats = $day % 3 === 0;
            $had[$day] += $eats ? 160.0 + $jar : 0.0;
            $days[] = new IntakeDay(
                "day {$day}",
                1500.0,
                $estimate,
                0.0,
                $eats
                    ? [
                        [
                            'source' => 'jar',
                            'name' => 'Carrots',
                            'group' => 'brined',
                            'isCondiment' => false,
                            'isLive' => true,
                            'sodiumMg' => Band::of(140.0, 160.0, 180.0),
                        ],
                    ]
                    : [],
            );
        }
        $first = (new IntakePeriod([$days[0]], $known))->mean();
        $month = (new IntakePeriod($days, $known))->mean();
        $inDay += $had[0] >= $first->low && $had[0] <= $first->high ? 1 : 0;
        $mean = array_sum($had) / 28.0;
        $inMonth += $mean >= $month->low && $mean <= $month->high ? 1 : 0;
    }
    // About 90 % of 600: three standard deviations of a count are 3.7 %.
    expect($inDay / $eaters)
        ->toEqualWithDelta(0.9, 0.045, "seed {$seed}")
        ->and($inMonth / $eaters)
        ->toEqualWithDelta(0.9, 0.045, "seed {$seed}");
})
    ->with(DietKnowledge::cases())
    ->with(fn(): array => [random_int(1, 1_000_000_000)]);
