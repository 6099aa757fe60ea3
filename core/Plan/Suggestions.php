<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Message\Day;

/**
 * What would make a serving fit: the same food first, then less of it, then another day, then another jar, then none.
 * Salt in the jar is never one of them.
 */
final class Suggestions
{
    private const ROUNDING = 1e-6;

    /** Of each kind the best ones only. */
    private const MOST = 4;

    /** What a smaller portion keeps where nothing is wanted. */
    private const USUAL_SHARE = 0.5;

    /**
     * @param  list<WeekServing>  $servings  any of which may change
     * @param  float  $wantedMg  milligrams that are to be saved; 0: whatever can be
     * @param  list<string>  $dates  of the week, YYYY-MM-DD
     * @return list<Suggestion> those that are enough first, and the gentlest of them first
     */
    public static function of(WeekPlan $week, array $servings, float $wantedMg, array $dates): array
    {
        $all = [];
        foreach ($servings as $serving) {
            array_push(
                $all,
                ...self::ways($week, $serving, $wantedMg),
                ...self::smaller($week, $serving, $wantedMg),
                ...self::otherDay($week, $serving, $wantedMg, $dates),
                ...self::otherJar($week, $serving, $wantedMg),
            );
            $all[] = new Suggestion(
                RemedyKind::LeaveOut,
                RemedyKind::LeaveOut->text(),
                $serving,
                null,
                $week->milligrams($serving),
                $week->milligrams($serving) >= $wantedMg - self::ROUNDING,
            );
        }
        $rank = static fn(Suggestion $one): array => [$one->isEnough ? 0 : 1, $one->kind->rank(), -$one->savesMg];
        usort($all, static fn(Suggestion $one, Suggestion $other): int => $rank($one) <=> $rank($other));

        return $all;
    }

    /**
     * What would bring something live onto a day that has too little: a portion that fits once it is rinsed, or one of the
     * eater's own from a day that has more than enough.
     *
     * @param  list<string>  $dates
     * @return list<Suggestion> the gentlest first
     */
    public static function toFeed(WeekPlan $week, int $eater, int $day, array $dates): array
    {
        $rinsed = $moved = [];
        foreach ($week->jars as $i => $jar) {
            $serving = $jar->isLive ? self::rinsed($week, $eater, $day, $i) : null;
            if ($serving !== null) {
                $rinsed[] = new Suggestion(
                    RemedyKind::Rinse,
                    RemedyKind::addRinsed($serving->grams),
                    $serving,
                    $serving,
                    -$week->milligrams($serving),
                    true,
                );
            }
        }
        foreach ($week->coming as $there) {
            $isSpare =
                $there->eater === $eater &&
                !$there->isLocked &&
                $week->jars[$there->jar]->isLive &&
                self::live($week, $eater, $there->day) > $week->eaters[$eater]->liveGoal[$there->day];
            $then = new WeekServing('', $eater, $day, $there->jar, $there->grams, $there->way, false);
            if ($isSpare && self::without($week, $there)->takes($then)) {
                $moved[] = new Suggestion(
                    RemedyKind::OtherDay,
                    RemedyKind::onDay(new Day($dates[$day])),
                    $there,
                    $then,
                    -$week->milligrams($then),
                    true,
                );
            }
        }

        return array_slice([...$moved, ...$rinsed], 0, self::MOST);
    }

    /** The largest portion of a jar that fits rinsed where no portion fits drained; null where there is none. */
    private static function rinsed(WeekPlan $week, int $eater, int $day, int $jar): ?WeekServing
    {
        $best = null;
        foreach ([$week->jars[$jar]->portions[$eater], ...$week->smaller($eater, $jar)] as $grams) {
            if ($week->takes($week->portion($eater, $day, $jar, $grams))) {
                return null;
            }
            $serving = new WeekServing('', $eater, $day, $jar, $grams, ServingStyle::Rinsed, false);
            $canBe = in_array(ServingStyle::Rinsed, $week->jars[$jar]->ways(), true) && $week->takes($serving);
            $best ??= $canBe ? $serving : null;
        }

        return $best;
    }

    private static function live(WeekPlan $week, int $eater, int $day): int
    {
        return count(
            array_filter($week->on($eater, $day), static fn(WeekServing $one): bool => $week->jars[$one->jar]->isLive),
        );
    }

    /**
     * What could stand instead of a serving that cannot stay where it is.
     *
     * @param  list<string>  $dates
     * @return list<Suggestion>
     */
    public static function awayFrom(WeekPlan $week, WeekServing $serving, array $dates): array
    {
        return [
            ...self::otherDay($week, $serving, 0.0, $dates),
            ...self::otherJar($week, $serving, 0.0),
            new Suggestion(
                RemedyKind::LeaveOut,
                RemedyKind::LeaveOut->text(),
                $serving,
                null,
                $week->milligrams($serving),
                true,
            ),
        ];
    }

