<?php

declare(strict_types=1);

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Leak;
use Tempesal\Core\Ledger\Entry\Measured;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Ledger\StarterTransfer;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

function hours(float $hours, float $celsius = 20.0): Soak
{
    return Soak::lasting(Seconds::ofHours($hours), TemperatureHistory::constant(Celsius::of($celsius)));
}

function piecesMg(Ledger $ledger): float
{
    return $ledger->state()->phase(Phase::Pieces)->sodiumMg;
}

it('goes as far in two rests as in one', function (): void {
    $jar = Kitchen::jarOfCarrots();
    $once = piecesMg($jar->with(hours(10)));
    expect(piecesMg($jar->with(hours(2), hours(3), hours(5))))
        ->toEqualWithDelta($once, 1e-6)
        ->and(piecesMg($jar->with(Soak::fromNowOn())->asOf(36_000.0)))
        ->toEqualWithDelta($once, 1e-6)
        ->and(
            piecesMg(
                (new Ledger([...$jar->lines, Soak::fromNowOn(), new LedgerLine(new Heat(), 9_000.0)]))->asOf(36_000.0),
            ),
        )
        ->toEqualWithDelta($once, 1e-6);
});

it('takes up more with time, warmth and salt, and never passes rest', function (): void {
    $jar = Kitchen::jarOfCarrots();
    $atRest = piecesMg($jar->settled());
    $before = piecesMg($jar);
    foreach ([0.01, 0.1, 1, 5, 20] as $time) {
        $now = piecesMg($jar->with(hours($time)));
        expect($now)
            ->toBeGreaterThan($before)
            ->toBeLessThanOrEqual($atRest + 1e-9);
        $before = $now;
    }
    expect(piecesMg($jar->with(hours(400))))
        ->toEqualWithDelta($atRest, 1e-6)
        ->and(piecesMg($jar->with(hours(5, 25))))
        ->toBeGreaterThan(piecesMg($jar->with(hours(5, 15))));
    $salty = new Ledger([...$jar->lines, new Salt(Kitchen::weighed(5), Phase::Brine)]);
    expect(piecesMg($salty->with(hours(5))))->toBeGreaterThan(piecesMg($jar->with(hours(5))));
});

it('is linear in the salt that goes in', function (): void {
    $with = fn(float $grams): float => piecesMg(
        new Ledger([...Kitchen::jarOfCarrots()->lines, new Salt(Kitchen::weighed($grams), Phase::Brine), hours(7)]),
    );
    expect($with(20) - $with(10))->toEqualWithDelta($with(30) - $with(20), 1e-6);
});

it('adds temperatures up hour by hour', function (): void {
    $jar = Kitchen::jarOfCarrots();
    $changing = TemperatureHistory::ofSpans([[3 * 3600.0, Celsius::of(12)], [4 * 3600.0, Celsius::of(28)]]);
    expect(piecesMg($jar->with(Soak::lasting(Seconds::ofHours(7), $changing))))
        ->toEqualWithDelta(piecesMg($jar->with(hours(3, 12), hours(4, 28))), 1e-6)
        ->and(piecesMg($jar->with(Soak::fromNowOn($changing))->asOf(8 * 3600.0)))
        ->toEqualWithDelta(piecesMg($jar->with(hours(3, 12), hours(5, 28))), 1e-6);
});

// Ea 20 kJ/mol (from memory): ten degrees more speed salt up by exp(-20000 / 8.314 (1/303.15 - 1/293.15)) = 1.311.
it('moves salt a third faster ten degrees warmer', function (): void {
    $cool = TemperatureHistory::constant(Celsius::of(20))->secondsAt20(0, 1000);
    $warm = TemperatureHistory::constant(Celsius::of(30))->secondsAt20(0, 1000);
    expect($warm / $cool)->toEqualWithDelta(1.311, 0.001);
});

it('pours the brine off and leaves a film', function (): void {
    $drained = Kitchen::kraut()->with(new Drain(Band::exact(0.07)))->state();
    expect($drained->phase(Phase::Brine)->weightG())->toEqualWithDelta(
        0.07 * $drained->phase(Phase::Pieces)->weightG(),
        1e-9,
    );
    $kept = Kitchen::kraut()->with(new Drain(Band::exact(0.07), Grams::of(120)))->state();
    expect($kept->phase(Phase::Brine)->weightG())
        ->toEqualWithDelta(120, 1e-9)
        ->and(fn() => Kitchen::kraut()->with(new Drain(Band::exact(0.07), Grams::of(900)))->state())
        ->toThrow(NotEnough::class);
});

