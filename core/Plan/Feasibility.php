<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Message\Message;

/**
 * Whether cells keep to all that may not be broken, told in a sentence where they do not. It shares no code with the
 * search.
 */
final class Feasibility
{
    private const ROUNDING = 1e-6;

    /**
     * @param  list<Assignment>  $assignments
     * @param  bool  $mayPassLimit  what a cook has locked may pass a hard limit; nothing is added to such a day then
     * @return Message|null null when nothing is broken
     */
    public static function trouble(PlanningProblem $problem, array $assignments, bool $mayPassLimit = false): ?Message
    {
        $atMeal = $onDay = $sodium = [];
        $used = array_fill(0, count($problem->options), 0.0);
        $locked = [];
        foreach ($problem->locked as $assignment) {
            $locked["{$assignment->eater} {$assignment->day}"] =
                ($locked["{$assignment->eater} {$assignment->day}"] ?? 0.0) +
                $problem->options[$assignment->option]->sodium[$assignment->eater][$assignment->day];
        }
        foreach ($assignments as $assignment) {
            $option = $problem->options[$assignment->option];
            $offer = $problem->offerOf($assignment->option);
            $eater = $problem->eaters[$assignment->eater];
            $day = "{$assignment->eater} {$assignment->day}";
            $atMeal["{$day} {$assignment->meal}"] = ($atMeal["{$day} {$assignment->meal}"] ?? 0) + 1;
            $onDay["{$day} {$offer}"] = ($onDay["{$day} {$offer}"] ?? 0) + 1;
            $sodium[$day] = ($sodium[$day] ?? 0.0) + $option->sodium[$assignment->eater][$assignment->day];
            $used[$offer] += $option->portion[$assignment->eater];
            $trouble = match (true) {
                !$option->isFor[$assignment->eater] => Message::of(
                    'errors.plan_not_for',
                    jar: $option->name,
                    eater: $eater->name,
                ),
                !$option->isServedOn($assignment->day) => Message::of(
                    'errors.plan_not_served',
                    jar: $option->name,
                    day: $assignment->day,
                ),
                !in_array($assignment->meal, $option->meals, true) => Message::of(
                    'errors.plan_meal',
                    jar: $option->name,
                    meal: $problem->meals[$assignment->meal],
                ),
                $atMeal["{$day} {$assignment->meal}"] > $problem->perMeal => Message::of(
                    'errors.plan_per_meal',
                    most: $problem->perMeal,
                    meal: $problem->meals[$assignment->meal],
                    day: $assignment->day,
                    eater: $eater->name,
                ),
                $onDay["{$day} {$offer}"] > 1 => Message::of(
                    'errors.plan_twice',
                    jar: $option->name,
                    day: $assignment->day,
                    eater: $eater->name,
                ),
                $used[$offer] > $problem->options[$offer]->stock + self::ROUNDING => Message::of(
                    'errors.plan_stock',
                    jar: $option->name,
                ),
                !$mayPassLimit &&
                    $sodium[$day] > max($eater->limit($assignment->day), $locked[$day] ?? 0.0) + self::ROUNDING
                    => Message::of('errors.plan_limit', eater: $eater->name, day: $assignment->day),
                default => null,
            };
            if ($trouble !== null) {
                return $trouble;
            }
        }

        return null;
    }
}
