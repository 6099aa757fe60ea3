<?php

declare(strict_types=1);

use Tempesal\Core\Produce\Season;
use Tempesal\Core\Restock\FreeJar;
use Tempesal\Core\Restock\WayIn;
use Tempesal\Core\Restock\WayInCandidate;
use Tempesal\Core\Restock\WayInChoice;

/** @param  array<string, float>  $in */
function beginning(
    string $id,
    string $group,
    bool $isLive,
    float $days,
    float $mg = 100.0,
    int $keeps = 30,
    array $in = ['pint' => 300.0, 'quart' => 650.0],
): WayInCandidate {
    return new WayInCandidate($id, $group, $isLive, $days, $keeps, $mg, $in);
}

/** @return list<string> what is chosen, in which jar */
function begun(array $candidates, array $jars, float $room = 500.0): array
{
    return array_map(
        static fn(WayInChoice $one): string => "{$one->candidate->id} in {$one->jar->id}",
        WayIn::choose(
            $candidates,
            array_map(static fn(string $id): FreeJar => new FreeJar($id, strtok($id, ' ')), $jars),
            $room,
        ),
    );
}

it('begins with milk, quick vegetables, a quick pickle and something that lasts', function (): void {
    $candidates = [
        beginning('kraut', 'kraut', true, 21.0, keeps: 180),
        beginning('young kraut', 'kraut', true, 6.0),
        beginning('beans', 'beans', true, 14.0, keeps: 90),
        beginning('kimchi', 'kimchi', true, 3.0),
        beginning('yogurt', 'milk cultures', true, 0.4),
        beginning('kefir', 'milk cultures', true, 1.0),
        beginning('radish', 'quick pickles', false, 0.0),
        beginning('sauce', 'hot sauces', true, 1.0),
        beginning('kombucha', 'drinks', true, 1.5),
    ];
    expect(begun($candidates, ['pint 1', 'pint 2', 'pint 3', 'quart 1']))->toBe([
        'radish in pint 3',
        'yogurt in pint 1',
        'kimchi in pint 2',
        // What takes long stands in the large jar.
        'kraut in quart 1',
    ]);
});

it('takes what fits under a tight limit first', function (): void {
    $candidates = [
        beginning('kimchi', 'kimchi', true, 3.0, 90.0),
        beginning('sticks', 'roots', true, 6.0, 41.0),
        beginning('kraut', 'kraut', true, 21.0, 80.0, 180),
        beginning('long sticks', 'roots', true, 9.0, 40.0, 60),
    ];
    expect(begun($candidates, ['pint 1', 'quart 1'], 60.0))
        ->toBe(['sticks in pint 1', 'long sticks in quart 1'])
        ->and(
            begun([...$candidates, beginning('half-sours', 'cucumbers', true, 5.0, 59.0)], ['pint 1', 'quart 1'], 60.0),
        )
        ->toBe(['half-sours in pint 1', 'long sticks in quart 1']);
});

it('begins with as much as there are jars for, and with nothing where none suits', function (): void {
    $kraut = beginning('kraut', 'kraut', true, 21.0);
    $yogurt = beginning('yogurt', 'milk cultures', true, 0.4);
    expect(begun([$kraut, $yogurt], ['quart 1']))
        ->toBe(['kraut in quart 1'])
        ->and(begun([$kraut, $yogurt], ['crock 1']))
        ->toBe([])
        ->and(begun([], ['quart 1']))
        ->toBe([]);
});

it('prefers what is in season, and another food than is there', function (): void {
    $as = static fn(
        string $id,
        string $group,
        float $days,
        string $food,
        bool $isIn,
    ): WayInCandidate => new WayInCandidate(
        $id,
        $group,
        true,
        $days,
        90,
        100.0,
        ['pint' => 300.0, 'quart' => 650.0],
        $food,
        $isIn,
    );
    $candidates = [
        $as('full-sours', 'cucumbers', 20.0, 'cucumber', false),
        $as('kraut', 'kraut', 21.0, 'green-cabbage', true),
        $as('cucumber kimchi', 'kimchi', 1.4, 'cucumber', false),
        $as('young kraut', 'cabbage', 5.0, 'green-cabbage', true),
        $as('kimchi', 'kimchi', 6.0, 'napa-cabbage', true),
    ];
    expect(begun($candidates, ['pint 1', 'quart 1']))->toBe(['kimchi in pint 1', 'kraut in quart 1']);
});

it('knows summer on both halves of the earth', function (string $food, int $month, string $zone, bool $isIn): void {
    expect(Season::isIn($food, $month, $zone))->toBe($isIn);
})->with([
    ['cucumber', 7, 'Europe/Berlin', true],
    ['cucumber', 11, 'Europe/Berlin', false],
    ['cucumber', 7, 'Australia/Sydney', false],
    ['cucumber', 1, 'Pacific/Auckland', true],
    ['cucumber', 12, 'America/Argentina/Salta', true],
    ['green-cabbage', 1, 'Europe/Berlin', true],
]);
