<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Plans a week: the servings, what they come to, how far from the best it can be at most, and why a day falls short.
 */
final class Planner
{
    /** Where the rows of numbers begin for the searches; those after the first are for weeks in which a limit leaves someone short, unless they are so large that it would take long. */
    private const LOTS = [17, 777_777, 888_888];

    public static function plan(Instance $instance): Plan
    {
        $cells = [];
        $objective = -INF;
        foreach (self::LOTS as $lot) {
            $search = new Search($instance, $lot);
            $found = self::shareOut($instance, $search->run());
            $worth = Objective::of($instance, $found);
            if ($worth > $objective) {
                [$cells, $objective] = [$found, $worth];
            }
            if (! $search->isTight() || $search->isLarge()) {
                break;
            }
        }

        return new Plan($instance, $cells, $objective, Bound::of($instance, $objective));
    }

    /**
     * Every serving at a meal that suits it: what suits fewer meals goes first, and one that finds its meals full moves another
     * on (an augmenting path).
     *
     * @param  list<array{int, int}>  $served  plate and offer
     * @return list<Cell>
     */
    private static function shareOut(Instance $instance, array $served): array
    {
        $locked = [];
        foreach ($instance->locked as $cell) {
            $locked[$cell->eater * $instance->days + $cell->day][$cell->offer] = $cell->meal;
        }
        $plates = [];
        foreach ($served as [$plate, $offer]) {
            $plates[$plate][] = $offer;
        }
        ksort($plates);
        $cells = [];
        foreach ($plates as $plate => $offers) {
            $meals = array_fill(0, count($instance->meals), []);
            foreach ($offers as $offer) {
                if (isset($locked[$plate][$offer])) {
                    $meals[$locked[$plate][$offer]][] = $offer;
                }
            }
            foreach ($offers as $offer) {
                if (! isset($locked[$plate][$offer])) {
                    $seen = [];
                    self::seat($instance, $meals, $offer, $locked[$plate] ?? [], $seen);
                }
            }
            foreach ($meals as $meal => $there) {
                sort($there);
                foreach ($there as $offer) {
                    $cells[] = new Cell(intdiv($plate, $instance->days), $plate % $instance->days, $meal, $offer);
                }
            }
        }

        return $cells;
    }

    /**
     * @param  array<int, array<int, int>>  $meals  offers by meal
     * @param  array<int, int>  $locked  meals by offer that stay where they are
     * @param  array<int, true>  $seen  meals that were tried
     */
    private static function seat(Instance $instance, array &$meals, int $offer, array $locked, array &$seen): bool
    {
        foreach ($instance->offers[$offer]->meals as $meal) {
            if (isset($seen[$meal])) {
                continue;
            }
            $seen[$meal] = true;
            if (count($meals[$meal]) < $instance->perMeal) {
                $meals[$meal][] = $offer;

                return true;
            }
            foreach ($meals[$meal] as $at => $other) {
                if (! isset($locked[$other]) && self::seat($instance, $meals, $other, $locked, $seen)) {
                    $meals[$meal][$at] = $offer;

                    return true;
                }
            }
        }

        return false;
    }
}
