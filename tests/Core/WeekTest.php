<?php

declare(strict_types=1);

use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Message\Message;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Plan\Conflict;
use Tempesal\Core\Plan\Eater;
use Tempesal\Core\Plan\Suggestion;
use Tempesal\Core\Plan\Rotation;
use Tempesal\Core\Plan\Suggestions;
use Tempesal\Core\Plan\WeekFiller;
use Tempesal\Core\Plan\WeekJar;
use Tempesal\Core\Plan\WeekPlan;
use Tempesal\Core\Plan\WeekServing;
use Tempesal\Core\Plan\Wish;
use Tempesal\Core\Salt\SaltDose;
use Tests\Support\Kitchen;

/*
 * A week before the cook: what it comes to, what does not go together, what would help, and what the planner makes of
 * it.
 */

const WEEK_DATES = ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29'];

/**
 * Carrot and brine, a quarter of the salt in 100 g of each: even, so that a serving's sodium can be worked out by hand.
 */
function evenState(float $saltG): BatchState
{
    return (new Ledger([
        new Add(Kitchen::food('plain', 95.0, 0.0), Band::exact(500.0), Phase::Pieces),
        new Add(Kitchen::water(), Band::exact(500.0), Phase::Brine),
        new Salt(SaltDose::weighed(Kitchen::pureSalt(), Grams::of($saltG)), Phase::Brine),
    ]))
        ->settled()
        ->state();
}

/** @param  array<string, mixed>  $as */
function weekJar(string $id, array $as = []): WeekJar
{
    return new WeekJar(
        $id,
        $id,
        $as['live'] ?? true,
        $as['group'] ?? $id,
        Served::Pieces,
        $as['stock'] ?? 1000.0,
        $as['readyOn'] ?? -5,
        $as['useBy'] ?? 60,
        array_fill(0, 7, evenState($as['salt'] ?? 20.0)),
        $as['portions'] ?? [40.0, 20.0],
        $as['notFor'] ?? [null, null],
        $as['closed'] ?? null,
        0.9,
        1.1,
    );
}

/**
 * Two eaters who may have 500 mg and 300 mg from ferments each day.
 *
 * @param  list<WeekJar>  $jars
 * @param  list<WeekServing>  $servings
 * @param  array<string, mixed>  $as
 */
function weekBefore(array $jars, array $servings = [], array $as = []): WeekPlan
{
    $eaters = [
        new Eater(
            'ada',
            'Ada',
            2000.0,
            $as['ada'] ?? array_fill(0, 7, 500.0),
            $as['hard'] ?? false,
            array_fill(0, 7, 1),
        ),
        new Eater('bo', 'Bo', 1500.0, array_fill(0, 7, 300.0), true, array_fill(0, 7, 1)),
    ];

    return new WeekPlan($eaters, $jars, $servings, $as['today'] ?? 0, $as['perDay'] ?? 3, had: $as['had'] ?? []);
}

/** @param  list<WeekServing>  $servings */
function meant(
    int $eater,
    int $day,
    int $jar,
    float $grams = 40.0,
    ServingStyle $way = ServingStyle::Drained,
    bool $locked = false,
): WeekServing {
    static $number = 0;

    return new WeekServing('s' . ++$number, $eater, $day, $jar, $grams, $way, $locked);
}

/** @return array<string, Suggestion> by kind, the first of each */
function leversByKind(Conflict $conflict): array
{
    $suggestions = [];
    foreach ($conflict->suggestions as $lever) {
        $suggestions[$lever->kind->value] ??= $lever;
    }

    return $suggestions;
}

