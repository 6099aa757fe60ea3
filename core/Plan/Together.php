<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * The best plan that some weeks of each eater make together.
 *
 * Each week loses something against the best of its eater at the prices, and what all of them lose may not be more than a
 * better plan allows. The eater with the fewest weeks chooses first; then weeks of the others that no longer fit, or would
 * lose too much, are left out.
 */
final class Together
{
    private const EPS = 1e-7;

    /** @var array<int, PlannedEaterWeek>|null by eater */
    private ?array $best = null;

    /** What a plan must pass. */
    private float $total = INF;

    /**
     * @param  float  $fair  the weight of fairness
     * @param  int  $looks  how many weeks are looked at, at most
     */
    public function __construct(private readonly float $fair, private int $looks) {}

    /**
     * @param  array<int, list<array{float, PlannedEaterWeek}>>  $weeks  by eater: what each loses, and the week; what loses least first
     * @param  array<int, float>  $left  by offer: what there is for them
     * @param  float  $atMost  what a plan comes to at most in which nobody loses anything
     * @param  float  $total  what it must pass
     * @return array<int, PlannedEaterWeek>|null by eater; null where none passes it
     */
    public function best(array $weeks, array $left, float $atMost, float $total): ?array
    {
        $this->best = null;
        $this->total = $total + self::EPS;
        $fitting = in_array([], $weeks, true) ? null : $this->fitting($weeks, $left, $atMost - $total);
        if ($fitting !== null) {
            $this->choose($fitting, $left, [], $atMost);
        }

        return $this->best;
    }

    /** Whether all of them were looked at. */
    public function isWhole(): bool
    {
        return $this->looks > 0;
    }

    /**
     * @param  array<int, non-empty-list<array{float, PlannedEaterWeek}>>  $weeks  of those who have not chosen yet
     * @param  array<int, float>  $left
     * @param  array<int, PlannedEaterWeek>  $chosen
     */
    private function choose(array $weeks, array $left, array $chosen, float $atMost): void
    {
        if ($weeks === []) {
            $this->reach($chosen);

            return;
        }
        $counts = array_map(count(...), $weeks);
        $m = array_search(min($counts), $counts, true);
        $own = $weeks[$m];
        unset($weeks[$m]);
        $others = array_sum(array_map(static fn(array $rows): float => $rows[0][0], $weeks));
        foreach ($own as [$loss, $week]) {
            $spare = $atMost - $others - $loss - $this->total;
            if ($spare <= 0.0 || $this->looks-- <= 0) {
                return;
            }
            $rest = $week->takenFrom($left);
            $fitting = $this->fitting($weeks, $rest, $spare);
            if ($fitting !== null) {
                $this->choose($fitting, $rest, [$m => $week] + $chosen, $atMost - $loss);
            }
        }
    }

    /**
     * @param  array<int, non-empty-list<array{float, PlannedEaterWeek}>>  $weeks
     * @param  array<int, float>  $left
     * @param  float  $spare  what all of them may lose besides the least that each does
     * @return array<int, non-empty-list<array{float, PlannedEaterWeek}>>|null null where somebody has none
     */
    private function fitting(array $weeks, array $left, float $spare): ?array
    {
        $fitting = [];
        foreach ($weeks as $m => $rows) {
            $least = $rows[0][0];
            $fits = [];
            foreach ($rows as $row) {
                if ($row[0] - $least >= $spare) {
                    break;
                }
                $this->looks--;
                if ($row[1]->fits($left)) {
                    $fits[] = $row;
                }
            }
            if ($fits === []) {
                return null;
            }
            $spare -= $fits[0][0] - $least;
            $fitting[$m] = $fits;
        }

        return $fitting;
    }

    /** @param  array<int, PlannedEaterWeek>  $chosen */
    private function reach(array $chosen): void
    {
        $total = PlannedEaterWeek::total($chosen, $this->fair);
        if ($total > $this->total) {
            ksort($chosen);
            [$this->best, $this->total] = [$chosen, $total + self::EPS];
        }
    }
}
