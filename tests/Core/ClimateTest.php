<?php

declare(strict_types=1);

use Tempesal\Core\Ferment\Climate;
use Tempesal\Core\Advice\TemperatureAdvice;
use Tempesal\Core\Ferment\ExpectedAcid;
use Tempesal\Core\Care\RipenessForecast;
use Tempesal\Core\Ferment\PreferredRipeness;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Ferment\TemperatureLog;
use Tempesal\Core\Method\Aim;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Window;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

/** A midnight in UTC. */
const MIDNIGHT = 1_795_564_800.0;

const DAY_S = 86_400.0;

/**
 * @param  list<array{float, float}>  $readings  days from midnight and degrees
 * @param  list<array{float, float, float}>  $spells  days from midnight and degrees
 */
function room(float $usual, array $readings = [], array $spells = [], float $swing = 0.0, float $nowDays = 0.0): Climate
{
    return new Climate(
        Celsius::of($usual),
        $swing,
        54_000.0,
        array_map(fn(array $one): array => [MIDNIGHT + $one[0] * DAY_S, (float) $one[1]], $readings),
        array_map(
            fn(array $one): array => [MIDNIGHT + $one[0] * DAY_S, MIDNIGHT + $one[1] * DAY_S, (float) $one[2]],
            $spells,
        ),
        MIDNIGHT + $nowDays * DAY_S,
    );
}

/** The day on which kraut that stands in a room from midnight on is ready. */
function readyIn(Climate $room, Window $window): float
{
    $kraut = new Ledger([...Kitchen::kraut()->lines, Soak::fromNowOn($room->from(MIDNIGHT))]);

    return RipenessForecast::of($kraut, $window)->ready / DAY_S;
}

it('stays as it usually is where nothing was read', function (): void {
    expect(
        room(19.5)
            ->from(MIDNIGHT)
            ->toArray(),
    )->toBe(['celsius' => 19.5]);
});

it('goes from reading to reading, and back to what is usual when they end', function (): void {
    $room = room(20, [[0, 18], [0.5, 18], [1, 24], [1.5, 24]], [], 0.0, 1.5)->from(MIDNIGHT);
    expect($room->at(0.3 * DAY_S)->value)
        ->toBe(18.0)
        ->and($room->at(0.8 * DAY_S)->value)
        ->toEqualWithDelta(22.5, 1.5)
        ->and($room->at(1.1 * DAY_S)->value)
        ->toBe(24.0)
        // For a week it is taken to be as in its last three days, then as ever.
        ->and($room->at(4 * DAY_S)->value)
        ->toEqualWithDelta(21.0, 1e-9)
        ->and($room->at(9 * DAY_S)->value)
        ->toBe(20.0);
});

it('does not bridge a gap of days', function (): void {
    $room = room(20, [[0, 28], [6, 28]], [], 0.0, 6.0)->from(MIDNIGHT);
    expect($room->at(3 * DAY_S)->value)
        ->toBe(20.0)
        ->and($room->at(0.3 * DAY_S)->value)
        ->toBe(28.0)
        ->and($room->at(5.8 * DAY_S)->value)
        ->toBe(28.0);
});

it('believes what was read more than what was expected', function (): void {
    $room = room(20, [[1, 21], [2, 21]], [[0, 4, 30]], 0.0, 2.0)->from(MIDNIGHT);
    expect($room->at(0.1 * DAY_S)->value)
        ->toBe(30.0)
        ->and($room->at(1.5 * DAY_S)->value)
        ->toBe(21.0)
        ->and($room->at(3.5 * DAY_S)->value)
        ->toBe(30.0)
        ->and($room->at(4.2 * DAY_S)->value)
        ->toBe(21.0);
});

it('moves a ready date when a warm spell is forecast, and back when it is called off', function (): void {
    $window = Window::of(7, 21, 28, Celsius::of(20));
    expect(readyIn(room(20), $window))
        ->toEqualWithDelta(21.0, 0.01)
        // Seven days at 30 °C do the work of 7 x 2.25 at 20 °C.
        ->and(readyIn(room(20, [], [[3, 10, 30]]), $window))
        ->toEqualWithDelta(21.0 - 7.0 * (2.25 - 1.0), 0.01)
        ->and(readyIn(room(20, [], [[3, 10, 12]]), $window))
        ->toEqualWithDelta(21.0 + 7.0 * (1.0 - 2.25 ** -0.8), 0.01);
});