it('rinses salt out, more with time, and leaves fresh water clinging', function (): void {
    $jar = Kitchen::kraut()->with(new Drain(ClingingBrine::drained()));
    $left = fn(float $seconds): Ledger => $jar->with(
        new Rinse(Rinsing::underTheTap(Seconds::of($seconds)), ClingingBrine::drained()),
    );
    expect(piecesMg($left(20)))
        ->toBeLessThan(piecesMg($jar))
        ->toBeGreaterThan(piecesMg($left(120)))
        ->and($left(20)->state()->phase(Phase::Brine)->sodiumMg)
        ->toBe(0.0)
        ->and($left(20)->state()->account(Account::Discarded)->sodiumMg)
        ->toBeGreaterThan(0.0);
});

it('squeezes water out with the salt that is in it', function (): void {
    $before = Kitchen::kraut()->with(new Drain(ClingingBrine::drained()));
    $after = $before->with(new Squeeze(Band::exact(0.02), Band::exact(0.1)))->state();
    $pieces = $before->state()->phase(Phase::Pieces);
    expect($after->phase(Phase::Pieces)->sodiumMg)
        ->toEqualWithDelta(0.9 * $pieces->sodiumMg, 1e-9)
        ->and($after->phase(Phase::Pieces)->waterG)
        ->toEqualWithDelta(0.9 * $pieces->waterG, 1e-9)
        ->and($after->phase(Phase::Brine)->weightG())
        ->toEqualWithDelta(0.02 * $after->phase(Phase::Pieces)->weightG(), 1e-9);
});

it('freshens a pickle that is too salty', function (): void {
    $salty = (new Ledger([...Kitchen::jarOfCarrots()->lines, new Salt(Kitchen::weighed(100), Phase::Brine)]))->with(
        hours(8),
    );
    $fresh = $salty->with(new Freshen(Grams::of(600), ClingingBrine::drained()), hours(8));
    expect(piecesMg($fresh))
        ->toBeLessThan(0.6 * piecesMg($salty))
        ->and(abs($fresh->state()->sodiumAstray()))
        ->toBeLessThan(1e-6);
});

it('tops up with brine as strong as its own', function (): void {
    $before = Kitchen::kraut()->state()->phase(Phase::Brine);
    $after = Kitchen::kraut()->with(new TopUp(Grams::of(80), null, Kitchen::pureSalt()))->state()->phase(Phase::Brine);
    expect($after->brineStrength())
        ->toEqualWithDelta($before->brineStrength(), 2e-4)
        ->and($after->weightG())
        ->toEqualWithDelta($before->weightG() + 80, 1e-9);
});

it('gets saltier as water dries away and thinner as the weight leaks', function (): void {
    $brine = fn(Ledger $ledger): float => $ledger->state()->phase(Phase::Brine)->brineStrength();
    $jar = Kitchen::kraut();
    expect($brine($jar->with(new Evaporate(Band::exact(30)))))
        ->toBeGreaterThan($brine($jar))
        ->and($jar->with(new Evaporate(Band::exact(30)))->state()->account(Account::Evaporated)->sodiumMg)
        ->toBe(0.0)
        ->and($brine($jar->with(new Leak(Band::exact(30)))))
        ->toBeLessThan($brine($jar))
        ->and(fn() => $jar->with(new Evaporate(Band::exact(3000)))->state())
        ->toThrow(NotEnough::class);
});

it('salts up to a strength at rest', function (SaltBasis $basis): void {
    $salted = Kitchen::jarOfCarrots()->with(new ReSalt(0.03, $basis, Kitchen::salt('grey-sea')));
    expect(Strength::of($salted->state())->share($basis))->toEqualWithDelta(0.03, 1e-9);
    $again = $salted->with(new ReSalt(0.02, $basis, Kitchen::pureSalt()));
    expect($again->state()->present()->sodiumMg)->toEqualWithDelta($salted->state()->present()->sodiumMg, 1e-9);
})->with([[SaltBasis::OfWater], [SaltBasis::BrineStrength], [SaltBasis::OfEverything]]);