    /** @return list<Suggestion> */
    private static function ways(WeekPlan $week, WeekServing $serving, float $wanted): array
    {
        $suggestions = [];
        foreach (
            [[RemedyKind::Drain, ServingStyle::Drained], [RemedyKind::Rinse, ServingStyle::Rinsed]]
            as [$kind, $way]
        ) {
            $then = self::changed($serving, way: $way);
            $saves = $week->milligrams($serving) - $week->milligrams($then);
            if (in_array($way, $week->jars[$serving->jar]->ways(), true) && $saves > 1.0) {
                $suggestions[] = new Suggestion(
                    $kind,
                    $kind->text(),
                    $serving,
                    $then,
                    $saves,
                    $saves >= $wanted - self::ROUNDING,
                );
            }
        }

        return $suggestions;
    }

    /** @return list<Suggestion> */
    private static function smaller(WeekPlan $week, WeekServing $serving, float $wanted): array
    {
        $has = $week->milligrams($serving);
        $share = $wanted > 0.0 && $has > 0.0 ? 1.0 - $wanted / $has : self::USUAL_SHARE;
        $grams = PortionSize::of($week->jars[$serving->jar]->served->phase())->smaller($serving->grams, $share);
        if ($grams === null) {
            return [];
        }
        $then = self::changed($serving, grams: $grams);
        $saves = $has - $week->milligrams($then);

        return [
            new Suggestion(
                RemedyKind::Smaller,
                RemedyKind::smaller($grams, $serving->grams),
                $serving,
                $then,
                $saves,
                $saves >= $wanted - self::ROUNDING,
            ),
        ];
    }

    /**
     * @param  list<string>  $dates
     * @return list<Suggestion>
     */
    private static function otherDay(WeekPlan $week, WeekServing $serving, float $wanted, array $dates): array
    {
        $without = self::without($week, $serving);
        $suggestions = [];
        for ($day = $week->first(); $day < WeekPlan::DAYS; $day++) {
            $then = self::changed($serving, day: $day);
            if ($day !== $serving->day && $without->takes($then)) {
                $suggestions[] = [
                    $without->margin($serving->eater, $day),
                    new Suggestion(
                        RemedyKind::OtherDay,
                        RemedyKind::onDay(new Day($dates[$day])),
                        $serving,
                        $then,
                        $week->milligrams($serving),
                        $week->milligrams($serving) >= $wanted - self::ROUNDING,
                    ),
                ];
            }
        }
        usort($suggestions, static fn(array $one, array $other): int => $other[0] <=> $one[0]);

        return array_slice(array_column($suggestions, 1), 0, 1);
    }

    /** @return list<Suggestion> */
    private static function otherJar(WeekPlan $week, WeekServing $serving, float $wanted): array
    {
        $without = self::without($week, $serving);
        $suggestions = [];
        foreach (array_keys($week->jars) as $jar) {
            $then = $week->usual($serving->eater, $serving->day, $jar);
            $saves = $week->milligrams($serving) - $week->milligrams($then);
            $isLikeIt = $week->jars[$jar]->isLive || !$week->jars[$serving->jar]->isLive;
            if (
                $jar !== $serving->jar &&
                $isLikeIt &&
                ($wanted <= 0.0 || $saves > 1.0) &&
                self::fits($without, $then)
            ) {
                $suggestions[] = new Suggestion(
                    RemedyKind::OtherJar,
                    RemedyKind::OtherJar->fromJar($week->jars[$jar]->name),
                    $serving,
                    new WeekServing('', $then->eater, $then->day, $jar, $then->grams, $then->way, false),
                    $saves,
                    $saves >= $wanted - self::ROUNDING,
                );
            }
        }
        usort($suggestions, static fn(Suggestion $one, Suggestion $other): int => $other->savesMg <=> $one->savesMg);

        return array_slice($suggestions, 0, $wanted > 0.0 ? 1 : self::MOST);
    }

    /** Whether it may stand there, though the day may still be past its target. */
    private static function fits(WeekPlan $week, WeekServing $serving): bool
    {
        $roomy = array_map(
            static fn(Eater $eater): Eater => new Eater(
                $eater->id,
                $eater->name,
                $eater->target,
                array_fill(0, WeekPlan::DAYS, INF),
                false,
                $eater->liveGoal,
            ),
            $week->eaters,
        );

        return (new WeekPlan(
            $roomy,
            $week->jars,
            $week->servings,
            $week->today,
            $week->perDay,
            $week->weights,
            $week->had,
        ))->takes($serving);
    }

    private static function without(WeekPlan $week, WeekServing $serving): WeekPlan
    {
        return $week->having(
            array_values(array_filter($week->servings, static fn(WeekServing $other): bool => $other !== $serving)),
        );
    }

    private static function changed(
        WeekServing $serving,
        ?int $day = null,
        ?float $grams = null,
        ?ServingStyle $way = null,
    ): WeekServing {
        return new WeekServing(
            $serving->id,
            $serving->eater,
            $day ?? $serving->day,
            $serving->jar,
            $grams ?? $serving->grams,
            $way ?? $serving->way,
            $serving->isLocked,
        );
    }
}
