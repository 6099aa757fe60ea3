<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What a week's cells come to, reckoned from the cells alone.
 */
final class Objective
{
    /** @param  list<Assignment>  $assignments */
    public static function of(PlanningProblem $problem, array $assignments): float
    {
        $weights = $problem->weights;
        $served = $offers = [];
        $value = $mostMissing = 0.0;
        foreach ($problem->wishes as $wish) {
            $isMet = array_any(
                $assignments,
                static fn(Assignment $one): bool => $wish->isMetBy(
                    $one->eater,
                    $one->day,
                    $problem->offerOf($one->option),
                ),
            );
            $value += $isMet ? $wish->worth : 0.0;
        }
        foreach ($assignments as $assignment) {
            $served[$assignment->eater][$assignment->day][$assignment->option] = true;
            $offers[$assignment->eater][$assignment->day][$problem->offerOf($assignment->option)] = true;
        }
        foreach ($problem->eaters as $m => $eater) {
            $groups = [];
            $missing = 0;
            for ($d = 0; $d < $problem->days; $d++) {
                $today = $served[$m][$d] ?? [];
                $sodium = 0.0;
                $live = 0;
                foreach (array_keys($today) as $i) {
                    $option = $problem->options[$i];
                    $sodium += $option->sodium[$m][$d];
                    $live += $option->isLive ? 1 : 0;
                    if ($option->group !== ServingOption::NO_CULTURE) {
                        $groups[$option->group] = true;
                    }
                    $value += $weights->urgency * $option->urgency($d) * (1.0 - $option->smallerBy($m));
                    $value -= $weights->small * $option->smallerBy($m);
                    $value -=
                        isset($offers[$m][$d - 1][$problem->offerOf($i)]) ||
                        ($d === 0 && isset($problem->previous[$m][$problem->offerOf($i)]))
                            ? $weights->repeat
                            : 0.0;
                }
                $missing += max(0, $eater->liveGoal[$d] - $live);
                $value -=
                    $weights->short * max(0, $eater->liveGoal[$d] - $live) +
                    ($weights->sodium * $sodium) / $eater->target;
                $value -= $eater->isHard ? 0.0 : $weights->over * max(0.0, $sodium - $eater->allowance[$d]);
            }
            $value += $weights->variety * count($groups);
            $mostMissing = max($mostMissing, $missing);
        }

        return $value - $weights->fair * $mostMissing;
    }
}