it('ripens faster over a day that swings than over its mean', function (): void {
    $swinging = room(20, [], [], 5.0)->from(MIDNIGHT);
    $rate = fn(float $from, float $to): float => $swinging->integrate($from, $to, Ripening::factor(...)) /
        ($to - $from);
    $even = Ripening::factor(Celsius::of(20));
    // The mean of an exponential over a sine is the modified Bessel function I0 of 5 ln(2.25) / 10.
    $x = (5.0 * log(2.25)) / 10.0;
    $bessel = 1.0 + $x ** 2 / 4.0 + $x ** 4 / 64.0 + $x ** 6 / 2304.0;
    expect($rate(70 * DAY_S, 90 * DAY_S) / $even)
        ->toEqualWithDelta($bessel, 1e-4)
        // In quarters of a day the warm hours are cut into steps, which costs a little.
        ->and($rate(0.0, 10 * DAY_S) / $even)
        ->toEqualWithDelta($bessel, 0.01)
        ->and($swinging->mean(0.0, 10 * DAY_S)->value)
        ->toEqualWithDelta(20.0, 1e-9)
        // 54 000 s of the UTC day: three in the afternoon is the warmest.
        ->and($swinging->at(15 * 3600.0)->value)
        ->toBeGreaterThan(23.0)
        ->and($swinging->at(3 * 3600.0)->value)
        ->toBeLessThan(17.0);
});

it('finds the moment at which a rate has added up', function (): void {
    $history = TemperatureHistory::ofSpans([[100.0, Celsius::of(20)], [100.0, Celsius::of(30)]]);
    $rate = fn(Celsius $celsius): float => $celsius->value;
    foreach ([[500.0, 0.0], [2500.0, 0.0], [2500.0, 50.0], [90_000.0, 150.0]] as [$amount, $from]) {
        $at = $history->whenReaches($amount, $from, $rate);
        expect($history->integrate($from, $at, $rate))->toEqualWithDelta($amount, 1e-6);
    }
    expect($history->whenReaches(0.0, 7.0, $rate))
        ->toBe(7.0)
        ->and($history->whenReaches(1.0, 0.0, fn(): float => 0.0))
        ->toBeNull();
});

it('reproduces the published pair of temperatures for kraut', function (
    float $fahrenheit,
    float $from,
    float $to,
): void {
    // USDA Complete Guide to Home Canning, National Center for Home Food Preservation: 3 to 4 weeks at 70-75 °F, 5 to 6
    // weeks at 60-65 °F; from memory. Said at the middle of the warm band, the cool band follows.
    $warm = Celsius::of((72.5 - 32.0) / 1.8);
    $room = room(($fahrenheit - 32.0) / 1.8);
    expect(readyIn($room, Window::of(20, 21, 28, $warm)) / 7.0)
        ->toEqualWithDelta($from, 0.35)
        ->and(readyIn($room, Window::of(20, 28, 28, $warm)) / 7.0)
        ->toEqualWithDelta($to, 0.75);
})->with([
    'at 70-75 °F' => [72.5, 3.0, 4.0],
    'at 60-65 °F' => [62.5, 5.0, 6.0],
]);

it('lets a reading of acid overrule what was expected', function (): void {
    $day = 86_400.0;
    $expected = ExpectedAcid::ph(6 * $day, 0.02);
    expect(ExpectedAcid::after(ExpectedAcid::ph(2 * $day, 0.02), 4 * $day, 0.02))
        ->toEqualWithDelta($expected, 1e-9)
        ->and(ExpectedAcid::after(5.6, 0.0, 0.02))
        ->toEqualWithDelta(5.6, 1e-9)
        ->and(ExpectedAcid::after(5.6, 2 * $day, 0.02))
        ->toBeLessThan(5.6)
        ->toBeGreaterThan(3.5)
        ->and(ExpectedAcid::after(3.3, 9 * $day, 0.02))
        ->toBe(3.3)
        ->and(ExpectedAcid::after(6.4, $day, 0.02))
        ->toEqualWithDelta(ExpectedAcid::ph($day, 0.02), 1e-9);
});