it('adds up what is still to come, against what is left of each target', function (): void {
    $jar = weekJar('kraut');
    // The same share of salt in pieces' water and brine; sodium of the plate is that of the ledger.
    $per100 = $jar->states[0]->phase(Phase::Pieces)->sodiumPer100g();
    $week = weekBefore([$jar], [meant(0, 0, 0), meant(0, 3, 0), meant(1, 3, 0, 20.0)], ['today' => 1]);
    expect($week->coming)
        ->toHaveCount(2)
        ->and($week->milligrams($week->servings[1]))
        ->toBe($jar->milligrams(3, 40.0, ServingStyle::Drained))
        ->and($week->milligrams($week->servings[1]))
        ->toBeGreaterThan($per100 * 0.4 * 0.99)
        ->and($week->margin(0, 0))
        ->toBe(500.0)
        ->and($week->margin(0, 3))
        ->toBe(500.0 - $jar->milligrams(3, 40.0, ServingStyle::Drained))
        ->and($week->left(0))
        ->toBe([1000.0, 1000.0, 1000.0, 940.0, 940.0, 940.0, 940.0])
        ->and($week->runsShortOn(0))
        ->toBeNull();
    expect($jar->milligrams(3, 40.0, ServingStyle::Rinsed))
        ->toBeLessThan($jar->milligrams(3, 40.0, ServingStyle::Drained))
        ->and($jar->milligrams(3, 40.0, ServingStyle::WithJuice))
        ->toBeGreaterThan($jar->milligrams(3, 40.0, ServingStyle::Drained));
});

it('says what does not go together, and a lever that is taken does away with it', function (): void {
    $salty = weekJar('salty', ['salt' => 40.0]);
    $mild = weekJar('mild', ['salt' => 8.0]);
    $week = weekBefore([$salty, $mild], [meant(0, 2, 0, 60.0), meant(1, 2, 1, 20.0)]);
    $over = -$week->margin(0, 2);
    expect($over)->toBeGreaterThan(0.0);
    $conflict = array_values(
        array_filter(Conflict::all($week, WEEK_DATES), fn(Conflict $one): bool => $one->code === 'past_target'),
    )[0];
    expect(said($conflict->text))
        ->toBe(sprintf('Ada on Wednesday: %d mg over the target.', round($over)))
        ->and($conflict->servings)
        ->toBe([$week->servings[0]->id]);
    $suggestions = leversByKind($conflict);
    expect(array_keys($suggestions))->toContain('smaller', 'other_jar', 'leave_out');
    foreach ($conflict->suggestions as $lever) {
        $then = $week->having([
            ...array_values(array_filter($week->servings, fn(WeekServing $one): bool => $one !== $lever->serving)),
            ...$lever->instead === null ? [] : [$lever->instead],
        ]);
        $saved = $then->margin(0, 2) - $week->margin(0, 2);
        expect($saved)->toEqualWithDelta($lever->savesMg, 1e-6);
        if ($lever->isEnough) {
            expect($then->margin(0, 2))->toBeGreaterThanOrEqual(-1e-6);
        }
    }
    // Those that are enough come first.
    $enough = array_map(fn(Suggestion $lever): bool => $lever->isEnough, $conflict->suggestions);
    expect($enough)->toBe([...array_filter($enough), ...array_filter($enough, fn(bool $one): bool => !$one)]);
});

it('speaks of jars that are not ready, not for someone, past their time, run out or closed', function (
    array $as,
    WeekServing $serving,
    string $code,
    string $says,
): void {
    $week = weekBefore([weekJar('kraut', $as), weekJar('other')], [$serving]);
    $codes = array_map(fn(Conflict $one): array => [$one->code, said($one->text)], Conflict::all($week, WEEK_DATES));
    expect(array_column($codes, 0))->toContain($code)->and(implode("\n", array_column($codes, 1)))->toContain($says);
})->with([
    'not ready' => [
        ['readyOn' => 4],
        fn() => meant(0, 2, 0),
        'not_yet',
        'kraut on Wednesday: it is not ready until Friday.',
    ],
    'not this week' => [['readyOn' => 12], fn() => meant(0, 2, 0), 'not_yet', 'not ready this week'],
    'an allergen' => [
        ['notFor' => [Message::of('objection.allergen', allergens: 'fish'), null]],
        fn() => meant(0, 2, 0),
        'not_for',
        'not for Ada. It contains fish',
    ],
    'kept its time' => [['useBy' => 1], fn() => meant(0, 2, 0), 'too_late', 'Check the jar first'],
    'runs out' => [
        ['stock' => 30.0],
        fn() => meant(0, 2, 0),
        'runs_short',
        'kraut runs out on Wednesday: 10 g too little',
    ],
    'closed' => [
        ['closed' => Message::of('objection.emptied')],
        fn() => meant(0, 2, 0),
        'closed',
        'Its jar was emptied.',
    ],
]);

