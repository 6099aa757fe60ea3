<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Whether cells keep to all that may not be broken, told in a sentence where they do not. It shares no code with the search.
 */
final class Feasibility
{
    private const ROUNDING = 1e-6;

    /**
     * @param  list<Cell>  $cells
     * @param  bool  $mayPassLimit  what a cook has locked may pass a hard limit; nothing is added to such a day then
     * @return string|null null when nothing is broken
     */
    public static function trouble(Instance $instance, array $cells, bool $mayPassLimit = false): ?string
    {
        $atMeal = $onDay = $sodium = [];
        $used = array_fill(0, count($instance->offers), 0.0);
        $locked = [];
        foreach ($instance->locked as $cell) {
            $locked["{$cell->eater} {$cell->day}"] = ($locked["{$cell->eater} {$cell->day}"] ?? 0.0) + $instance->offers[$cell->offer]->sodium[$cell->eater][$cell->day];
        }
        foreach ($cells as $cell) {
            $offer = $instance->offers[$cell->offer];
            $eater = $instance->eaters[$cell->eater];
            $day = "{$cell->eater} {$cell->day}";
            $atMeal["{$day} {$cell->meal}"] = ($atMeal["{$day} {$cell->meal}"] ?? 0) + 1;
            $onDay["{$day} {$cell->offer}"] = ($onDay["{$day} {$cell->offer}"] ?? 0) + 1;
            $sodium[$day] = ($sodium[$day] ?? 0.0) + $offer->sodium[$cell->eater][$cell->day];
            $used[$cell->offer] += $offer->portion[$cell->eater];
            $trouble = match (true) {
                ! $offer->isFor[$cell->eater] => "{$offer->name} is not for {$eater->name}.",
                ! $offer->isServedOn($cell->day) => "{$offer->name} is not to be served on day {$cell->day}.",
                ! in_array($cell->meal, $offer->meals, true) => "{$offer->name} is not suited for {$instance->meals[$cell->meal]}.",
                $atMeal["{$day} {$cell->meal}"] > $instance->perMeal => "More than {$instance->perMeal} at {$instance->meals[$cell->meal]} on day {$cell->day} for {$eater->name}.",
                $onDay["{$day} {$cell->offer}"] > 1 => "{$offer->name} is served twice on day {$cell->day} to {$eater->name}.",
                $used[$cell->offer] > $offer->stock + self::ROUNDING => "More of {$offer->name} is served than is left.",
                ! $mayPassLimit && $sodium[$day] > max($eater->limit($cell->day), $locked[$day] ?? 0.0) + self::ROUNDING => "{$eater->name} passes a hard limit on day {$cell->day}.",
                default => null,
            };
            if ($trouble !== null) {
                return $trouble;
            }
        }

        return null;
    }
}
