<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Film;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * What would make a serving hold less sodium, the gentlest first: the same food another way, less of it, another jar. Salt that
 * is in a jar already stays there, and a formula's goes no lower than its method's floor. What each costs is common practice, no source.
 */
final class Savings
{
    /** "Low sodium" on labels, milligrams in a serving: 21 CFR 101.61(b)(4); from memory. */
    public const LOW_SODIUM_MG = 140.0;

    /** Grams below which a portion is no portion any more. */
    private const LEAST_G = 5.0;

    /** Overnight in the fridge, in three times its weight of fresh water. */
    private const SOAKED_S = 8.0 * 3600.0;

    private const FRIDGE_CELSIUS = 4.0;

    private const WATER_RATIO = 3.0;

    private const ROUNDING = 1e-6;

    /**
     * @param  float|null  $wantedMg  what it may hold at most; null: whatever can be saved
     * @param  list<array{kind: string, text: string, cost: string, milligrams: float}>  $others  what could be served instead
     * @return list<Saving> those that are enough first
     */
    public static function of(BatchState $state, Serve $serving, ?float $wantedMg, array $others = []): array
    {
        $point = Point::typical();
        $now = $serving->sodiumMg($state, $point);
        $all = [];
        $add = static function (string $kind, string $text, string $cost, float $then) use (&$all, $now, $wantedMg): void {
            if ($now - $then > 1.0) {
                $all[] = new Saving($kind, $text, $cost, $then, $now - $then, $wantedMg === null || $then <= $wantedMg + self::ROUNDING);
            }
        };
        $grams = $serving->grams;
        if ($serving->phase === Phase::Pieces) {
            if ($serving->juice !== null) {
                $add('drain', 'drain it, without the juice', 'none', Way::Drained->plate(Phase::Pieces, $grams)->sodiumMg($state, $point));
            }
            if ($serving->rinse === null) {
                $add('rinse', 'rinse it half a minute', 'some of its tang goes with it', Way::Rinsed->plate(Phase::Pieces, $grams)->sodiumMg($state, $point));
            }
        }
        $fits = self::portion($grams->value, $now, $wantedMg);
        if ($fits !== null) {
            $add('smaller', sprintf('%d g instead of %d g', round($fits), round($grams->value)), 'less of it', $serving->weighing(Grams::of($fits))->sodiumMg($state, $point));
        }
        foreach ($others as $other) {
            $add($other['kind'], $other['text'], $other['cost'], $other['milligrams']);
        }
        if ($serving->phase === Phase::Pieces) {
            $soaked = self::soaked($state);
            $add('soak', 'soak it overnight in three times its weight of water, in the fridge', 'bland, with fewer cultures; eat it that day', Way::Drained->plate(Phase::Pieces, $grams)->sodiumMg($soaked, $point));
        }
        // A change that is enough comes first; among those the order in which they were thought of is the gentlest first.
        $ranked = array_map(static fn (Saving $one, int $at): array => [$one->isEnough ? 0 : 1, $at, $one], $all, array_keys($all));
        usort($ranked, static fn (array $one, array $other): int => [$one[0], $one[1]] <=> [$other[0], $other[1]]);

        return array_column($ranked, 2);
    }

    /** Grams of a smaller portion, in steps of 5 g; null where it would be none. */
    private static function portion(float $grams, float $now, ?float $wanted): ?float
    {
        $share = $wanted === null || $now <= 0.0 ? 0.625 : min(1.0, $wanted / $now);
        $step = $grams > 20.0 ? 5.0 : 1.0;
        $less = floor($grams * $share / $step + self::ROUNDING) * $step;

        return $less >= min(self::LEAST_G, $grams / 2.0) && $less < $grams ? $less : null;
    }

    private static function soaked(BatchState $state): BatchState
    {
        $water = max(1.0, $state->phase(Phase::Pieces)->weightG() * self::WATER_RATIO);
        $fresh = (new Freshen(Grams::of($water), Band::exact(Film::drained()->typical)))->applyTo($state, Point::typical());

        return Soak::lasting(Seconds::of(self::SOAKED_S), TemperatureHistory::constant(Celsius::of(self::FRIDGE_CELSIUS)))->applyTo($fresh, Point::typical());
    }
}
