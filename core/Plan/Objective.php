<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What a week's cells come to, reckoned from the cells alone.
 */
final class Objective
{
    /** @param  list<Cell>  $cells */
    public static function of(Instance $instance, array $cells): float
    {
        $weights = $instance->weights;
        $served = [];
        $value = 0.0;
        foreach ($cells as $cell) {
            $served[$cell->eater][$cell->day][$cell->offer] = true;
        }
        foreach ($instance->eaters as $m => $eater) {
            $groups = [];
            for ($d = 0; $d < $instance->days; $d++) {
                $today = $served[$m][$d] ?? [];
                $sodium = 0.0;
                $live = 0;
                foreach (array_keys($today) as $i) {
                    $offer = $instance->offers[$i];
                    $sodium += $offer->sodium[$m][$d];
                    $live += $offer->isLive ? 1 : 0;
                    if ($offer->group !== Offer::NO_CULTURE) {
                        $groups[$offer->group] = true;
                    }
                    $value += $weights->urgency * $offer->urgency($d);
                    $value -= isset($served[$m][$d - 1][$i]) ? $weights->repeat : 0.0;
                }
                $value -= $weights->short * max(0, $eater->liveGoal[$d] - $live) + $weights->sodium * $sodium / $eater->target;
                $value -= $eater->isHard ? 0.0 : $weights->over * max(0.0, $sodium - $eater->allowance[$d]);
            }
            $value += $weights->variety * count($groups);
        }

        return $value;
    }
}