it('fills a week around what is locked or was altered, and keeps what it need not change', function (): void {
    $jars = [
        weekJar('kraut', ['salt' => 12.0]),
        weekJar('kimchi', [
            'salt' => 14.0,
            'notFor' => [null, Message::of('objection.allergen', allergens: 'fish')],
        ]),
        weekJar('salty', ['salt' => 60.0]),
    ];
    $locked = meant(0, 1, 2, 10.0, ServingStyle::Rinsed, true);
    $altered = meant(0, 2, 0, 15.0);
    $week = weekBefore($jars, [$locked, $altered]);
    $filled = WeekFiller::fill($week, false);
    expect($filled['servings'])->toContain($locked, $altered);
    $then = $week->having($filled['servings']);
    for ($day = 0; $day < 7; $day++) {
        foreach ([0, 1] as $eater) {
            expect(count($then->on($eater, $day)))->toBeGreaterThan(0)->toBeLessThanOrEqual(3);
        }
        expect($then->margin(1, $day))->toBeGreaterThanOrEqual(-1e-6);
        foreach ($then->on(1, $day) as $one) {
            expect($one->jar)->not->toBe(1);
        }
    }
    expect(Conflict::all($then, WEEK_DATES))->toBe([]);
    // Filled once more, it stays as it is.
    $named = array_map(
        fn(WeekServing $one): WeekServing => $one->id === ''
            ? meant($one->eater, $one->day, $one->jar, $one->grams, $one->way)
            : $one,
        $filled['servings'],
    );
    $again = WeekFiller::fill($week->having($named), false)['servings'];
    expect(array_column($again, 'id'))->toEqualCanonicalizing(array_column($named, 'id'));
    // The rest alone: nothing goes.
    $one = meant(1, 6, 0, 20.0);
    $rest = WeekFiller::fill($week->having([$one]), true)['servings'];
    expect($rest)->toContain($one);
});

it('leaves past days alone, and serves nothing twice that was eaten today', function (): void {
    $week = weekBefore(
        [weekJar('kraut', ['salt' => 8.0])],
        [meant(0, 0, 0)],
        ['today' => 3, 'had' => ['0 3 0' => true]],
    );
    $filled = WeekFiller::fill($week, false)['servings'];
    $new = array_filter($filled, fn(WeekServing $one): bool => $one->id === '');
    expect(min(array_map(fn(WeekServing $one): int => $one->day, $new)))
        ->toBeGreaterThanOrEqual(3)
        ->and(array_filter($new, fn(WeekServing $one): bool => $one->isAt(0, 3)))
        ->toBe([])
        ->and($filled)
        ->toContain($week->servings[0]);
    expect(WeekFiller::fill(weekBefore([weekJar('kraut')], [], ['today' => 7]), false)['plan'])->toBeNull();
});

it('puts down nothing that is not live for variety’s sake, and uses it up before its last day', function (): void {
    $placed = function (int $useBy): array {
        $week = weekBefore([
            weekJar('kraut', ['salt' => 8.0]),
            weekJar('shop', ['live' => false, 'salt' => 8.0, 'useBy' => $useBy]),
        ]);

        return array_filter(WeekFiller::fill($week, false)['servings'], fn(WeekServing $one): bool => $one->jar === 1);
    };
    expect($placed(60))->toBe([])->and($placed(3))->not->toBe([]);
});

