<?php

declare(strict_types=1);

use Tempesal\Core\Care\RipenessForecast;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\RunningStrength;
use Tempesal\Core\Ledger\SaltFlow;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Window;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

const A_DAY = 86_400.0;

/** Kraut that stands at a temperature from its first moment on. */
function standingAt(float $celsius): Ledger
{
    return Kitchen::kraut()->with(Soak::fromNowOn(TemperatureHistory::constant(Celsius::of($celsius))));
}

it('reaches its days at the temperature at which they are said', function (): void {
    $window = Window::of(4, 9, 28, Celsius::of(19));
    $forecast = RipenessForecast::of(standingAt(19), $window);
    expect($forecast->young)
        ->toEqualWithDelta(4 * A_DAY, 2.0)
        ->and($forecast->ready)
        ->toEqualWithDelta(9 * A_DAY, 2.0)
        ->and($forecast->long)
        ->toEqualWithDelta(28 * A_DAY, 2.0);
});

it('takes five to six weeks in a cool room for what takes three to four in a warm one', function (): void {
    // USDA Complete Guide to Home Canning, kraut: 3-4 weeks at 70-75 °F, 5-6 weeks at 60-65 °F; from memory.
    $warm = Celsius::of((72.5 - 32.0) / 1.8);
    $cool = (62.5 - 32.0) / 1.8;
    $forecast = RipenessForecast::of(standingAt($cool), Window::of(21, 24.5, 28, $warm));
    expect($forecast->ready / A_DAY / 7.0)
        ->toBeGreaterThan(5.0)
        ->toBeLessThan(6.0);
});

it('moves its day when it is moved to another place', function (): void {
    $window = Window::of(4, 10, 28, Celsius::of(20));
    $moved = new Ledger([
        ...array_map(fn(LedgerLine $line): LedgerLine => new LedgerLine($line->entry, 0.0), Kitchen::kraut()->lines),
        new LedgerLine(Soak::fromNowOn(TemperatureHistory::constant(Celsius::of(20))), 0.0),
        new LedgerLine(Soak::fromNowOn(TemperatureHistory::constant(Celsius::of(4))), 5 * A_DAY),
    ]);
    // Half of it is done after five days; the other half goes 2.25^0.8 times as slowly for eight degrees and 4.33^0.8
    // times for eight more below twelve.
    expect(RipenessForecast::of($moved, $window)->ready / A_DAY)->toEqualWithDelta(
        5.0 + 5.0 * 2.25 ** 0.8 * 4.33 ** 0.8,
        0.01,
    );
    $frozen = RipenessForecast::of(standingAt(-2), Window::of(400, 500, 999, Celsius::of(30)));
    expect($frozen->long)->toBeNull();
});

it(
    'takes servings between two moments of a course together, and comes to the same where salt rests',
    function (): void {
        $lines = array_map(
            static fn(Entry $entry): LedgerLine => new LedgerLine($entry, 0.0),
            Kitchen::kraut()->with(Soak::untilEven(), Soak::fromNowOn())->entries(),
        );
        foreach (range(1, 60) as $n) {
            $lines[] = new LedgerLine(Serve::of(Served::Pieces, Grams::of(3.0 + ($n % 4))), (10.0 + $n) * A_DAY);
            if ($n === 30) {
                $lines[] = new LedgerLine(new Discard(Phase::Brine, Grams::of(20)), (10.5 + $n) * A_DAY);
            }
        }
        $ledger = new Ledger($lines);
        $few = [5.0 * A_DAY, 30.2 * A_DAY, 40.7 * A_DAY, 90.0 * A_DAY];
        $all = $few;
        foreach (range(1, 60) as $n) {
            array_push($all, (10.0 + $n) * A_DAY - 1.0, (10.0 + $n) * A_DAY);
        }
        sort($all);
        $every = array_combine(array_map(strval(...), $all), $ledger->course($all));
        foreach ($ledger->course($few) as $i => $bands) {
            foreach (['piecesPer100g', 'brinePer100g'] as $of) {
                foreach (['typical', 'low', 'high'] as $end) {
                    expect($bands[$of]->{$end})->toEqualWithDelta($every[(string) $few[$i]][$of]->{$end}, 0.01);
                }
            }
        }
    },
);

