<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Intake\Period;
use Tempesal\Core\Intake\Saving;
use Tempesal\Core\Intake\Savings;
use Tempesal\Core\Intake\Way;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Salt\SaltDose;
use Tests\Support\Kitchen;

/*
 * What someone took in, reckoned by hand; and what would make a serving hold less.
 */

/** @return array<string, mixed> a serving of a day */
function eatenOf(string $source, float $low, float $typical, float $high, array $as = []): array
{
    return [
        'source' => $source,
        'name' => $as['name'] ?? ucfirst($source),
        'group' => $as['group'] ?? $source,
        'isCondiment' => $as['condiment'] ?? false,
        'isLive' => $as['live'] ?? true,
        'sodiumMg' => Band::of($low, $typical, $high),
    ];
}

/** Three days: kraut twice and a sauce, kraut once, nothing from a jar. */
function threeDays(): Period
{
    return new Period([
        new IntakeDay('2026-11-23', 1500.0, 900.0, 0.0, [
            eatenOf('kraut', 270.0, 300.0, 340.0),
            eatenOf('kraut', 90.0, 100.0, 112.0),
            eatenOf('sauce', 46.0, 50.0, 60.0, ['condiment' => true, 'live' => false]),
        ]),
        new IntakeDay('2026-11-24', 1500.0, 600.0, 500.0, [eatenOf('kraut', 450.0, 500.0, 560.0)]),
        new IntakeDay('2026-11-25', 1500.0, 1000.0, 0.0, []),
    ]);
}

it('tells a day apart by where its sodium came from', function (): void {
    [$first, $second, $third] = threeDays()->days;
    expect($first->totalMg())
        ->toBe(1350.0)
        ->and($first->of(false))
        ->toBe(400.0)
        ->and($first->of(true))
        ->toBe(50.0)
        ->and($first->live())
        ->toBe(2)
        ->and($second->totalMg())
        ->toBe(1600.0)
        ->and($third->ferments()->typical)
        ->toBe(0.0);
    // Of one jar the bands add up, of two they add as squares: below 40 and 4, above 52 and 10.
    expect($first->ferments()->low)
        ->toEqualWithDelta(450.0 - sqrt(40.0 ** 2 + 4.0 ** 2), 1e-9)
        ->and($first->ferments()->high)
        ->toEqualWithDelta(450.0 + sqrt(52.0 ** 2 + 10.0 ** 2), 1e-9);
});

it(
    'means days with the band of their jars, counts what is live, and names the days without',
    function (): void {
        $period = threeDays();
        $mean = $period->mean();
        // 1350 + 1600 + 1000 in three days; the kraut of both days is wrong in one way: below 40 + 50, above 52 + 60.
        expect($mean->typical)
            ->toEqualWithDelta(3950.0 / 3.0, 1e-9)
            ->and($mean->low)
            ->toEqualWithDelta((3950.0 - sqrt(90.0 ** 2 + 4.0 ** 2)) / 3.0, 1e-9)
            ->and($mean->high)
            ->toEqualWithDelta((3950.0 + sqrt(112.0 ** 2 + 10.0 ** 2)) / 3.0, 1e-9);
        expect($period->shares())
            ->toBe(['estimate' => 2500.0, 'written' => 500.0, 'ferments' => 900.0, 'condiments' => 50.0])
            ->and(array_sum($period->shares()))
            ->toEqualWithDelta(3950.0, 1e-9)
            ->and($period->daysPast())
            ->toBe(1)
            ->and($period->live())
            ->toBe(3)
            ->and($period->kinds())
            ->toBe(1)
            ->and($period->without())
            ->toBe(['2026-11-25'])
            ->and($period->sources())
            ->toBe([
                'kraut' => ['name' => 'Kraut', 'milligrams' => 900.0, 'servings' => 3],
                'sauce' => ['name' => 'Sauce', 'milligrams' => 50.0, 'servings' => 1],
            ]);
        expect($period->last(2)->mean()->typical)
            ->toBe(1300.0)
            ->and($period->last(99)->days)
            ->toHaveCount(3);
    },
);