it('says of every live serving that is missing why', function (): void {
    $week = weekBefore(
        [weekJar('salty', ['salt' => 60.0, 'stock' => 100.0])],
        [],
        ['ada' => [500.0, 500.0, -50.0, 500.0, 500.0, 500.0, 500.0]],
    );
    $texts = array_map(fn(Conflict $one): string => said($one->text), Conflict::all($week, WEEK_DATES));
    expect($texts)
        ->toHaveCount(14)
        ->and(implode(' ', $texts))
        ->toContain('Ada on Monday: 1 live serving short.')
        ->toContain('Bo on Sunday: 1 live serving short.');
});

it('plans the rotation on its days, spreads what has none, and adds something new', function (): void {
    $jars = [
        weekJar('kraut', ['salt' => 8.0]),
        weekJar('kimchi', ['salt' => 8.0]),
        weekJar('beet', ['salt' => 8.0]),
        weekJar('old kraut', ['salt' => 8.0, 'group' => 'kraut', 'useBy' => 9, 'stock' => 60.0]),
    ];
    $rotation = new Rotation(
        [
            ['name' => 'Kraut', 'groups' => ['kraut'], 'days' => [0, 3], 'times' => 2],
            ['name' => 'Kimchi', 'groups' => ['kimchi'], 'days' => [], 'times' => 3],
        ],
        true,
        ['0 kraut' => 2, '0 kimchi' => 3, '1 kraut' => 2, '1 kimchi' => 1, '1 beet' => 12],
    );
    $wanted = WeekFiller::fill(weekBefore($jars), false, $rotation)['servings'];
    $of = fn(int $eater, array $places): array => array_values(
        array_map(
            fn(WeekServing $one): int => $one->day,
            array_filter(
                $wanted,
                fn(WeekServing $one): bool => $one->eater === $eater && in_array($one->jar, $places, true),
            ),
        ),
    );
    foreach ([0, 1] as $eater) {
        expect($of($eater, [0, 3]))
            ->toContain(0, 3)
            ->and(count($of($eater, [1])))
            ->toBeGreaterThanOrEqual(3)
            ->and(count($of($eater, [2])))
            ->toBeGreaterThanOrEqual(1);
    }
    // Nothing that does not fit is asked for, and a day is not passed over its limit for it.
    $hard = weekBefore([weekJar('kraut', ['salt' => 400.0])], [], ['ada' => array_fill(0, 7, 20.0)]);
    expect($rotation->wishes($hard))->toBe([]);
});

it('gives everybody once before anybody twice, and lies apart in what is left of a week', function (): void {
    $rotation = new Rotation([['name' => 'Kraut', 'groups' => ['kraut'], 'days' => [], 'times' => 3]], false, []);
    $by = static fn(array $wanted): array => array_count_values(
        array_map(static fn(WeekServing $one): int => $one->eater, $wanted),
    );
    // Four portions of 10 g for two who are each to have it three times.
    $few = weekBefore([weekJar('kraut', ['salt' => 4.0, 'stock' => 40.0])]);
    $times = $by(WeekFiller::fill($few, false, $rotation)['servings']);
    ksort($times);
    expect($times)->toBe([2, 2]);
    // From Thursday on, twice in four days: once in each half of them; with a day before it, in what is left.
    $twice = new Rotation([['name' => 'Kraut', 'groups' => ['kraut'], 'days' => [], 'times' => 2]], false, []);
    $days = static fn(array $servings): array => array_map(
        static fn(Wish $one): array => $one->days,
        array_values(
            array_filter(
                $twice->wishes(weekBefore([weekJar('kraut', ['salt' => 4.0])], $servings, ['today' => 3])),
                static fn(Wish $one): bool => $one->eater === 0,
            ),
        ),
    );
    expect($days([]))
        ->toBe([[3, 4], [5, 6]])
        ->and($days([meant(0, 4, 0)]))
        ->toBe([[3, 5, 6]]);
});