it('follows sodium through its course, with the bands that each moment has', function (): void {
    $ledger = new Ledger([
        new LedgerLine(new Add(Kitchen::water(), Band::exact(600), Phase::Brine), 0.0),
        new LedgerLine(new Salt(Kitchen::spooned(1.5), Phase::Brine), 0.0),
        new LedgerLine(new Add(Kitchen::carrot()->cut(PieceShape::Sticks), Band::exact(600), Phase::Pieces), 0.0),
        new LedgerLine(Soak::fromNowOn(), 0.0),
        new LedgerLine(new Freshen(Grams::of(500), ClingingBrine::drained()), 3 * A_DAY),
    ]);
    $moments = [3600.0, A_DAY, 3 * A_DAY - 1, 3 * A_DAY, 9 * A_DAY];
    $course = $ledger->course($moments);
    foreach ($moments as $i => $moment) {
        $then = $ledger->asOf($moment)->estimates();
        foreach (['piecesPer100g', 'brinePer100g'] as $of) {
            expect($course[$i][$of]->typical)
                ->toEqualWithDelta($then[$of]->band->typical, 1e-6)
                ->and($course[$i][$of]->low)
                ->toEqualWithDelta($then[$of]->band->low, 1e-6)
                ->and($course[$i][$of]->high)
                ->toEqualWithDelta($then[$of]->band->high, 1e-6);
        }
        expect($course[$i]['saucePer100g'])->toBeNull();
    }
    expect($course[3]['brinePer100g']->typical)->toBeLessThan(0.3 * $course[2]['brinePer100g']->typical);
});

it('tells where the salt came from and where it went, with nothing lost', function (): void {
    $whey = Kitchen::food('whey', 93, 50);
    $ledger = Kitchen::jarOfCarrots()->with(
        new Starter($whey, Grams::of(40)),
        Soak::untilEven(),
        Serve::of(Served::Pieces, Grams::of(80)),
        ServingStyle::Rinsed->plate(Served::Pieces, Grams::of(50)),
        new Freshen(Grams::of(300), ClingingBrine::drained()),
        new Discard(Phase::Brine, Grams::of(20)),
        new Add(Kitchen::food('fish-sauce', 60, 7851), Band::exact(15), Phase::Brine),
    );
    $flow = SaltFlow::of($ledger);
    expect(array_sum($flow->from))
        ->toEqualWithDelta(array_sum($flow->to), 1e-6)
        ->and(array_keys($flow->from))
        ->toEqualCanonicalizing(['salt', 'produce', 'starter'])
        ->and(array_keys($flow->to))
        ->toEqualCanonicalizing(['pieces', 'brine', 'eaten', 'rinsed', 'poured_off', 'not_used'])
        ->and($flow->from['starter'])
        ->toEqualWithDelta(20.0, 1e-9)
        ->and($flow->to['eaten'])
        ->toEqualWithDelta($ledger->state()->account(Account::Eaten)->sodiumMg, 1e-9);
});

it('calls what comes in after salting the dressing', function (): void {
    $dressed = Kitchen::kraut()->with(
        new Drain(ClingingBrine::drained(), null),
        new Add(Kitchen::food('fish-sauce', 60, 7851), Band::exact(15), Phase::Brine),
    );
    $flow = SaltFlow::of($dressed);
    expect($flow->from['dressing'])
        ->toEqualWithDelta(15 * 78.51, 1e-6)
        ->and($flow->to)
        ->toHaveKey('poured_off');
});

it('reckons the strength after each of several pinches', function (): void {
    $mash = new Ledger([
        new Add(Kitchen::cabbage(), Band::exact(800), Phase::Pieces),
        new Salt(Kitchen::weighed(8), Phase::Brine),
        new Salt(Kitchen::weighed(4), Phase::Brine),
        new Salt(Kitchen::weighed(6), Phase::Brine),
    ]);
    expect(RunningStrength::of($mash, SaltBasis::OfVegetable))
        ->toBe([1 => 0.01, 2 => 0.015, 3 => 0.0225])
        ->and(RunningStrength::of(Kitchen::kraut(), SaltBasis::OfVegetable))
        ->toBe([]);
});

it('serves pieces in three ways, from the least sodium to the most', function (): void {
    $jar = Kitchen::jarOfCarrots()->with(Soak::untilEven());
    $sodium = fn(ServingStyle $way): float => $jar->serving($way->plate(Served::Pieces, Grams::of(40)))->band->typical;
    expect($sodium(ServingStyle::Rinsed))
        ->toBeLessThan($sodium(ServingStyle::Drained))
        ->and($sodium(ServingStyle::WithJuice))
        ->toBeGreaterThan($sodium(ServingStyle::Drained))
        ->and($sodium(ServingStyle::Drained))
        ->toEqualWithDelta($jar->serving(Serve::of(Served::Pieces, Grams::of(40)))->band->typical, 1e-9)
        ->and(ServingStyle::of(Served::Sauce))
        ->toBe([ServingStyle::Drained])
        ->and(ServingStyle::Rinsed->plate(Served::Brine, Grams::of(30))->rinse)
        ->toBeNull();
});
