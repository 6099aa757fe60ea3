<?php

declare(strict_types=1);

use Tempesal\Core\Care\Attention;
use Tempesal\Core\Care\Chore;
use Tempesal\Core\Care\Due;
use Tempesal\Core\Care\Gate;
use Tempesal\Core\Care\Glance;
use Tempesal\Core\Care\Keeping;
use Tempesal\Core\Care\Place;
use Tempesal\Core\Care\Purpose;
use Tempesal\Core\Care\QuietHours;
use Tempesal\Core\Care\Rhythm;
use Tempesal\Core\Care\Stand;
use Tempesal\Core\Care\Task;
use Tempesal\Core\Care\Tending;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Formula\BatchAdvice;
use Tempesal\Core\Formula\GarlicInOil;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tests\Support\Kitchen;

/**
 * Kraut under a screw lid on its second day, ready on its twenty-first.
 *
 * @param  array<string, mixed>  $change
 */
function stand(array $change = []): Stand
{
    return new Stand(
        ...[
            'method' => Method::DrySalting,
            'cover' => 'screw lid',
            'day' => 2,
            'knownFrom' => 0,
            'isWarm' => true,
            'chilledOn' => null,
            'youngOn' => 7,
            'readyOn' => 21,
            'readyAfter' => 21 * 86_400.0,
            'hasEgg' => false,
            'hasGarlicInOil' => false,
            'isLive' => true,
            'isNothing' => false,
            'condemnedOn' => null,
            'done' => [],
            ...$change,
        ],
    );
}

/**
 * @param  array<string, mixed>  $change
 * @return array<string, int> the day of each task
 */
function days(array $change = []): array
{
    $days = [];
    foreach (Tending::of(stand($change)) as $due) {
        $days[$due->chore->task->value] = $due->day;
    }

    return $days;
}

it('knows what each cover and method wants', function (string $cover, Method $method, array $tasks): void {
    expect(array_map(fn(Chore $chore): string => $chore->task->value, Rhythm::of($method, $cover)))->toBe(
        $tasks,
    );
})->with([
    ['screw lid', Method::PouredBrine, ['burp']],
    ['airlock', Method::PouredBrine, ['airlock']],
    ['cloth', Method::DrySalting, ['skim', 'press']],
    ['slit lid', Method::Mash, ['stir']],
    ['clamp', Method::EquilibriumBrine, []],
    ['screw lid', Method::QuickSaltPickle, []],
    ['screw lid', Method::Transform, []],
]);

it('finds the next day of a chore', function (?int $done, ?int $next): void {
    expect((new Chore(Task::Skim, 3, 3, 12))->nextAfter($done))->toBe($next);
})->with([[null, 3], [1, 3], [3, 6], [4, 7], [9, 12], [10, null], [12, null]]);

it('is over once something that comes once was done', function (): void {
    $once = new Chore(Task::ToFridge, 0, 9, null);
    expect($once->nextAfter(null))
        ->toBe(9)
        ->and($once->nextAfter(9))
        ->toBeNull()
        ->and($once->nextAfter(3))
        ->toBe(9);
});

it('asks kraut for all it wants, each on its day', function (): void {
    expect(days())
        ->toBe(['burp' => 1, 'press' => 1, 'taste' => 7, 'ph' => 7, 'fridge' => 21])
        ->and(days(['done' => ['burp' => 2, 'press' => 1]]))
        ->toMatchArray(['burp' => 3, 'press' => 2])
        ->and(days(['day' => 9, 'done' => ['taste' => 8]]))
        ->toBe(['ph' => 7, 'taste' => 15, 'fridge' => 21])
        ->and(days(['day' => 30]))
        ->toBe(['ph' => 7, 'fridge' => 21]);
});

it('does not ask for what was to be done before it came onto the shelf', function (): void {
    expect(days(['knownFrom' => 2]))->toMatchArray(['burp' => 2, 'press' => 2, 'taste' => 7]);
});

it('stirs and blends a mash, and counts hours for what is ready in hours', function (): void {
    expect(days(['method' => Method::Mash, 'cover' => 'slit lid']))
        ->toHaveKey('blend', 21)
        ->toHaveKey('stir', 1)
        ->not->toHaveKey('fridge');
    $mayonnaise = Tending::of(
        stand([
            'method' => Method::CulturedCondiment,
            'cover' => 'loose lid',
            'day' => 0,
            'youngOn' => 0,
            'readyOn' => 0,
            'readyAfter' => 8 * 3600.0,
            'hasEgg' => true,
        ]),
    );
    expect($mayonnaise[0]->chore->task)
        ->toBe(Task::ToFridge)
        ->and($mayonnaise[0]->at)
        ->toBe(8 * 3600.0)
        ->and(array_map(fn(Due $due): array => [$due->chore->task->value, $due->day], $mayonnaise))
        // Egg is not kept for long, wherever it stands.
        ->toBe([['fridge', 0], ['use_up', 3], ['discard', 4]]);
});

