<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Overflow;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SpoonFill;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Salt\SaltProduct;
use Tests\Support\Kitchen;

/*
 * The bands against the method that JCGM 101:2008 (supplement 1 of the GUM) gives for checking them: draw every input
 * at random, compute, and look where nine in ten results lie (its 5 to 8). A band holds nine in ten, so that an input's
 * sides are taken as the halves of two normal distributions with 1.645 standard deviations to the band's end.
 */
const SAMPLES = 4000;
const NINE_IN_TEN = 1.6448536;

/** A normal number, by Box and Muller. */
function normal(Randomizer $chance): float
{
    $part = fn(): float => $chance->getInt(1, 1_000_000_000) / 1e9;

    return sqrt(-2.0 * log($part())) * cos(2.0 * M_PI * $part());
}

/** Where the band's quantity was found to lie this time. */
function drawn(Band $band, Randomizer $chance): Band
{
    $away = normal($chance) / NINE_IN_TEN;

    return Band::exact(
        $band->typical + $away * ($away < 0.0 ? $band->typical - $band->low : $band->high - $band->typical),
    );
}

/**
 * A food whose pieces hold as much salt as it turns out; how thick they are does not matter at rest.
 *
 * @param callable(Band): Band $of
 */
function piecesOf(callable $of, Ingredient $food): Ingredient
{
    $piece = $food->piece();

    return new Ingredient(
        $food->id,
        $food->name,
        $food->waterPer100g,
        $food->sodiumPer100g,
        shape: $food->shape,
        piece: Piece::read(Fields::of(['partition' => $of($piece->partition)->toArray()] + $piece->toArray())),
    );
}

/** @param callable(Band): Band $of */
function cabbageWith(callable $of, Band $sodium): Ingredient
{
    return piecesOf($of, (new Ingredient('cabbage', 'cabbage', 92.18, $of($sodium)))->cut(PieceShape::Shreds));
}

/**
 * A salt whose level spoon and whose sodium are known only so well.
 *
 * @param  callable(Band): Band  $of
 */
function spoonfuls(callable $of, string $amount, Band $spoon, Band $sodium): SaltDose
{
    // How level the spoon is moves the salt in it as its density does; typically it is exactly level.
    $level = $of(SpoonFill::Level->factor())->typical;

    return SaltDose::spooned(
        new SaltProduct('rough', 'rough salt', $of($spoon)->times($level), $of($sodium)),
        Kitchen::volume($amount),
    );
}

dataset('makings', [
    'a spooned kraut' => fn(callable $of): Ledger => new Ledger([
        new Add(cabbageWith($of, Band::of(12, 18, 27)), Band::exact(1000), Phase::Pieces),
        new Salt(spoonfuls($of, '1 1/2 tbsp', Band::of(13, 15, 18), Band::of(38_000, 38_600, 39_000)), Phase::Brine),
        new Draw($of(Band::of(0.1, 0.2, 0.3))),
        Soak::untilEven(),
    ]),
    'a poured brine that ran over' => fn(callable $of): Ledger => new Ledger([
        new Add(Kitchen::water(), $of(Band::of(560, 600, 640)), Phase::Brine),
        new Salt(spoonfuls($of, '1 tbsp', Band::of(7.5, 9.6, 11), Band::of(38_800, 39_300, 39_337)), Phase::Brine),
        new Add(piecesOf($of, Kitchen::carrot()->cut(PieceShape::Sticks)), $of(Band::of(570, 600, 630)), Phase::Pieces),
        Soak::untilEven(),
        new Overflow($of(Band::of(10, 40, 80))),
    ]),
    'a salty vegetable, drained' => fn(callable $of): Ledger => new Ledger([
        new Add(cabbageWith($of, Band::of(150, 300, 420)), Band::exact(800), Phase::Pieces),
        new Salt(spoonfuls($of, '1 tbsp', Band::of(15, 16, 17), Band::of(38_000, 38_600, 39_000)), Phase::Brine),
        new Draw($of(Band::of(0.12, 0.18, 0.26))),
        Soak::untilEven(),
        new Drain(Band::exact(0.07)),
    ]),
]);

it('has bands that hold nine in ten of what chance makes', function (Closure $solution): void {
    $plate = fn(callable $of): Serve => new Serve(Served::Pieces, Grams::of(40), $of(ClingingBrine::drained()));
    $asBand = fn(Band $band): Band => $band;
    $band = $solution($asBand)->serving($plate($asBand))->band;
    $chance = new Randomizer(new Mt19937(20261125));
    $found = [];
    for ($i = 0; $i < SAMPLES; $i++) {
        $asDrawn = fn(Band $band): Band => drawn($band, $chance);
        $found[] = $solution($asDrawn)->serving($plate($asDrawn))->band->typical;
    }
    sort($found);
    $width = $band->high - $band->low;
    expect($width)
        ->toBeGreaterThan(5.0)
        ->and($found[(int) (SAMPLES / 2)])
        // K is lopsided, so that half of the jars lie a little below the typical one.
        ->toEqualWithDelta($band->typical, 0.1 * $width)
        ->and($found[(int) (0.05 * SAMPLES)])
        ->toEqualWithDelta($band->low, 0.08 * $width)
        ->and($found[(int) (0.95 * SAMPLES)])
        ->toEqualWithDelta($band->high, 0.08 * $width);
    $inside = count(array_filter($found, fn(float $mg): bool => $mg >= $band->low && $mg <= $band->high));
    expect($inside / SAMPLES)
        ->toBeGreaterThan(0.87)
        ->toBeLessThan(0.94);
})->with('makings');

it('would notice a band that is too narrow', function (): void {
    $solution = fn(callable $of, Band $spoon): Ledger => new Ledger([
        new Add(
            cabbageWith(fn(Band $band): Band => Band::exact($band->typical), Band::exact(18)),
            Band::exact(1000),
            Phase::Pieces,
        ),
        new Salt(spoonfuls($of, '1 1/2 tbsp', $spoon, Band::exact(38_600)), Phase::Brine),
        Soak::untilEven(),
    ]);
    $serving = new Serve(Served::Pieces, Grams::of(40), Band::exact(0.07));
    $narrow = $solution(fn(Band $band): Band => $band, Band::of(14.5, 15, 15.5))->serving($serving)->band;
    $chance = new Randomizer(new Mt19937(7));
    $inside = 0;
    for ($i = 0; $i < 1000; $i++) {
        $ledger = $solution(fn(Band $band): Band => drawn($band, $chance), Band::of(13, 15, 17));
        $mg = $ledger->serving($serving)->band->typical;
        $inside += $mg >= $narrow->low && $mg <= $narrow->high ? 1 : 0;
    }
    expect($inside / 1000)->toBeLessThan(0.7);
});
