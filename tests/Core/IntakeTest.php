<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Intake\BackgroundDiet;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Intake\SodiumSaving;
use Tempesal\Core\Intake\SodiumSavings;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
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
function threeDays(): IntakePeriod
{
    return new IntakePeriod([
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

it('means days with the band of their jars, counts what is live, and names the days without', function (): void {
    $period = threeDays();
    $mean = $period->ferments();
    // 1350 + 1600 + 1000 in three days; the kraut of both days is wrong in one way: below 40 + 50, above 52 + 60.
    expect($mean->typical)
        ->toEqualWithDelta(950.0 / 3.0, 1e-9)
        ->and($mean->low)
        ->toEqualWithDelta((950.0 - sqrt(90.0 ** 2 + 4.0 ** 2)) / 3.0, 1e-9)
        ->and($mean->high)
        ->toEqualWithDelta((950.0 + sqrt(112.0 ** 2 + 10.0 ** 2)) / 3.0, 1e-9)
        ->and($period->mean()->typical)
        ->toEqualWithDelta(3950.0 / 3.0, 1e-9);
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
});

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

/** @return array<string, SodiumSaving> by kind */
function savingsByKind(array $savings): array
{
    return array_combine(array_map(fn(SodiumSaving $one): string => $one->kind->value, $savings), $savings);
}

it('saves what the ledger says, the gentlest first', function (): void {
    $state = restingJar();
    $plate = Serve::of(Served::Pieces, Grams::of(40.0));
    $now = $plate->sodiumMg($state, Tempesal\Core\Estimate\Point::typical());
    $savings = SodiumSavings::of($state, $plate, null, [
        [
            'remedy' => RemedyKind::OtherJar,
            'text' => RemedyKind::OtherJar->fromJar('Beet'),
            'milligrams' => 100.0,
        ],
        [
            'remedy' => RemedyKind::OtherJar,
            'text' => RemedyKind::OtherJar->fromJar('Saltier'),
            'milligrams' => 900.0,
        ],
    ]);
    $by = savingsByKind($savings);
    // Nothing is known of how the pieces are cut: rinsing is taken to wash only the film away.
    expect(array_keys($by))->toContain('smaller', 'other_jar', 'soak');
    // 25 of 40 g.
    expect($by['smaller']->milligrams)
        ->toEqualWithDelta($now * 0.625, 1e-9)
        ->and(said($by['other_jar']->text))
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

it('fits a portion under a wanted number, and says what is not enough by itself', function (float $share): void {
    $state = restingJar();
    $plate = ServingStyle::WithJuice->plate(Served::Pieces, Grams::of(60.0));
    $now = $plate->sodiumMg($state, Tempesal\Core\Estimate\Point::typical());
    $savings = SodiumSavings::of($state, $plate, $now * $share);
    $enough = array_map(fn(SodiumSaving $one): bool => $one->isEnough, $savings);
    expect($enough)->toBe([...array_filter($enough), ...array_filter($enough, fn(bool $one): bool => !$one)]);
    foreach ($savings as $one) {
        expect($one->milligrams <= $now * $share + 1e-6)->toBe($one->isEnough);
    }
    $drain = savingsByKind($savings)['drain'];
    expect($drain->savesMg)->toBeGreaterThan(0.0);
})->with([0.9, 0.6, 0.3, 0.1]);

it('knows of a sauce only less of it, and of a crumb nothing', function (): void {
    $state = restingJar();
    $shot = Serve::of(Served::Brine, Grams::of(30.0));
    expect(array_keys(savingsByKind(SodiumSavings::of($state, $shot, null))))->toBe(['smaller']);
    expect(SodiumSavings::of($state, Serve::of(Served::Brine, Grams::of(0.05)), null))->toBe([]);
});

it('shares a day out over its meals and keeps every sum', function (): void {
    mt_srand(11);
    for ($round = 0; $round < 200; $round++) {
        $sums = array_combine(range(1, 7), array_map(fn(): int => mt_rand(0, 5000), range(1, 7)));
        $shares = ['morning' => mt_rand(0, 50), 'noon' => mt_rand(0, 50), 'evening' => mt_rand(0, 50)];
        $rest = BackgroundDiet::sharedOut($sums, $round % 4 === 0 ? null : array_map(floatval(...), $shares));
        foreach ($sums as $weekday => $sum) {
            expect($rest->on($weekday))->toBe($sum);
            foreach (Meal::cases() as $meal) {
                expect($rest->at($weekday, $meal))->toBeGreaterThanOrEqual(0);
            }
        }
    }
    // A quarter, 35 and 40 %: common practice, no source.
    $usual = BackgroundDiet::sharedOut([1 => 1000, 7 => 999]);
    expect($usual->toArray()[1])
        ->toBe(['morning' => 250, 'noon' => 350, 'evening' => 400])
        ->and($usual->on(1, [Meal::Noon]))
        ->toBe(650)
        ->and($usual->on(1, [Meal::Noon, Meal::Noon]))
        ->toBe(650)
        ->and($usual->on(1, Meal::cases()))
        ->toBe(0)
        ->and($usual->on(3))
        ->toBe(0)
        ->and(BackgroundDiet::of($usual->toArray())->toArray())
        ->toBe($usual->toArray());
    expect(fn() => BackgroundDiet::of([2 => ['noon' => -1]]))->toThrow(InvalidArgumentException::class);
});

it('weighs portions out in steps and never serves less than a mouthful', function (): void {
    $pieces = PortionSize::of(Phase::Pieces);
    $sauce = PortionSize::of(Phase::Sauce);
    expect($pieces->smaller(40.0, 0.625))
        ->toBe(25.0)
        ->and($pieces->smaller(40.0, 0.6))
        ->toBe(20.0)
        ->and($pieces->smaller(40.0, -1.0))
        ->toBe(10.0)
        ->and($pieces->smaller(10.0, 0.5))
        ->toBeNull()
        ->and($sauce->smaller(10.0, 0.66))
        ->toBe(6.0)
        ->and($sauce->smaller(3.0, 0.5))
        ->toBeNull();
});

it('finds the most that fits, and a step more no longer does', function (
    Served $served,
    ServingStyle $way,
    float $step,
    float $least,
): void {
    $state = restingJar();
    $plate = $way->plate($served, Grams::of(1.0));
    $holds = fn(float $grams): float => $plate
        ->weighing(Grams::of($grams))
        ->sodiumMg($state, Tempesal\Core\Estimate\Point::typical());
    foreach ([-5.0, 0.0, 20.0, 61.0, 150.0, 333.0, 900.0] as $room) {
        $most = PortionSize::most($state, $plate, $room, 600.0);
        if ($most === 0.0) {
            expect($holds($least))->toBeGreaterThan($room);
            continue;
        }
        expect($holds($most))
            ->toBeLessThanOrEqual($room + 1e-6)
            ->and($holds($most + $step))
            ->toBeGreaterThan($room)
            ->and(fmod($most, $step))
            ->toEqualWithDelta(0.0, 1e-9);
    }
    expect(PortionSize::most($state, $plate, 1e9, 37.0))->toBe(floor(37.0 / $step) * $step);
})->with([
    [Served::Pieces, ServingStyle::Drained, 5.0, 10.0],
    [Served::Pieces, ServingStyle::Rinsed, 5.0, 10.0],
    [Served::Brine, ServingStyle::Drained, 1.0, 3.0],
]);

it('knows a way from its plate, and ranks the remedies from gentle to stern', function (): void {
    foreach (ServingStyle::cases() as $way) {
        expect(ServingStyle::ofPlate($way->plate(Served::Pieces, Grams::of(30.0))))->toBe($way);
    }
    $ranks = array_map(fn(RemedyKind $one): int => $one->rank(), RemedyKind::cases());
    expect($ranks)
        ->toBe(range(0, count($ranks) - 1))
        ->and(RemedyKind::Drain->rank())
        ->toBeLessThan(RemedyKind::Smaller->rank())
        ->and(RemedyKind::LeaveOut->rank())
        ->toBe(max($ranks))
        ->and(said(RemedyKind::smaller(25, 40)))
        ->toBe('25 g instead of 40 g')
        ->and(said(RemedyKind::atFloor(0.015, 0.02)))
        ->toBe('make it with 1.5 % salt instead of 2 %, the least for this method');
});