it('lets a wish with its weekday go before one without', function (): void {
    // One portion of room on each day: kraut is wished for Monday, in the second line.
    $rotation = new Rotation(
        [['groups' => ['kimchi'], 'days' => [], 'times' => 7], ['groups' => ['kraut'], 'days' => [0], 'times' => 1]],
        false,
        [],
    );
    $week = weekBefore([weekJar('kraut', ['salt' => 6.0]), weekJar('kimchi', ['salt' => 6.0])], [], ['perDay' => 1]);
    $monday = array_values(
        array_filter(
            WeekFiller::fill($week, false, $rotation)['servings'],
            static fn(WeekServing $one): bool => $one->day === 0 && $one->eater === 0,
        ),
    );
    expect($monday)->toHaveCount(1)->and($monday[0]->jar)->toBe(0);
});

/** A week made up from a number: limits, jars and what is there already. */
function weekByChance(int $seed): WeekPlan
{
    mt_srand($seed);
    $jars = [];
    for ($i = 0; $i < mt_rand(1, 6); $i++) {
        $jars[] = weekJar("jar {$i}", [
            'salt' => (float) mt_rand(4, 50),
            'stock' => (float) mt_rand(0, 400),
            'live' => mt_rand(1, 5) > 1,
            'readyOn' => mt_rand(-3, 4),
            'useBy' => mt_rand(2, 40),
            'portions' => [(float) mt_rand(10, 60), (float) mt_rand(10, 60)],
            'notFor' => [
                mt_rand(1, 6) === 1 ? Message::of('text.quoted', text: 'No.') : null,
                mt_rand(1, 6) === 1 ? Message::of('text.quoted', text: 'No.') : null,
            ],
            'closed' => mt_rand(1, 9) === 1 ? Message::of('objection.emptied') : null,
        ]);
    }
    $servings = [];
    for ($i = 0; $i < mt_rand(0, 8); $i++) {
        $servings["{$i}"] = meant(
            mt_rand(0, 1),
            mt_rand(0, 6),
            mt_rand(0, count($jars) - 1),
            (float) mt_rand(5, 60),
            [ServingStyle::Drained, ServingStyle::Rinsed, ServingStyle::WithJuice][mt_rand(0, 2)],
            mt_rand(1, 3) === 1,
        );
    }
    $apart = [];
    foreach ($servings as $one) {
        $apart["{$one->eater} {$one->day} {$one->jar}"] = $one;
    }

    return weekBefore($jars, array_values($apart), [
        'hard' => mt_rand(0, 1) === 1,
        'ada' => array_map(fn(): float => (float) mt_rand(-200, 900), range(0, 6)),
        'today' => mt_rand(-2, 6),
        'perDay' => mt_rand(1, 4),
    ]);
}