it('aims where the cook likes it', function (): void {
    $window = Window::of(4, 10, 30, Celsius::of(20));
    $ready = fn(Aim $aim, ?float $own = null): float => $window->aimedAt($aim, $own)->readyDays;
    expect($ready(Aim::Young))
        ->toBe(4.0)
        ->and($ready(Aim::Middle))
        ->toBe(10.0)
        ->and($ready(Aim::Long))
        ->toBe(20.0)
        ->and($ready(Aim::Own, 13.0))
        ->toBe(13.0)
        ->and($ready(Aim::Own))
        ->toBe(10.0)
        ->and($window->aimedAt(Aim::Own, 2.0)->youngDays)
        ->toBe(2.0)
        ->and($window->aimedAt(Aim::Own, 44.0)->longDays)
        ->toBe(44.0);
});

it('learns from a kitchen\'s own tastings, once there are enough', function (): void {
    expect(PreferredRipeness::best([[5.0, 3], [9.0, 5]]))
        ->toBeNull()
        ->and(PreferredRipeness::best([[5.0, 3], [9.0, 3], [12.0, 2]]))
        ->toBeNull()
        // By hand: weights 1, 9 and 4 for 3, 5 and 4 of 5.
        ->and(PreferredRipeness::best([[5.0, 3], [9.0, 5], [12.0, 4], [30.0, 1]]))
        ->toEqualWithDelta((5 * 1 + 9 * 9 + 12 * 4) / 14, 1e-12);
});

it('reads temperatures as loggers write them', function (string $text, array $readings, int $problems): void {
    $log = TemperatureLog::read($text, new DateTimeZone('Europe/Lisbon'));
    expect(array_map(fn(array $one): string => $one[0]->format('Y-m-d H:i') . ' ' . round($one[1], 2), $log->readings))
        ->toBe($readings)
        ->and($log->problems)
        ->toHaveCount($problems);
})->with([
    'commas, by the kitchen clock' => [
        "2026-07-01 08:00,21.5\n2026-07-01 07:00,20",
        ['2026-07-01 06:00 20', '2026-07-01 07:00 21.5'],
        0,
    ],
    'semicolons and decimal commas' => ["zeit;celsius\n2026-01-01T08:00;21,5", ['2026-01-01 08:00 21.5'], 0],
    'tabs, quotes, a mark at the start' => ["\u{FEFF}\"2026-01-01 08:00\"\t\"19\"", ['2026-01-01 08:00 19'], 0],
    'Fahrenheit' => ["time,fahrenheit\n2026-01-01 08:00Z,68", ['2026-01-01 08:00 20'], 0],
    'a zone of its own' => ['2026-01-01T08:00:00+02:00,18', ['2026-01-01 06:00 18'], 0],
    'the later of two' => ["2026-01-01 08:00Z,18\n2026-01-01 08:00Z,19", ['2026-01-01 08:00 19'], 0],
    'nonsense' => ["a,b\n1,2\n2026-13-45 99:00,20\n2026-01-01 08:00Z,=1+1\n\n2026-01-01 08:00Z", [], 4],
    'nothing' => ['', [], 0],
]);

it('says where a batch stands too warm or too cold', function (float $celsius, Method $method, ?string $code): void {
    // USDA Complete Guide to Home Canning: may not ferment below 60 °F, soft above 75 °F; from memory.
    $kraut = new Ledger([
        ...Kitchen::kraut()->lines,
        Soak::fromNowOn(TemperatureHistory::constant(Celsius::of($celsius))),
    ]);
    expect(TemperatureAdvice::of($method, $kraut->state())?->code)->toBe($code);
})->with([
    [(59.0 - 32.0) / 1.8, Method::DrySalting, 'too_cold'],
    [(60.5 - 32.0) / 1.8, Method::DrySalting, null],
    [(74.5 - 32.0) / 1.8, Method::DrySalting, null],
    [(76.0 - 32.0) / 1.8, Method::DrySalting, 'too_warm'],
    [5.0, Method::KimchiDrySalted, null],
    [28.0, Method::KimchiDrySalted, 'too_warm'],
    [28.0, Method::QuickSaltPickle, null],
]);