it('reads a label in every way in which it is printed, and only so', function (): void {
    $read = fn(array $how): float => LabelSodium::milligrams(Fields::of($how));
    // 1 g of salt is 400 mg of sodium: Regulation (EU) No 1169/2011, Annex I; from memory.
    expect($read(['by' => 'salt', 'saltG' => 1]))
        ->toBe(400.0)
        ->and($read(['by' => 'per_100g', 'saltG' => 2.5, 'grams' => 20]))
        ->toEqualWithDelta(200.0, 1e-9)
        ->and($read(['by' => 'per_portion', 'sodiumMg' => 230, 'portions' => 0.5]))
        ->toBe(115.0)
        ->and($read(['by' => 'mg', 'milligrams' => 0]))
        ->toBe(0.0);
    foreach (
        [
            ['by' => 'salt', 'saltG' => 51],
            ['by' => 'salt', 'saltG' => '1'],
            ['by' => 'per_100g', 'grams' => 100],
            ['by' => 'per_portion', 'sodiumMg' => 100, 'portions' => 51],
            ['by' => 'per_portion', 'sodiumMg' => 9_000, 'portions' => 3],
            [],
        ]
        as $wrong
    ) {
        expect(fn() => $read($wrong))->toThrow(InvalidField::class);
    }
});

/** Pieces and brine at rest, 4 % of the water salt. */
function restingJar(): BatchState
{
    return (new Ledger([
        new Add(Kitchen::carrot(), Band::exact(600.0), Phase::Pieces),
        new Add(Kitchen::water(), Band::exact(600.0), Phase::Brine),
        new Salt(SaltDose::weighed(Kitchen::pureSalt(), Grams::of(24.0)), Phase::Brine),
    ]))
        ->settled()
        ->state();
}

/** @return array<string, Saving> by kind */
function savingsByKind(array $savings): array
{
    return array_combine(array_map(fn(Saving $one): string => $one->kind, $savings), $savings);
}

it('saves what the ledger says, the gentlest first', function (): void {
    $state = restingJar();
    $plate = Serve::of(Phase::Pieces, Grams::of(40.0));
    $now = $plate->sodiumMg($state, Tempesal\Core\Estimate\Point::typical());
    $savings = Savings::of($state, $plate, null, [
        ['kind' => 'other_jar', 'text' => 'Beet instead', 'cost' => 'another taste', 'milligrams' => 100.0],
        [
            'kind' => 'other_jar',
            'text' => 'Saltier instead',
            'cost' => 'another taste',
            'milligrams' => 900.0,
        ],
    ]);
    $by = savingsByKind($savings);
    // Nothing is known of how the pieces are cut: rinsing is taken to wash only the film away.
    expect(array_keys($by))->toContain('smaller', 'other_jar', 'soak');
    // 25 of 40 g.
    expect($by['smaller']->milligrams)
        ->toEqualWithDelta($now * 0.625, 1e-9)
        ->and($by['other_jar']->text)
        ->toBe('Beet instead')
        ->and($by['other_jar']->savesMg)
        ->toEqualWithDelta($now - 100.0, 1e-9);
    // Three times its weight of fresh water, given the time, takes about two thirds to three quarters of it.
    expect($by['soak']->milligrams / $now)
        ->toBeGreaterThan(0.15)
        ->toBeLessThan(0.5);
    foreach ($savings as $one) {
        expect($one->milligrams + $one->savesMg)
            ->toEqualWithDelta($now, 1e-9)
            ->and($one->toArray()['savesPercent'])
            ->toEqualWithDelta(($one->savesMg / $now) * 100.0, 1e-9)
            ->and($one->isEnough)
            ->toBeTrue();
    }
});

it('fits a portion under a wanted number, and says what is not enough by itself', function (
    float $share,
): void {
    $state = restingJar();
    $plate = Way::WithJuice->plate(Phase::Pieces, Grams::of(60.0));
    $now = $plate->sodiumMg($state, Tempesal\Core\Estimate\Point::typical());
    $savings = Savings::of($state, $plate, $now * $share);
    $enough = array_map(fn(Saving $one): bool => $one->isEnough, $savings);
    expect($enough)->toBe([...array_filter($enough), ...array_filter($enough, fn(bool $one): bool => !$one)]);
    foreach ($savings as $one) {
        expect($one->milligrams <= $now * $share + 1e-6)->toBe($one->isEnough);
    }
    $drain = savingsByKind($savings)['drain'];
    expect($drain->savesMg)->toBeGreaterThan(0.0);
})->with([0.9, 0.6, 0.3, 0.1]);

it('knows of a sauce only less of it, and of a crumb nothing', function (): void {
    $state = restingJar();
    $shot = Serve::of(Phase::Brine, Grams::of(30.0));
    expect(array_keys(savingsByKind(Savings::of($state, $shot, null))))->toBe(['smaller']);
    expect(Savings::of($state, Serve::of(Phase::Brine, Grams::of(0.05)), null))->toBe([]);
});