it('believes a scale: lighter pieces gave more juice', function (): void {
    $jar = Kitchen::kraut();
    $weight = $jar->state()->phase(Phase::Pieces)->weightG();
    $weighed = $jar->with(new Measured(Reading::DrainedWeight, Band::exact($weight - 60)))->state();
    expect($weighed->phase(Phase::Pieces)->weightG())
        ->toEqualWithDelta($weight - 60, 1e-6)
        ->and($weighed->present()->weightG())
        ->toEqualWithDelta($jar->state()->present()->weightG(), 1e-9)
        ->and($weighed->account(Account::Correction)->weightG())
        ->toBe(0.0);
    $dry = $jar
        ->with(new Drain(Band::exact(0.0)), new Measured(Reading::DrainedWeight, Band::exact($weight - 60)))
        ->state();
    expect($dry->phase(Phase::Pieces)->weightG())
        ->toEqualWithDelta($weight - 60, 1e-6)
        ->and($dry->account(Account::Correction)->weightG())
        ->toEqualWithDelta(-60, 1e-6);
});

it('believes a refractometer for the whole jar once it is at rest, and books the difference', function (): void {
    $jar = Kitchen::kraut();
    $read = $jar->with(new Measured(Reading::BrineStrength, Band::exact(0.03)))->state();
    expect($read->phase(Phase::Brine)->brineStrength())
        ->toEqualWithDelta(0.03, 1e-9)
        ->and($read->phase(Phase::Pieces)->sodiumMg / $read->phase(Phase::Pieces)->waterG)
        ->toEqualWithDelta($read->phase(Phase::Brine)->sodiumMg / $read->phase(Phase::Brine)->waterG, 1e-9)
        ->and($read->account(Account::Correction)->sodiumMg)
        ->toEqualWithDelta($read->present()->sodiumMg - $jar->state()->present()->sodiumMg, 1e-6);
    $young = Kitchen::jarOfCarrots();
    expect(piecesMg($young->with(new Measured(Reading::BrineStrength, Band::exact(0.02)))))->toBe(piecesMg($young));
});

// How much salt the pieces hold beside their brine (K) stays as uncertain as it was.
it('narrows the band by a reading', function (): void {
    $guessed = Kitchen::kraut(spooned: true);
    $read = $guessed->with(new Measured(Reading::BrineStrength, Band::of(0.021, 0.022, 0.023)));
    $width = fn(Ledger $ledger): float => $ledger->serving(Serve::of(Served::Pieces, Grams::of(40)))->band->high -
        $ledger->serving(Serve::of(Served::Pieces, Grams::of(40)))->band->low;
    expect($width($read))->toBeLessThan(0.7 * $width($guessed));
});

it('blends to one phase and stays as salty', function (): void {
    $sauce = Kitchen::kraut()->with(new Blend())->state();
    expect($sauce->isOnePhase())
        ->toBeTrue()
        ->and($sauce->phase(Phase::Sauce)->sodiumMg)
        ->toEqualWithDelta(Kitchen::kraut()->state()->present()->sodiumMg, 1e-9)
        ->and($sauce->phase(Phase::Pieces)->isNothing())
        ->toBeTrue()
        ->and(fn() => (new Ledger([new Blend()]))->state())
        ->toThrow(NotEnough::class);
});

it('is no longer live when heated, and live again with a living starter', function (): void {
    $whey = new Ingredient('whey', 'whey', 93.1, Band::exact(54), live: true, allergens: [Allergen::Milk]);
    $heated = Kitchen::kraut()->with(new Heat());
    $fed = $heated->with(new Starter($whey, Grams::of(20)));
    expect(Kitchen::kraut()->state()->live)
        ->toBeTrue()
        ->and($heated->state()->live)
        ->toBeFalse()
        ->and($fed->state()->live)
        ->toBeTrue()
        ->and($fed->state()->allergens())
        ->toBe([Allergen::Milk]);
});

it('lends brine at its strength of that moment, with acid, allergens and cultures', function (): void {
    $mustard = new Ingredient('mustard', 'mustard seed', 5, Band::exact(4), allergens: [Allergen::Mustard]);
    $kraut = Kitchen::kraut()->with(
        new \Tempesal\Core\Ledger\Entry\Add($mustard, Band::exact(5), Phase::Pieces),
        Soak::lasting(Seconds::ofDays(20)),
    );
    [$starter, $give] = StarterTransfer::from('kraut', 'Kraut', $kraut)->lend(Grams::of(50), null, 'beets');
    $brine = $kraut->state()->phase(Phase::Brine);
    $beets = Kitchen::jarOfCarrots()->with($starter)->state();
    expect($starter->liquid->sodiumPer100g->typical)
        ->toEqualWithDelta($brine->sodiumPer100g(), 1e-9)
        ->and($starter->liquid->ph)
        ->toBeLessThan(3.7)
        ->and($starter->liquid->live)
        ->toBeTrue()
        ->and($beets->allergens())
        ->toBe([Allergen::Mustard])
        ->and($beets->account(Account::Received)->sodiumMg)
        ->toEqualWithDelta($brine->sodiumPer100g() / 2, 1e-9)
        ->and($kraut->with($give)->state()->account(Account::GivenAway)->sodiumMg)
        ->toEqualWithDelta($brine->sodiumPer100g() / 2, 1e-9)
        ->and(fn() => StarterTransfer::from('kraut', 'Kraut', $kraut)->lend(Grams::of(5000), null, 'x'))
        ->toThrow(NotEnough::class);
});

