<?php

declare(strict_types=1);

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

it('begins with milk, then quick vegetables, a pickle for the meanwhile and something that lasts', function (): void {
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
