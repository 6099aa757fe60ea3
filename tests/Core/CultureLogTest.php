<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use Tempesal\Core\Intake\CultureLog;
use Tempesal\Core\Intake\CultureThread;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Method\CultureGroup;

const LOG_TODAY = '2026-11-30';

/** @return array{date: string, group: CultureGroup, name: string, grams: float, isYoung: bool|null} */
function ateLive(
    int $daysAgo,
    CultureGroup $group,
    float $grams = 20.0,
    ?bool $isYoung = null,
    string $name = 'A jar',
): array {
    return [
        'date' => CarbonImmutable::parse(LOG_TODAY)
            ->subDays($daysAgo)
            ->toDateString(),
        'group' => $group,
        'name' => $name,
        'grams' => $grams,
        'isYoung' => $isYoung,
    ];
}

it('counts weeks back from today, today in the last of them', function (): void {
    $log = CultureLog::of(
        [
            ateLive(0, CultureGroup::Kraut, 25.0),
            ateLive(6, CultureGroup::Kraut, 25.0),
            ateLive(6, CultureGroup::Dairy, 125.0),
            ateLive(7, CultureGroup::Kraut, 10.0),
            ateLive(83, CultureGroup::Kraut, 5.0),
            ateLive(84, CultureGroup::Kraut, 1000.0),
        ],
        ['kraut' => '2026-01-01', 'dairy' => '2026-01-01'],
        LOG_TODAY,
    );
    expect(count($log->weeks))
        ->toBe(CultureLog::WEEKS)
        ->and($log->weeks[11])
        ->toBe(['from' => '2026-11-24', 'to' => '2026-11-30', 'servings' => 3, 'grams' => 175.0, 'kinds' => 2])
        ->and($log->weeks[10]['grams'])
        ->toBe(10.0)
        ->and($log->weeks[0])
        ->toBe(['from' => '2026-09-08', 'to' => '2026-09-14', 'servings' => 1, 'grams' => 5.0, 'kinds' => 1])
        ->and(array_sum(array_column($log->weeks, 'servings')))
        ->toBe(5);
});

it('knows what is new and what has been missing, to the day', function (): void {
    $flags = static function (int $first, int $last): array {
        $log = CultureLog::of(
            [ateLive($last, CultureGroup::Kimchi)],
            [
                'kimchi' => CarbonImmutable::parse(LOG_TODAY)
                    ->subDays($first)
                    ->toDateString(),
            ],
            LOG_TODAY,
        );

        return [$log->threads[0]->isNew, $log->threads[0]->isMissed()];
    };
    expect($flags(13, 3))
        ->toBe([true, false])
        ->and($flags(14, 3))
        ->toBe([false, false])
        ->and($flags(200, 20))
        ->toBe([false, false])
        ->and($flags(200, 21))
        ->toBe([false, true]);
});

it('adds up the same by weeks and by threads, whatever was eaten', function (int $seed): void {
    mt_srand($seed);
    $groups = CultureGroup::cases();
    $eaten = array_map(
        static fn(): array => ateLive(
            mt_rand(0, 120),
            $groups[mt_rand(0, count($groups) - 1)],
            mt_rand(1, 2000) / 10.0,
            [true, false, null][mt_rand(0, 2)],
            'Jar ' . mt_rand(1, 4),
        ),
        range(1, mt_rand(1, 90)),
    );
    $log = CultureLog::of($eaten, [], LOG_TODAY);
    $within = array_filter($eaten, static fn(array $one): bool => $one['date'] >= '2026-09-08');
    expect(array_sum(array_column($log->weeks, 'grams')))
        ->toEqualWithDelta(array_sum(array_column($within, 'grams')), 1e-9)
        ->and(array_sum(array_map(static fn(CultureThread $one): int => $one->servings(), $log->threads)))
        ->toBe(count($within))
        ->and(array_sum(array_map(static fn(CultureThread $one): int => $one->young() + $one->ripe(), $log->threads)))
        ->toBe(count(array_filter($within, static fn(array $one): bool => $one['isYoung'] !== null)));
    $last = array_map(static fn(CultureThread $one): string => $one->lastOn(), $log->threads);
    $sorted = $last;
    rsort($sorted);
    expect($last)->toBe($sorted, "seed {$seed}");
})->with(fn(): array => array_map(static fn(): int => random_int(1, 1_000_000_000), range(1, 12)));

it('says a kind once for each of its jars, the one that was eaten last first', function (): void {
    $log = CultureLog::of(
        [
            ateLive(30, CultureGroup::Kraut, 20.0, true, 'Plain'),
            ateLive(2, CultureGroup::Kraut, 20.0, false, 'Red'),
            ateLive(1, CultureGroup::Kraut, 20.0, false, 'Red'),
            ateLive(0, CultureGroup::Drink, 120.0, null, 'Kombucha'),
        ],
        [],
        LOG_TODAY,
    );
    expect(array_map(static fn(CultureThread $one): string => $one->group->family(), $log->threads))
        ->toBe(['drink', 'plant'])
        ->and($log->threads[1]->names())
        ->toBe(['Plain', 'Red'])
        ->and([$log->threads[1]->young(), $log->threads[1]->ripe()])
        ->toBe([1, 2]);
});

it('tells by the clock at which meal something was eaten', function (string $time, Meal $meal): void {
    expect(Meal::at($time))->toBe($meal);
})->with([
    ['00:00', Meal::Morning],
    ['10:59', Meal::Morning],
    ['11:00', Meal::Noon],
    ['15:59', Meal::Noon],
    ['16:00', Meal::Evening],
    ['23:59', Meal::Evening],
]);

it('comes to the mean of the days over its meals and what names none', function (): void {
    $serving = static fn(float $mg, ?Meal $meal): array => [
        'source' => "b{$mg}",
        'name' => 'A jar',
        'group' => 'kraut',
        'isCondiment' => false,
        'isLive' => true,
        'sodiumMg' => Band::exact($mg),
        ...$meal === null ? [] : ['meal' => $meal],
    ];
    $period = new IntakePeriod([
        new IntakeDay(
            '2026-11-29',
            1500.0,
            900.0,
            200.0,
            [$serving(100.0, Meal::Evening)],
            [
                'morning' => 300.0,
                'noon' => 250.0,
                'evening' => 350.0,
            ],
        ),
        new IntakeDay(
            '2026-11-30',
            1500.0,
            800.0,
            0.0,
            [$serving(60.0, null), $serving(40.0, Meal::Noon)],
            [
                'morning' => 200.0,
                'noon' => 300.0,
                'evening' => 300.0,
            ],
        ),
    ]);
    expect($period->byMeal())
        ->toEqual(['morning' => 250.0, 'noon' => 295.0, 'evening' => 375.0, 'none' => 130.0])
        ->and(array_sum($period->byMeal()))
        ->toEqualWithDelta($period->mean()->typical, 1e-9);
});