it('lets a jar rest in the cold until it has kept its time', function (): void {
    expect(days(['day' => 40, 'isWarm' => false, 'chilledOn' => 21]))
        ->toBe(['use_up' => 21 + 180 - 14])
        ->and(
            days([
                'method' => Method::QuickSaltPickle,
                'isWarm' => false,
                'chilledOn' => 0,
                'youngOn' => null,
                'readyOn' => null,
                'readyAfter' => null,
                'isLive' => false,
            ]),
        )
        ->toBe(['use_up' => 6, 'discard' => 7])
        ->and(days(['hasGarlicInOil' => true, 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 3, 'discard' => 4]);
});

it('asks of a bought jar nothing but to be used up in time', function (): void {
    $bought = [
        'method' => Method::Bought,
        'cover' => 'screw lid',
        'youngOn' => null,
        'readyOn' => null,
        'readyAfter' => null,
        'day' => 1,
    ];
    expect(days($bought))
        ->toBe([])
        // Two months from its opening, or what is printed on it: common practice, no source.
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 60 - 14])
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0, 'useBy' => 30]))
        ->toBe(['use_up' => 30 - 14])
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0, 'useBy' => 300]))
        ->toBe(['use_up' => 60 - 14])
        ->and(days([...$bought, 'hasEgg' => true, 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 3, 'discard' => 4]);
});

it(
    'asks for nothing but the bin once a check has said so, and for nothing at all when it is empty',
    function (): void {
        expect(days(['condemnedOn' => 2]))
            ->toBe(['discard' => 2])
            ->and(days(['isNothing' => true]))
            ->toBe([]);
    },
);

it('says what it means that something was missed', function (Task $task): void {
    expect($task->whenLate(1))
        ->toContain('since yesterday')
        ->and($task->whenLate(3))
        ->toContain('for 3 days')
        ->and($task->whenLate(3))
        ->not->toContain('safe')
        ->and($task->text())
        ->not->toBe('')
        ->and($task->doneBy())
        ->toBeIn(['tap', 'log', 'move', 'empty']);
})->with(Task::cases());

it('says first what cannot wait', function (array $change, ?Task $due, ?string $code): void {
    $well = [
        'day' => 9,
        'aboveBrineMm' => 0.0,
        'longSince' => -30,
        'servings' => 12,
        'isNothing' => false,
    ];
    $dues = $due === null ? [] : [new Due(new Chore($due, 1, 1, null), 9, null)];
    expect(Attention::of(new Glance(...[...$well, ...$change]), $dues)?->code)->toBe($code);
})->with([
    'well as it is' => [[], null, null],
    'food above its brine, on a day for burping' => [['aboveBrineMm' => 9.0], Task::Burp, 'sticks_out'],
    'a little above is still wet' => [['aboveBrineMm' => 2.0], null, null],
    'the bin before all else' => [['aboveBrineMm' => 9.0], Task::Discard, 'discard'],
    'past its window, and nearly eaten' => [['longSince' => 0, 'servings' => 1], null, 'long'],
    'a chore' => [[], Task::Burp, 'burp'],
    'ready' => [['servings' => 1], Task::ToFridge, 'fridge'],
    'nearly eaten' => [['servings' => 2], null, 'low'],
    'eaten' => [['servings' => 0, 'isNothing' => true, 'aboveBrineMm' => 40.0], null, 'empty'],
]);

it(
    'says what it means when attention comes late, and never that it may be eaten unlooked at',
    function (): void {
        $late = Attention::of(new Glance(9, 0.0, -30, 12, false), [
            new Due(new Chore(Task::Burp, 1, 1, null), 6, null),
        ]);
        $long = Attention::of(new Glance(60, 0.0, 3, 9, false), []);
        expect($late?->text)->toContain('for 3 days now')->and($long?->text)->toContain('smell and taste');
    },
);

it('does not call in quiet hours, but before them', function (
    string $from,
    string $to,
    string $due,
    string $called,
): void {
    $zone = new DateTimeZone('Europe/Lisbon');
    $call = (new QuietHours($from, $to))->callFor(new DateTimeImmutable($due, $zone));
    expect($call->format('Y-m-d H:i'))->toBe($called);
})->with([
    'by day' => ['22:00', '07:30', '2026-11-25 14:10', '2026-11-25 14:10'],
    'at night' => ['22:00', '07:30', '2026-11-25 23:10', '2026-11-25 22:00'],
    'before morning' => ['22:00', '07:30', '2026-11-25 03:10', '2026-11-24 22:00'],
    'when they end' => ['22:00', '07:30', '2026-11-25 07:30', '2026-11-25 07:30'],
    'over noon' => ['12:00', '14:00', '2026-11-25 13:00', '2026-11-25 12:00'],
    'never quiet' => ['00:00', '00:00', '2026-11-25 03:00', '2026-11-25 03:00'],
    'on the night that is an hour longer' => ['22:00', '07:30', '2026-10-25 01:30', '2026-10-24 22:00'],
]);

