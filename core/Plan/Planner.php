<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Closure;
use LogicException;

/**
 * Plans a week: the servings, what they come to, how far from the best it can be at most, and why a day falls short.
 */
final class Planner
{
    /** Where the row of numbers begins for the searches. */
    private const LOT = 17;

    /**
     * @param  (Closure(float, float): bool)|null  $goesOn  told the objective so far and its bound from time to time; false
     *     stops the search, and what was found by then is the plan
     */
    public static function plan(PlanningProblem $problem, ?Closure $goesOn = null): Plan
    {
        $search = new PricedSearch($problem, self::LOT, $goesOn);
        $assignments = self::shareOut($problem, $search->run());
        $trouble = Feasibility::trouble($problem, $assignments);
        if ($trouble !== null && Feasibility::trouble($problem, $problem->locked, true) === null) {
            throw new LogicException("A planned week breaks a rule: {$trouble->code}.");
        }
        $objective = Objective::of($problem, $assignments);

        $kept = array_filter($assignments, static fn(Assignment $one): bool => in_array($one, $problem->before, false));

        return new Plan(
            $problem,
            $assignments,
            $objective,
            max($search->bound() - $problem->weights->keep * count($kept), $objective),
        );
    }

    /**
     * Every serving at a meal that suits it: what suits fewer meals goes first, and one that finds its meals full moves
     * another on (an augmenting path).
     *
     * @param  list<array{int, int}>  $served  plate and offer
     * @return list<Assignment>
     */
    private static function shareOut(PlanningProblem $problem, array $served): array
    {
        $locked = [];
        foreach ($problem->locked as $assignment) {
            $locked[$assignment->eater * $problem->days + $assignment->day][$assignment->option] = $assignment->meal;
        }
        $plates = [];
        foreach ($served as [$plate, $option]) {
            $plates[$plate][] = $option;
        }
        ksort($plates);
        $assignments = [];
        foreach ($plates as $plate => $options) {
            $meals = array_fill(0, count($problem->meals), []);
            foreach ($options as $option) {
                if (isset($locked[$plate][$option])) {
                    $meals[$locked[$plate][$option]][] = $option;
                }
            }
            foreach ($options as $option) {
                if (!isset($locked[$plate][$option])) {
                    $seen = [];
                    self::seat($problem, $meals, $option, $locked[$plate] ?? [], $seen);
                }
            }
            foreach ($meals as $meal => $there) {
                sort($there);
                foreach ($there as $option) {
                    $assignments[] = new Assignment(
                        intdiv($plate, $problem->days),
                        $plate % $problem->days,
                        $meal,
                        $option,
                    );
                }
            }
        }

        return $assignments;
    }

    /**
     * @param  array<int, array<int, int>>  $meals  offers by meal
     * @param  array<int, int>  $locked  meals by offer that stay where they are
     * @param  array<int, true>  $seen  meals that were tried
     */
    private static function seat(
        PlanningProblem $problem,
        array &$meals,
        int $option,
        array $locked,
        array &$seen,
    ): bool {
        foreach ($problem->options[$option]->meals as $meal) {
            if (isset($seen[$meal])) {
                continue;
            }
            $seen[$meal] = true;
            if (count($meals[$meal]) < $problem->perMeal) {
                $meals[$meal][] = $option;

                return true;
            }
            foreach ($meals[$meal] as $at => $other) {
                if (!isset($locked[$other]) && self::seat($problem, $meals, $other, $locked, $seen)) {
                    $meals[$meal][$at] = $option;

                    return true;
                }
            }
        }

        return false;
    }
}