it('keeps every promise of a plan in any week', function (int $seed): void {
    $week = weekByChance($seed);
    $isRest = $seed % 2 === 0;
    $filled = WeekFiller::fill($week, $isRest)['servings'];
    $then = $week->having($filled);
    $new = array_filter($filled, fn(WeekServing $one): bool => $one->id === '');
    // What is locked, altered, over, or with the rest alone all that is there, stays as it is.
    foreach ($week->servings as $one) {
        if ($isRest || $one->isLocked || $one->day < $week->today || !$week->isUsual($one)) {
            expect($filled)->toContain($one);
        }
    }
    $used = [];
    foreach ($new as $one) {
        $jar = $week->jars[$one->jar];
        expect($jar->objection($one->eater, $one->day))
            ->toBeNull()
            ->and($one->day)
            ->toBeGreaterThanOrEqual($week->first())
            ->and($one->way)
            ->toBe(ServingStyle::Drained)
            ->and($week->isUsual($one))
            ->toBeTrue();
        $used[$one->jar] = true;
    }
    // Nothing that the planner adds to takes more than there is, or passes a limit that is kept to.
    foreach (array_keys($used) as $jar) {
        expect(min($then->left($jar)))->toBeGreaterThanOrEqual(-1e-6);
    }
    foreach ($then->eaters as $m => $eater) {
        for ($day = $week->first(); $day < 7; $day++) {
            $added = array_filter($new, fn(WeekServing $one): bool => $one->isAt($m, $day));
            if ($added !== [] && $eater->isHard) {
                expect($then->margin($m, $day))->toBeGreaterThanOrEqual(-1e-6);
            }
            $jarsOfDay = array_map(fn(WeekServing $one): int => $one->jar, $then->on($m, $day));
            expect(count(array_unique($jarsOfDay)))->toBe(count($jarsOfDay));
            // Whoever can be fed is fed: who goes without has nothing live that could simply be put down, however small.
            $hasLive = array_filter($jarsOfDay, fn(int $jar): bool => $then->jars[$jar]->isLive) !== [];
            foreach ($hasLive || $eater->liveGoal[$day] === 0 || !$eater->isHard ? [] : $then->jars as $i => $jar) {
                foreach ($jar->isLive ? [$jar->portions[$m], ...$then->smaller($m, $i)] : [] as $grams) {
                    expect($then->takes($then->portion($m, $day, $i, $grams)))->toBeFalse(
                        "seed {$seed}: {$grams} g of {$jar->id} for {$eater->id} on {$day}",
                    );
                }
            }
        }
    }
    // What does not go together is said, and every lever that is offered saves what it says.
    foreach (Conflict::all($then, WEEK_DATES) as $conflict) {
        expect(said($conflict->text))->not->toBe('');
        foreach ($conflict->suggestions as $lever) {
            if ($lever->instead === null) {
                expect($lever->savesMg)->toEqualWithDelta($then->milligrams($lever->serving), 1e-6);
            } elseif ($conflict->code === 'nothing_live') {
                // What is to feed someone feeds them, and breaks nothing.
                $fed = array_filter(
                    $then->servings,
                    fn(WeekServing $one): bool => $one->id === '' || $one->id !== $lever->serving->id,
                );
                expect($then->having(array_values($fed))->takes($lever->instead))
                    ->toBeTrue("seed {$seed}")
                    ->and($then->jars[$lever->instead->jar]->isLive)
                    ->toBeTrue();
            }
        }
    }
})->with(fn(): array => [...range(1, 40), ...array_map(static fn(): int => random_int(41, 1_000_000), range(1, 20))]);

it('says what is wished for and not in the week, and why', function (
    array $jars,
    array $as,
    int $times,
    array $days,
    ?string $why,
): void {
    $line = ['name' => 'Kraut', 'groups' => ['kraut'], 'days' => $days, 'times' => $times];
    $unmet = (new Rotation([$line], false, []))->unmet(weekBefore($jars, $as['servings'] ?? [], $as));
    $texts = array_map(said(...), $unmet);
    $ofAda = array_values(array_filter($texts, static fn(string $one): bool => str_contains($one, ': Ada ')));
    $why === null ? expect($ofAda)->toBe([]) : expect($ofAda[0] ?? '')->toContain($why);
})->with([
    'none there' => [[], [], 2, [], 'Ada does not get it this week, and wants it 2 times. None is on the shelf.'],
    'not ready' => [fn() => [weekJar('kraut', ['readyOn' => 9])], [], 1, [], 'None of it is ready'],
    'no room' => [
        fn() => [weekJar('kraut')],
        ['ada' => array_fill(0, 7, 1.0), 'hard' => true],
        1,
        [],
        'fits under the target',
    ],
    'could be added' => [fn() => [weekJar('kraut')], [], 1, [], 'There is room for it'],
    'enough' => [fn() => [weekJar('kraut')], ['servings' => [meant(0, 1, 0), meant(0, 4, 0)]], 2, [], null],
    'on its weekday' => [fn() => [weekJar('kraut')], ['servings' => [meant(0, 3, 0)]], 9, [3], null],
    'on another day' => [fn() => [weekJar('kraut')], ['servings' => [meant(0, 2, 0)]], 9, [3], 'Ada does not get it'],
    'over already' => [fn() => [weekJar('kraut')], ['today' => 5], 1, [2], null],
    'used up' => [
        fn() => [weekJar('kraut', ['stock' => 82.0])],
        ['servings' => [meant(1, 0, 0), meant(1, 1, 0)]],
        1,
        [],
        'planned already',
    ],
]);

