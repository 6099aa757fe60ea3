<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use SplPriorityQueue;

/**
 * Reads all weeks out of ways through the days of which each step is known, the best week first.
 *
 * One goes back from the end, day by day. The first step back is always the best one, so that what a week comes to is known
 * before it is read; what another step would bring waits until its turn comes.
 */
final class WaysBack
{
    private const EPS = 1e-7;

    /** @var array<int, array<int, true>> by day and place: whether its steps are sorted */
    private array $isSorted = [];

    /**
     * @param  list<array<int, list<array{float, int, int}>>>  $steps  by day and place: what the way comes to by a step, the place
     *     on the day before, and the plate
     * @param  list<list<list<int>>>  $plates  by day: options
     */
    public function __construct(private array $steps, private readonly array $plates) {}

    /**
     * @param  array<int, float>  $ends  by place on the last day: what the best way there comes to
     * @param  float  $above  what a week has to pass
     * @param  int  $most  how many weeks are read
     * @return list<list<list<int>>> for each week its options by day
     */
    public function weeks(array $ends, float $above, int $most): array
    {
        $open = new SplPriorityQueue();
        foreach ($ends as $place => $value) {
            $open->insert([$value, count($this->plates), $place, 0, []], $value);
        }
        $weeks = [];
        while (!$open->isEmpty() && count($weeks) < $most) {
            /** @var array{float, int, int, int, list<list<int>>} $one */
            $one = $open->extract();
            [$value, $d, $place, $nth, $after] = $one;
            if ($d < 1) {
                $weeks[] = array_reverse($after);

                continue;
            }
            $steps = $this->stepsTo($d - 1, $place);
            [$worth, $before, $plate] = $steps[$nth];
            $open->insert([$value, $d - 1, $before, 0, [...$after, $this->plates[$d - 1][$plate]]], $value);
            if (isset($steps[$nth + 1])) {
                $next = $value - $worth + $steps[$nth + 1][0];
                if ($next > $above + self::EPS) {
                    $open->insert([$next, $d, $place, $nth + 1, $after], $next);
                }
            }
        }

        return $weeks;
    }

    /** @return list<array{float, int, int}> what comes to most first */
    private function stepsTo(int $d, int $place): array
    {
        if (!isset($this->isSorted[$d][$place])) {
            usort($this->steps[$d][$place], static fn(array $one, array $other): int => $other[0] <=> $one[0]);
            $this->isSorted[$d][$place] = true;
        }

        return $this->steps[$d][$place];
    }
}
