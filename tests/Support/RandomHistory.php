<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Leak;
use Tempesal\Core\Ledger\Entry\Measured;
use Tempesal\Core\Ledger\Entry\Overflow;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Produce\CutShare;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * Turns plain numbers into a history that a jar could have: whatever an entry takes is a share of what is there.
 */
final class RandomHistory
{
    public const KINDS = 24;

    /** @param  list<array{int, int, int}>  $moves  kind from 0, and two numbers from 0 to 100 */
    public static function of(array $moves): Ledger
    {
        $start = Kitchen::jarOfCarrots();
        $state = $start->state();
        $entries = [];
        foreach ($moves as [$kind, $a, $b]) {
            $entry = self::entry($state, $kind, $a / 100.0, $b / 100.0);
            if ($entry !== null) {
                $entries[] = $entry;
                $state = ($entry instanceof Resolvable ? $entry->resolve($state) : $entry)->applyTo(
                    $state,
                    Point::typical(),
                );
            }
        }

        return $start->with(...$entries);
    }

    /** Some moves without a generator, the same for the same seed. */
    public static function seeded(int $seed, int $length): Ledger
    {
        $chance = new Randomizer(new Mt19937($seed));
        $moves = [];
        for ($i = 0; $i < $length; $i++) {
            $moves[] = [$chance->getInt(0, self::KINDS - 1), $chance->getInt(0, 100), $chance->getInt(0, 100)];
        }

        return self::of($moves);
    }

    private static function entry(BatchState $state, int $kind, float $a, float $b): ?Entry
    {
        $liquid = $state->liquid();
        $solid = $state->isOnePhase() ? Phase::Sauce : Phase::Pieces;
        $there = static fn(Phase $phase): float => max(0.0, $state->phase($phase)->weightG());
        $pure = Kitchen::pureSalt();

        return match ($kind) {
            0 => new Add(Kitchen::carrot(), Band::of(400 * $a, 450 * $a, 600 * $a), $solid),
            1 => new Salt(Kitchen::weighed(1 + 60 * $a), $liquid),
            2 => new Salt(Kitchen::spooned(0.1 + 3 * $a), $liquid),
            3 => new Starter(Kitchen::food('whey', 93.1, 54), Grams::of(200 * $a)),
            4 => new Draw(Band::of(0.3 * $a - 0.1, 0.3 * $a, 0.3 * $a + 0.1)),
            5 => Soak::lasting(Seconds::of(1 + 400_000 * $a ** 4), TemperatureHistory::constant(Celsius::of(40 * $b))),
            6 => Soak::untilEven(),
            7 => $there(Phase::Pieces) > 0.0 ? new Drain(ClingingBrine::drained()) : null,
            8 => new Rinse(Rinsing::underTheTap(Seconds::of(1 + 600 * $a)), ClingingBrine::drained()),
            9 => Squeeze::firm(),
            10 => new Freshen(Grams::of(800 * $a), ClingingBrine::drained()),
            11 => new TopUp(Grams::of(300 * $a), $b < 0.5 ? null : $b * 0.2, $pure),
            12 => new Overflow(Band::exact($a * $there($liquid))),
            13 => new Leak(Band::of(50 * $a, 100 * $a, 150 * $a), 0.1 * $b),
            14 => new Evaporate(Band::exact(0.9 * $a * max(0.0, $state->phase($liquid)->waterG))),
            15 => new ReSalt(
                0.1 * $a,
                $b < 0.3 ? SaltBasis::OfWater : ($b < 0.6 ? SaltBasis::OfEverything : SaltBasis::BrineStrength),
                $pure,
            ),
            16 => $b > 0.9 && $state->present()->weightG() > 1.0 ? new Blend() : null,
            17 => $b > 0.5 ? new Heat() : null,
            18 => self::reading($state, $a, $b),
            19 => new Give(Served::of($liquid), Grams::of($a * $there($liquid)), 'another'),
            20 => self::serving($state, Served::of($solid), $a * $there($solid), $b),
            22 => new Add(self::cabbageInParts($a), Band::exact(300 * $b), $solid),
            23 => new Serve(Served::All, Grams::of($a * $there(Phase::Pieces)), ClingingBrine::drained()),
            21 => new Discard($b < 0.5 ? $liquid : $solid, Grams::of($a * $there($b < 0.5 ? $liquid : $solid))),
            default => null,
        };
    }

    private static function reading(BatchState $state, float $a, float $b): ?Entry
    {
        $reading = match (true) {
            $state->isOnePhase() => Reading::SauceSodium,
            $b < 0.3 => Reading::DrainedWeight,
            $b < 0.6 => Reading::BrineStrength,
            default => Reading::PiecesSodium,
        };
        $phase = $state->phase($reading->phase());
        if ($phase->weightG() < 1.0) {
            return null;
        }

        return new Measured(
            $reading,
            match ($reading) {
                Reading::DrainedWeight => Band::exact($phase->weightG() * (0.8 + 0.4 * $a)),
                Reading::BrineStrength => Band::exact(0.1 * $a),
                default => Band::exact(3000.0 * $a),
            },
        );
    }

    private static function cabbageInParts(float $leaf): Ingredient
    {
        return Kitchen::cabbage()->inParts([
            new CutShare(PieceShape::Leaf, $leaf),
            new CutShare(PieceShape::Ribs, 1.0 - $leaf),
        ]);
    }

    private static function serving(BatchState $state, Served $solid, float $grams, float $b): Serve
    {
        $serving = new Serve($solid, Grams::of($grams), ClingingBrine::drained());
        if ($solid === Served::Pieces) {
            $serving = match (true) {
                $b < 0.3 => $serving->rinsed(Rinsing::underTheTap(Seconds::of(1 + 100 * $b))),
                $b < 0.6 => new Serve($solid, Grams::of($grams), ClingingBrine::drained(), Grams::of(10 * $b)),
                default => $serving,
            };
        }

        return $b > 0.8 ? $serving->bookedAt($state) : $serving;
    }
}
