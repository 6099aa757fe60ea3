<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Uptake\BathKind;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\SharedBath;
use Tempesal\Core\Uptake\UptakeSeries;

/**
 * Sodium moving between pieces and the brine around them.
 *
 * Each new bath starts from sodium that is evenly spread in each kind of pieces. Within one, time adds up: a rest of ten
 * hours and two of five end at the same, because what is left of the way is carried on from the time already bathed. When
 * something is taken out meanwhile, what is left shrinks with it; the rest of the disturbance begins evenly.
 */
final class Diffusion
{
    /** What is left of the way counts as none below this. */
    private const THERE = 1e-9;

    /**
     * Sodium, in mg, that the pieces hold at rest. The sodium per gram of water is then the same on both sides,
     * but for the partition coefficient K: c = (Na_pieces + Na_brine) / (W_brine + K W_pieces).
     */
    public static function atEquilibrium(Composition $pieces, Composition $brine, float $partition = 1.0): float
    {
        $water = $brine->waterG + $partition * $pieces->waterG;

        return $water > 0.0
            ? ($partition * $pieces->waterG * ($pieces->sodiumMg + $brine->sodiumMg)) / $water
            : $pieces->sodiumMg;
    }

    /**
     * The state at rest: sodium evened out.
     *
     * @param  Piece|null  $piece  null: the pieces that are in the jar
     */
    public static function settle(BatchState $state, ?Piece $piece, Point $point): BatchState
    {
        return self::exchange($state, $piece, INF, $point);
    }

    /**
     * The state after a time in the bath, section by section of the way.
     *
     * @param  Piece|null  $piece  null: the pieces that are in the jar
     * @param  float  $secondsAt20  seconds at 20 °C in which salt would go as far
     */
    public static function during(BatchState $state, ?Piece $piece, float $secondsAt20, Point $point): BatchState
    {
        return $secondsAt20 <= 0.0 ? $state : self::exchange($state, $piece, $secondsAt20, $point);
    }

    /**
     * What each kind that salt can move in and out of counts for beside the brine: K W, in grams.
     *
     * @return array<string, float>
     */
    private static function takesUp(BatchState $state, ?Piece $piece, Point $point): array
    {
        $takesUp = [];
        foreach ($state->kinds() as $key => $kind) {
            if ($kind->masses->waterG > 0.0) {
                $takesUp[$key] = ($piece ?? $kind->piece)->partitionAt($point) * $kind->masses->waterG;
            }
        }

        return $takesUp;
    }

    /**
     * @param  array<string, float>  $takesUp
     * @return array<string, BathKind>
     */
    private static function inBath(BatchState $state, ?Piece $piece, array $takesUp, Point $point): array
    {
        $kinds = [];
        foreach ($takesUp as $key => $grams) {
            $kind = $state->kinds()[$key];
            $cut = $piece ?? $kind->piece;
            $crossing = $cut->crossingSeconds($point, $piece === null ? $kind->label : null);
            $kinds[$key] = new BathKind($cut->form, $crossing, $grams);
        }

        return $kinds;
    }

    private static function exchange(BatchState $state, ?Piece $piece, float $secondsAt20, Point $point): BatchState
    {
        $takesUp = self::takesUp($state, $piece, $point);
        if ($takesUp === []) {
            return $state;
        }
        $brine = $state->phase(Phase::Brine);
        $takeUp = $brine->waterG;
        $sodium = $brine->sodiumMg;
        $now = [$brine->waterG > 0.0 ? $brine->sodiumMg / $brine->waterG : 0.0];
        foreach ($takesUp as $key => $grams) {
            $there = $state->kinds()[$key]->masses->sodiumMg;
            $takeUp += $grams;
            $sodium += $there;
            $now[] = $there / $grams;
        }
        $bathed = $state->bathedFor + $secondsAt20;
        $began = $state->bathedFor === 0.0 || $state->bathBegan === [] ? $now : $state->bathBegan;
        // Salt that lies dry moves only in the end.
        if ($takeUp <= 0.0 || ($brine->waterG <= 0.0 && !is_infinite($secondsAt20))) {
            return $state->bathed($bathed, $began);
        }
        $even = $sodium / $takeUp;
        if (max($now) - min($now) <= self::THERE * $even) {
            // At rest nothing moves, however fast it could.
            return $state->bathed($bathed, $began);
        }
        $kinds = self::inBath($state, $piece, $takesUp, $point);
        $left =
            count($kinds) === 1 && $brine->waterG > 0.0
                ? self::leftOfOne(reset($kinds), $brine->waterG, $state->bathedFor, $secondsAt20, $now, $even)
                : self::leftOfSeveral($kinds, $brine->waterG, $state->bathedFor, $secondsAt20, $now, $began, $even);
        $inwards = [];
        foreach (array_keys($kinds) as $i => $key) {
            $inwards[$key] = $kinds[$key]->takesUpG * ($even + $left[$i + 1] - $now[$i + 1]);
        }

        return $state->takeUp($inwards, $bathed, $began);
    }

