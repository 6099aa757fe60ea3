<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A number that no week can pass: what is left, variety over the week and repeats from day to day are given prices instead of
 * limits (Lagrange), and every plate is then filled for itself, exactly. The prices are moved a few times to where the number
 * gets small. It ignores that meals differ in what suits them, but for how much a day holds.
 */
final class Bound
{
    private const ROUNDS = 28;

    public static function of(Instance $instance, float $reached): float
    {
        $days = $instance->days;
        $weights = $instance->weights;
        // What brings no culture comes last, and is neither thanked for nor counted among the groups.
        $groups = array_values(array_diff(array_unique(array_column($instance->offers, 'group')), [Offer::NO_CULTURE]));
        $groupOf = array_map(static fn (Offer $offer): int => $offer->group === Offer::NO_CULTURE ? count($groups) : (int) array_search($offer->group, $groups, true), $instance->offers);
        $room = $instance->perMeal * count($instance->meals);
        $locked = $lockedSodium = [];
        foreach ($instance->locked as $cell) {
            $locked[$cell->eater][$cell->day][$cell->offer] = true;
            $lockedSodium[$cell->eater][$cell->day] = ($lockedSodium[$cell->eater][$cell->day] ?? 0.0) + $instance->offers[$cell->offer]->sodium[$cell->eater][$cell->day];
        }
        $price = array_fill(0, max(1, count($instance->offers)), 0.0);
        $thanks = array_fill(0, count($instance->eaters), [...array_fill(0, count($groups), $weights->variety * 0.5), 0.0]);
        $again = [];
        $best = INF;
        $step = 1.0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $value = 0.0;
            $used = array_fill(0, max(1, count($instance->offers)), 0.0);
            $pulls = [];
            $stockPull = [];
            foreach ($instance->offers as $i => $offer) {
                $value += $price[$i] * $offer->stock;
            }
            $servedAll = [];
            foreach ($instance->eaters as $m => $eater) {
                $met = array_fill(0, count($groups) + 1, 0);
                foreach ($thanks[$m] as $g => $one) {
                    $value += isset($groups[$g]) ? $weights->variety - $one : 0.0;
                }
                for ($d = 0; $d < $days; $d++) {
                    $candidates = [];
                    foreach ($instance->offers as $i => $offer) {
                        $must = isset($locked[$m][$d][$i]);
                        if (! $must && (! $offer->isFor[$m] || ! $offer->isServedOn($d) || $offer->meals === [] || $offer->portion[$m] > $offer->stock + 1e-9)) {
                            continue;
                        }
                        $worth = $weights->urgency * $offer->urgency($d) - $weights->sodium * $offer->sodium[$m][$d] / $eater->target
                            + $thanks[$m][$groupOf[$i]] - $price[$i] * $offer->portion[$m]
                            - ($again[$m][$d][$i] ?? 0.0) - ($again[$m][$d + 1][$i] ?? 0.0);
                        $candidates[] = [$worth, $offer->sodium[$m][$d], $offer->isLive ? 1 : 0, $i, $must];
                    }
                    [$plate, $chosen] = Plate::fill(
                        $candidates, $room, $eater->liveGoal[$d], $weights->short, $eater->isHard ? 0.0 : $weights->over, $eater->allowance[$d],
                        max($eater->limit($d), $lockedSodium[$m][$d] ?? 0.0),
                    );
                    $value += $plate + array_sum($again[$m][$d] ?? []);
                    foreach ($chosen as $i) {
                        $used[$i] += $instance->offers[$i]->portion[$m];
                        $met[$groupOf[$i]]++;
                        $servedAll[$m][$d][$i] = true;
                    }
                }
                foreach ($groups as $g => $_) {
                    $pulls[$m][$g] = 1.0 - $met[$g];
                }
            }
            $best = min($best, $value);
            $gap = max(0.01, $value - $reached);
            $norm = 0.0;
            foreach ($instance->offers as $i => $offer) {
                $stockPull[$i] = $used[$i] - $offer->stock;
                $norm += $price[$i] > 0.0 || $stockPull[$i] > 0.0 ? $stockPull[$i] ** 2 : 0.0;
            }
            foreach ($pulls as $m => $row) {
                foreach ($row as $g => $pull) {
                    $norm += $pull ** 2;
                }
            }
            $repeats = [];
            for ($m = 0; $m < count($instance->eaters); $m++) {
                for ($d = 1; $d < $days; $d++) {
                    foreach (array_keys(($servedAll[$m][$d] ?? []) + ($servedAll[$m][$d - 1] ?? []) + ($again[$m][$d] ?? [])) as $i) {
                        $repeats[$m][$d][$i] = (isset($servedAll[$m][$d][$i]) ? 1 : 0) + (isset($servedAll[$m][$d - 1][$i]) ? 1 : 0) - 1;
                        $norm += $repeats[$m][$d][$i] ** 2;
                    }
                }
            }
            if ($norm < 1e-9) {
                break;
            }
            $by = $step * $gap / $norm;
            $step *= 0.94;
            foreach ($instance->offers as $i => $offer) {
                $price[$i] = max(0.0, $price[$i] + $by * $stockPull[$i]);
            }
            foreach ($pulls as $m => $row) {
                foreach ($row as $g => $pull) {
                    $thanks[$m][$g] = max(0.0, min($weights->variety, $thanks[$m][$g] + $by * $pull));
                }
            }
            foreach ($repeats as $m => $byDay) {
                foreach ($byDay as $d => $row) {
                    foreach ($row as $i => $pull) {
                        $again[$m][$d][$i] = max(0.0, min($weights->repeat, ($again[$m][$d][$i] ?? 0.0) + $by * $pull));
                    }
                }
            }
        }

        return max($best, $reached);
    }
}
