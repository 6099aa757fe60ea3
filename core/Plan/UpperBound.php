<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A number that no week can pass: what is left, variety over the week and repeats from day to day are given prices
 * instead of limits (Lagrange), and every plate is then filled for itself, exactly. The prices are moved a few times to
 * where the number gets small. It ignores that meals differ in what suits them, but for how much a day holds.
 */
final class UpperBound
{
    private const ROUNDS = 28;

    public static function of(PlanningProblem $problem, float $reached): float
    {
        $days = $problem->days;
        $weights = $problem->weights;
        // What brings no culture comes last, and is neither thanked for nor counted among the groups.
        $groups = array_values(
            array_diff(array_unique(array_column($problem->options, 'group')), [ServingOption::NO_CULTURE]),
        );
        $groupOf = array_map(
            static fn(ServingOption $option): int => $option->group === ServingOption::NO_CULTURE
                ? count($groups)
                : (int) array_search($option->group, $groups, true),
            $problem->options,
        );
        $room = $problem->perMeal * count($problem->meals);
        $locked = $lockedSodium = [];
        foreach ($problem->locked as $assignment) {
            $locked[$assignment->eater][$assignment->day][$assignment->option] = true;
            $lockedSodium[$assignment->eater][$assignment->day] =
                ($lockedSodium[$assignment->eater][$assignment->day] ?? 0.0) +
                $problem->options[$assignment->option]->sodium[$assignment->eater][$assignment->day];
        }
        $price = array_fill(0, max(1, count($problem->options)), 0.0);
        $varietyPrice = array_fill(0, count($problem->eaters), [
            ...array_fill(0, count($groups), $weights->variety * 0.5),
            0.0,
        ]);
        $again = [];
        $best = INF;
        $step = 1.0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $value = 0.0;
            $used = array_fill(0, max(1, count($problem->options)), 0.0);
            $subgradient = [];
            $stockPull = [];
            foreach ($problem->options as $i => $option) {
                $value += $option->offer === null ? $price[$i] * $option->stock : 0.0;
            }
            $servedAll = [];
            foreach ($problem->eaters as $m => $eater) {
                $met = array_fill(0, count($groups) + 1, 0);
                foreach ($varietyPrice[$m] as $g => $one) {
                    $value += isset($groups[$g]) ? $weights->variety - $one : 0.0;
                }
                for ($d = 0; $d < $days; $d++) {
                    $candidates = [];
                    foreach ($problem->options as $i => $option) {
                        $offer = $problem->offerOf($i);
                        $must = isset($locked[$m][$d][$i]);
                        if (
                            !$must &&
                            (!$option->isFor[$m] ||
                                !$option->isServedOn($d) ||
                                $option->meals === [] ||
                                $option->portion[$m] > $problem->options[$offer]->stock + 1e-9)
                        ) {
                            continue;
                        }
                        $worth =
                            $weights->urgency * $option->urgency($d) * (1.0 - $option->smallerBy($m)) -
                            $weights->small * $option->smallerBy($m) -
                            ($d === 0 && isset($problem->previous[$m][$offer]) ? $weights->repeat : 0.0) -
                            ($weights->sodium * $option->sodium[$m][$d]) / $eater->target +
                            $varietyPrice[$m][$groupOf[$i]] -
                            $price[$offer] * $option->portion[$m] -
                            ($again[$m][$d][$offer] ?? 0.0) -
                            ($again[$m][$d + 1][$offer] ?? 0.0);
                        $candidates[] = [$worth, $option->sodium[$m][$d], $option->isLive ? 1 : 0, $i, $must, $offer];
                    }
                    [$plate, $chosen] = DayPlate::fill(
                        $candidates,
                        $room,
                        $eater->liveGoal[$d],
                        $weights->short,
                        $eater->isHard ? 0.0 : $weights->over,
                        $eater->allowance[$d],
                        max($eater->limit($d), $lockedSodium[$m][$d] ?? 0.0),
                    );
                    $value += $plate + array_sum($again[$m][$d] ?? []);
                    foreach ($chosen as $i) {
                        $used[$problem->offerOf($i)] += $problem->options[$i]->portion[$m];
                        $met[$groupOf[$i]]++;
                        $servedAll[$m][$d][$problem->offerOf($i)] = true;
                    }
                }
                foreach ($groups as $g => $_) {
                    $subgradient[$m][$g] = 1.0 - $met[$g];
                }
            }
            $best = min($best, $value);
            $gap = max(0.01, $value - $reached);
            $norm = 0.0;
            foreach ($problem->options as $i => $option) {
                if ($option->offer !== null) {
                    continue;
                }
                $stockPull[$i] = $used[$i] - $option->stock;
                $norm += $price[$i] > 0.0 || $stockPull[$i] > 0.0 ? $stockPull[$i] ** 2 : 0.0;
            }
            foreach ($subgradient as $m => $row) {
                foreach ($row as $g => $pull) {
                    $norm += $pull ** 2;
                }
            }
            $repeats = [];
            for ($m = 0; $m < count($problem->eaters); $m++) {
                for ($d = 1; $d < $days; $d++) {
                    foreach (
                        array_keys(($servedAll[$m][$d] ?? []) + ($servedAll[$m][$d - 1] ?? []) + ($again[$m][$d] ?? []))
                        as $i
                    ) {
                        $repeats[$m][$d][$i] =
                            (isset($servedAll[$m][$d][$i]) ? 1 : 0) + (isset($servedAll[$m][$d - 1][$i]) ? 1 : 0) - 1;
                        $norm += $repeats[$m][$d][$i] ** 2;
                    }
                }
            }
            if ($norm < 1e-9) {
                break;
            }
            $by = ($step * $gap) / $norm;
            $step *= 0.94;
            foreach ($stockPull as $i => $pull) {
                $price[$i] = max(0.0, $price[$i] + $by * $pull);
            }
            foreach ($subgradient as $m => $row) {
                foreach ($row as $g => $pull) {
                    $varietyPrice[$m][$g] = max(0.0, min($weights->variety, $varietyPrice[$m][$g] + $by * $pull));
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