    /**
     * By what the brine and the one kind will still differ from rest.
     *
     * @param  list<float>  $now  concentrations over K: the brine's, the kind's
     * @return list<float>
     */
    private static function leftOfOne(
        BathKind $kind,
        float $waterG,
        float $bathedFor,
        float $secondsAt20,
        array $now,
        float $even,
    ): array {
        $before = self::left($kind, $waterG, $bathedFor);
        $left = $before < self::THERE ? 0.0 : self::left($kind, $waterG, $bathedFor + $secondsAt20) / $before;

        return array_map(static fn(float $concentration): float => $left * ($concentration - $even), $now);
    }

    /** What is left, 0 to 1, of the way to rest after a time in a fresh bath. */
    private static function left(BathKind $kind, float $waterG, float $secondsAt20): float
    {
        return match (true) {
            is_infinite($secondsAt20) => 0.0,
            $secondsAt20 <= 0.0 => 1.0,
            default => 1.0 -
                UptakeSeries::share($kind->form, $secondsAt20 / $kind->crossingS, $waterG / $kind->takesUpG),
        };
    }

    /**
     * By what the brine and each kind will still differ from rest: what the way from the beginning of the bath says,
     * as far as the jar is still on that way, and the rest as a bath of its own.
     *
     * @param  array<string, BathKind>  $kinds
     * @param  list<float>  $now  concentrations over K: the brine's, then each kind's
     * @param  list<float>  $began  the same when the bath began
     * @return list<float>
     */
    private static function leftOfSeveral(
        array $kinds,
        float $waterG,
        float $bathedFor,
        float $secondsAt20,
        array $now,
        array $began,
        float $even,
    ): array {
        $size = count($now);
        if (is_infinite($secondsAt20)) {
            return array_fill(0, $size, 0.0);
        }
        $kinds = array_values($kinds);
        $weights = [$waterG, ...array_map(static fn(BathKind $kind): float => $kind->takesUpG, $kinds)];
        $evenThen = self::product($weights, $began) / array_sum($weights);
        $atFirst = array_map(static fn(float $one): float => $one - $evenThen, $began);
        $apart = array_map(static fn(float $one): float => $one - $even, $now);
        $before = self::after($bathedFor, $waterG, $kinds, $atFirst);
        $wayLeft = self::product($weights, $before, $before);
        $scale = self::product($weights, $apart, $apart);
        $onTheWay =
            $wayLeft > self::THERE ** 2 * $scale && $wayLeft > 0.0
                ? self::product($weights, $apart, $before) / $wayLeft
                : 0.0;
        $left =
            $onTheWay === 0.0
                ? array_fill(0, $size, 0.0)
                : array_map(
                    static fn(float $one): float => $onTheWay * $one,
                    self::after($bathedFor + $secondsAt20, $waterG, $kinds, $atFirst),
                );
        $rest = [];
        foreach ($apart as $i => $one) {
            $rest[] = $one - $onTheWay * $before[$i];
        }
        if (self::product($weights, $rest, $rest) <= self::THERE ** 2 * $scale) {
            return $left;
        }

        return array_map(
            static fn(float $one, float $other): float => $one + $other,
            $left,
            self::after($secondsAt20, $waterG, $kinds, $rest),
        );
    }

    /**
     * @param  list<BathKind>  $kinds
     * @param  list<float>  $apart  from rest at first
     * @return list<float> from rest after a time
     */
    private static function after(float $secondsAt20, float $waterG, array $kinds, array $apart): array
    {
        return is_infinite($secondsAt20)
            ? array_fill(0, count($apart), 0.0)
            : array_map(
                static fn(array $row): float => self::product($row, $apart),
                SharedBath::response($secondsAt20, $waterG, $kinds),
            );
    }

    /**
     * The sum of the products.
     *
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @param  list<float>|null  $third
     */
    private static function product(array $one, array $other, ?array $third = null): float
    {
        $sum = 0.0;
        foreach ($one as $i => $value) {
            $sum += $value * $other[$i] * ($third === null ? 1.0 : $third[$i]);
        }

        return $sum;
    }
}
