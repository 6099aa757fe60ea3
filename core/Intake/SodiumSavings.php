<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * What would make a serving hold less sodium, the gentlest first: the same food another way, less of it, another jar.
 * Salt that is in a jar already stays there, and a formula's goes no lower than its method's floor.
 */
final class SodiumSavings
{
    /** "Low sodium" on labels, milligrams in a serving: 21 CFR 101.61(b)(4); from memory. */
    public const LOW_SODIUM_MG = 140.0;

    /** What a smaller portion keeps where nothing is wanted: 25 of 40 g. */
    private const USUAL_SHARE = 0.625;

    /** Milligrams below which a change is none. */
    private const LEAST_MG = 1.0;

    /** Overnight in the fridge, in three times its weight of fresh water. */
    private const SOAKED_S = 8.0 * 3600.0;

    private const FRIDGE_CELSIUS = 4.0;

    private const WATER_RATIO = 3.0;

    private const ROUNDING = 1e-6;

    /**
     * @param  float|null  $wantedMg  what it may hold at most; null: whatever can be saved
     * @param  list<array{remedy: RemedyKind, text: Message, milligrams: float}>  $others  what could be served instead
     * @return list<SodiumSaving> those that are enough first
     */
    public static function of(BatchState $state, Serve $serving, ?float $wantedMg, array $others = []): array
    {
        $now = $serving->sodiumMg($state, Point::typical());
        $then = array_map(static fn(array $one): array => [$one['remedy'], $one['text'], $one['milligrams']], $others);
        if ($serving->phase === Phase::Pieces) {
            array_push($then, ...self::ways($state, $serving));
        }
        $share = $wantedMg === null || $now <= 0.0 ? self::USUAL_SHARE : min(1.0, $wantedMg / $now);
        $less = PortionSize::of($serving->phase)->smaller($serving->grams->value, $share);
        if ($less !== null) {
            $then[] = [
                RemedyKind::Smaller,
                RemedyKind::smaller($less, $serving->grams->value),
                $serving->weighing(Grams::of($less))->sodiumMg($state, Point::typical()),
            ];
        }
        $savings = [];
        foreach ($then as [$kind, $text, $milligrams]) {
            if ($now - $milligrams > self::LEAST_MG) {
                $savings[] = new SodiumSaving(
                    $kind,
                    $text,
                    $milligrams,
                    $now - $milligrams,
                    $wantedMg === null || $milligrams <= $wantedMg + self::ROUNDING,
                );
            }
        }
        $rank = static fn(SodiumSaving $one): array => [$one->isEnough ? 0 : 1, $one->kind->rank()];
        usort($savings, static fn(SodiumSaving $one, SodiumSaving $other): int => $rank($one) <=> $rank($other));

        return $savings;
    }

    /** @return list<array{RemedyKind, Message, float}> the same pieces in another way, with their milligrams */
    private static function ways(BatchState $state, Serve $serving): array
    {
        $served = static fn(RemedyKind $kind, ServingStyle $way, BatchState $from): array => [
            $kind,
            $kind->text(),
            $way->plate($serving->served, $serving->grams)->sodiumMg($from, Point::typical()),
        ];

        return [
            ...$serving->juice === null ? [] : [$served(RemedyKind::Drain, ServingStyle::Drained, $state)],
            ...$serving->rinse === null ? [$served(RemedyKind::Rinse, ServingStyle::Rinsed, $state)] : [],
            $served(RemedyKind::Soak, ServingStyle::Drained, self::soaked($state)),
        ];
    }

    private static function soaked(BatchState $state): BatchState
    {
        $water = max(1.0, $state->phase(Phase::Pieces)->weightG() * self::WATER_RATIO);
        $fresh = (new Freshen(Grams::of($water), Band::exact(ClingingBrine::drained()->typical)))->applyTo(
            $state,
            Point::typical(),
        );

        return Soak::lasting(
            Seconds::of(self::SOAKED_S),
            TemperatureHistory::constant(Celsius::of(self::FRIDGE_CELSIUS)),
        )->applyTo($fresh, Point::typical());
    }
}