it('names a portion that fits once it is rinsed, and one that another day can spare', function (): void {
    // 20 g of salt in a litre: 10 g drained hold far more than 60 mg, and somewhat less rinsed.
    $salty = weekJar('kraut', ['salt' => 20.0]);
    $drained = weekBefore([$salty])->milligrams(weekBefore([$salty])->portion(0, 2, 0, 10.0));
    $room = array_replace(array_fill(0, 7, 500.0), [2 => $drained - 1.0]);
    $week = weekBefore([$salty], [], ['ada' => $room, 'hard' => true]);
    $feeds = Suggestions::toFeed($week, 0, 2, WEEK_DATES);
    expect($feeds)
        ->toHaveCount(1)
        ->and($feeds[0]->instead?->way)
        ->toBe(ServingStyle::Rinsed)
        ->and($feeds[0]->instead?->grams)
        ->toBe(10.0)
        ->and(said($feeds[0]->text))
        ->toBe('add 10 g, rinsed for 30 s');
    // With little left in the jar and two on Thursday, Wednesday takes one of them.
    $other = weekJar('beet', ['salt' => 8.0]);
    $spare = weekBefore([weekJar('sour', ['stock' => 40.0, 'salt' => 8.0]), $other], [meant(0, 3, 0), meant(0, 3, 1)]);
    $moves = array_filter(
        Suggestions::toFeed($spare, 0, 2, WEEK_DATES),
        static fn(Suggestion $one): bool => $one->kind === RemedyKind::OtherDay,
    );
    expect(array_column($moves, 'instead'))
        ->not->toBe([])
        ->and(said(array_values($moves)[0]->text))
        ->toContain('Wednesday');
});

it('knows a week in which there is nothing to plan with yet', function (array $jars, array $as, bool $isBare): void {
    expect(weekBefore($jars, $as['servings'] ?? [], $as)->isBare())->toBe($isBare);
})->with([
    'no jar' => [[], [], true],
    'only what is not live' => [fn() => [weekJar('radish', ['live' => false])], [], true],
    'ready after the week' => [fn() => [weekJar('kraut', ['readyOn' => 7])], [], true],
    'ready on its last day' => [fn() => [weekJar('kraut', ['readyOn' => 6])], [], false],
    'empty' => [fn() => [weekJar('kraut', ['stock' => 0.0])], [], true],
    'something is planned' => [fn() => [weekJar('radish', ['live' => false])], ['servings' => [meant(0, 1, 0)]], false],
    'over' => [[], ['today' => 7], false],
]);

it('feeds everybody on each day, in smaller portions where the jars hold no more', function (): void {
    $seed = random_int(1, 1_000_000);
    mt_srand($seed);
    foreach (range(1, 20) as $n) {
        $portions = [(float) mt_rand(10, 60), (float) mt_rand(10, 60)];
        $jars = [];
        foreach (range(1, mt_rand(1, 3)) as $i) {
            $jars[] = weekJar("jar {$i}", ['salt' => 6.0, 'portions' => $portions, 'stock' => 0.0]);
        }
        // As much as the smallest portions take and up to twice that, somehow shared out over the jars.
        $bare = weekBefore($jars);
        $least = array_sum(
            array_map(static fn(int $m): float => min([$portions[$m], ...$bare->smaller($m, 0)]), [0, 1]),
        );
        $rounds = array_fill(0, count($jars), 0);
        foreach (range(1, 7) as $_) {
            $rounds[mt_rand(0, count($jars) - 1)]++;
        }
        $spare = mt_rand(100, 200) / 100.0;
        $jars = array_map(
            static fn(int $i): WeekJar => weekJar("jar {$i}", [
                'salt' => 6.0,
                'portions' => $portions,
                'stock' => $rounds[$i] * $least * $spare,
            ]),
            array_keys($rounds),
        );
        $filled = WeekFiller::fill(weekBefore($jars), false);
        $missing = array_sum(array_column($filled['plan']?->toArray()['shortfalls'] ?? [], 'missing'));
        expect($missing)->toBe(0, "seed {$seed}, week {$n}");
    }
});