/** @param  array<string, mixed>  $change */
function gate(Purpose $purpose, array $change = []): Gate
{
    return Gate::of(
        ...[
            'purpose' => $purpose,
            'ph' => 3.9,
            'daysAgo' => 1,
            'hasEgg' => false,
            'hasGarlicInOil' => false,
            'isLive' => true,
            'isCondemned' => false,
            ...$change,
        ],
    );
}

it('opens a gate on a fresh reading at or below 4.6, and on nothing else', function (Purpose $purpose): void {
    // 21 CFR 114.3: acidified foods have an equilibrium pH of 4.6 or below; from memory.
    expect(gate($purpose)->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.6])->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.61])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['ph' => null, 'daysAgo' => null])->reason)
        ->toContain('Read it first')
        ->and(gate($purpose, ['daysAgo' => 8])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['isCondemned' => true])->isOpen)
        ->toBeFalse();
})->with(Purpose::cases());

it('keeps cautions at every gate, open or not', function (Purpose $purpose, array $change): void {
    $gate = gate($purpose, $change);
    $all = implode(' ', $gate->cautions);
    expect($all)
        ->toContain('food-safety authority')
        ->and(str_contains(strtolower($gate->reason . $all), 'is safe'))
        ->toBeFalse()
        ->and(($change['hasEgg'] ?? false) === str_contains($all, 'egg'))
        ->toBeTrue()
        ->and(($change['isLive'] ?? true) !== str_contains($all, 'no longer counts as live'))
        ->toBeTrue();
})
    ->with(Purpose::cases())
    ->with([
        'plain' => [[]],
        'with egg' => [['hasEgg' => true]],
        'heated' => [['isLive' => false]],
        'not sour' => [['ph' => 5.2]],
        'between the two lines' => [['ph' => 4.3]],
    ]);

it('keeps egg at home, and garlic in oil cold', function (): void {
    expect(gate(Purpose::GiveAway, ['hasEgg' => true])->isOpen)
        ->toBeFalse()
        ->and(gate(Purpose::StoreOut, ['hasGarlicInOil' => true])->isOpen)
        ->toBeFalse()
        ->and(implode(' ', gate(Purpose::Bottle, ['ph' => 4.3])->cautions))
        ->toContain('pH 4.0')
        ->toContain('burst');
});

it('knows garlic that lies in oil from a paste with a spoon of it', function (
    array $foods,
    bool $lies,
): void {
    $ledger = new Ledger(
        array_map(
            fn(array $food): Add => new Add(
                Kitchen::food($food[0], $food[1], 1),
                Band::exact($food[2]),
                Phase::Sauce,
            ),
            $foods,
        ),
    );
    expect(GarlicInOil::is($ledger))
        ->toBe($lies)
        ->and(in_array('garlic_in_oil', array_column(BatchAdvice::on($ledger), 'code'), true))
        ->toBe($lies);
})->with([
    'garlic in oil' => [[['garlic', 59, 100], ['olive-oil', 0, 200]], true],
    'basil in oil' => [[['basil', 92, 40], ['olive-oil', 0, 160]], true],
    'a paste with a spoon of oil' => [
        [['garlic', 59, 30], ['napa-cabbage', 94, 900], ['sesame-oil', 0, 14]],
        false,
    ],
    'oil without garlic' => [[['red-chilli', 88, 100], ['olive-oil', 0, 100]], false],
    'nothing boiled' => [[['garlic', 59, 100], ['boiled-potato', 77, 100]], false],
]);

it('keeps nothing longer than the strictest that is in it', function (
    Method $method,
    bool $egg,
    bool $oil,
    int $days,
    bool $strict,
): void {
    expect(Keeping::days($method, $egg, $oil))
        ->toBe($days)
        ->and(Keeping::isStrict($method, $egg, $oil))
        ->toBe($strict);
})->with([
    [Method::DrySalting, false, false, 180, false],
    [Method::CulturedCondiment, false, false, 60, false],
    [Method::CulturedCondiment, true, false, 4, true],
    [Method::CulturedCondiment, false, true, 4, true],
    [Method::QuickSaltPickle, false, false, 7, true],
    [Method::Transform, true, true, 4, true],
]);

it('knows its places, of which only the fridge is cold', function (Place $place, bool $isWarm): void {
    expect($place->isWarm())
        ->toBe($isWarm)
        ->and($place->usual()->value >= 10.0)
        ->toBe($isWarm)
        ->and($place->label())
        ->toStartWith($place === Place::Counter ? 'on the' : 'in the');
})->with([[Place::Counter, true], [Place::Cool, true], [Place::Fridge, false]]);
