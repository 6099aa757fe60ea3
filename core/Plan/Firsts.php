<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What counts once in an eater's week, with the first serving that brings it: a group of cultures, and a wish on one of its
 * days. Each has a bit by which a set of them is a number; a wish whose days are over leaves its bit to a later one.
 */
final readonly class Firsts
{
    /** Room for the groups of as many offers as a week may have, and for wishes. */
    public const BITS = PlanningProblem::MOST_OFFERS + Wish::MOST_AT_ONCE;

    /** @var list<float> by first */
    public array $worth;

    /** @var list<array<int, list<int>>> by day and option: the firsts that it brings */
    public array $of;

    /** @var list<int> by first: its bit, as a number */
    public array $bit;

    /** @var list<int> by first: the first day on which it can come; before it its bit is another's */
    public array $begin;

    /** @var list<int> by first: the last day on which it can come */
    public array $last;

    /** @var list<int> by day: the bits that still mean something on later days */
    public array $staying;

    public function __construct(PlanningProblem $problem, int $m)
    {
        $groups = array_values(
            array_diff(array_unique(array_column($problem->options, 'group')), [ServingOption::NO_CULTURE]),
        );
        $worth = array_fill(0, count($groups), $problem->weights->variety);
        $bit = array_map(static fn(int $place): int => 1 << $place, array_keys($groups));
        $begin = array_fill(0, count($groups), 0);
        $last = array_fill(0, count($groups), $problem->days - 1);
        $place = array_flip($groups);
        $of = [];
        for ($d = 0; $d < $problem->days; $d++) {
            $of[] = array_map(
                static fn(ServingOption $one): array => isset($place[$one->group]) ? [$place[$one->group]] : [],
                $problem->options,
            );
        }
        $wishes = array_values(array_filter($problem->wishes, static fn(Wish $one): bool => $one->eater === $m));
        usort($wishes, static fn(Wish $one, Wish $other): int => min($one->days) <=> min($other->days));
        // By bit beyond the groups' own: the last day of the wish that has it.
        $taken = [];
        foreach ($wishes as $wish) {
            $free = 0;
            while (isset($taken[$free]) && $taken[$free] >= min($wish->days)) {
                $free++;
            }
            $taken[$free] = max($wish->days);
            foreach ($wish->days as $d) {
                foreach ($problem->options as $i => $_) {
                    if (in_array($problem->offerOf($i), $wish->offers, true)) {
                        $of[$d][$i][] = count($worth);
                    }
                }
            }
            $worth[] = $wish->worth;
            $bit[] = 1 << (count($groups) + $free);
            $begin[] = min($wish->days);
            $last[] = max($wish->days);
        }
        $staying = [];
        for ($d = 0; $d < $problem->days; $d++) {
            $over = 0;
            foreach ($last as $first => $day) {
                $over |= $day === $d ? $bit[$first] : 0;
            }
            $staying[] = ~$over;
        }
        [$this->worth, $this->of, $this->bit] = [$worth, $of, $bit];
        [$this->begin, $this->last, $this->staying] = [$begin, $last, $staying];
    }
}