it('keeps what left the jar as it was, whatever is found out later', function (): void {
    $jar = Kitchen::kraut();
    $serving = Serve::of(Served::Pieces, Grams::of(100))->bookedAt($jar->state());
    $give = (new Give(Served::Brine, Grams::of(40), 'x'))->bookedAt($jar->state());
    $served = $serving->sodiumMg($jar->state(), Point::typical());
    // The mistaken half of the salt is taken back afterwards.
    $truth = new Ledger(
        array_map(
            fn($entry) => $entry instanceof Salt ? new Salt(Kitchen::weighed(11.25), Phase::Brine) : $entry,
            $jar->entries(),
        ),
    );
    $state = $truth->with($serving, $give)->state();
    expect($state->account(Account::Eaten)->sodiumMg)
        ->toEqualWithDelta($served, 1e-9)
        ->and($state->account(Account::GivenAway)->sodiumMg)
        ->toEqualWithDelta(0.4 * $jar->state()->phase(Phase::Brine)->sodiumPer100g(), 1e-9)
        ->and(abs($state->sodiumAstray()))
        ->toBeLessThan(1e-9);
    $none = new Ledger(array_values(array_filter($jar->entries(), fn($entry): bool => !($entry instanceof Salt))));
    expect(fn() => $none->with($serving)->state())->toThrow(
        fn(NotEnough $no) => expect(said($no->explanation()))->toContain('left the jar since'),
    );
});

it('serves rinsed or with juice', function (): void {
    $jar = Kitchen::kraut();
    $plain = Serve::of(Served::Pieces, Grams::of(40));
    $sodium = fn(Serve $serve): float => $serve->sodiumMg($jar->state(), Point::typical());
    $juicy = new Serve(Served::Pieces, Grams::of(40), ClingingBrine::drained(), Grams::of(10));
    $rinsed = $plain->rinsed(Rinsing::underTheTap(Seconds::of(30)));
    expect($sodium($juicy) - $sodium($plain))
        ->toEqualWithDelta($jar->state()->phase(Phase::Brine)->sodiumPer100g() / 10, 1e-9)
        ->and($sodium($rinsed))
        ->toBeLessThan(0.9 * $sodium($plain));
    $state = $jar->with($rinsed)->state();
    expect($state->account(Account::Eaten)->sodiumMg)
        ->toEqualWithDelta($sodium($rinsed), 1e-9)
        ->and($state->account(Account::Eaten)->sodiumMg + $state->account(Account::Discarded)->sodiumMg)
        ->toEqualWithDelta($sodium($plain), 1e-9);
});

it('remembers how the heaviest food is cut', function (): void {
    $thick = Piece::measured(PieceForm::Cylinder, Millimetres::of(20), Band::exact(5.0));
    $jar = Kitchen::jarOfCarrots();
    expect($jar->state()->leadingKind()?->piece->form)
        ->toBe(PieceForm::Cylinder)
        ->and(piecesMg($jar->with(Soak::lasting(Seconds::ofHours(5), null, $thick))))
        ->toBeLessThan(piecesMg($jar->with(hours(5))))
        ->and($jar->with(new Draw(Band::exact(0.1)))->state()->leadingKind()?->piece)
        ->toEqual($jar->state()->leadingKind()?->piece);
});

it('looks at a jar as it was and as it will be', function (): void {
    $jar = new Ledger([
        ...Kitchen::jarOfCarrots()->lines,
        new LedgerLine(Soak::fromNowOn(), 0.0),
        new LedgerLine(Serve::of(Served::Pieces, Grams::of(100)), 864_000.0),
    ]);
    expect(piecesMg($jar->asOf(3600.0)))
        ->toBeLessThan(piecesMg($jar->asOf(86_400.0)))
        ->and($jar->asOf(863_000.0)->state()->account(Account::Eaten)->sodiumMg)
        ->toBe(0.0)
        ->and($jar->asOf(900_000.0)->state()->account(Account::Eaten)->sodiumMg)
        ->toBeGreaterThan(0.0)
        ->and($jar->asOf(864_000.0)->state()->clock)
        ->toBe(864_000.0);
});
