<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * The best that can stand on one plate when each thing has a worth of its own: found by trying, the worthiest first,
 * and by leaving out what cannot become better than the best so far.
 */
final class DayPlate
{
    private float $best = -INF;

    /** @var list<int> */
    private array $bestChosen = [];

    /** @var list<int> */
    private array $chosen = [];

    /** @var array<int, true> offers of which one size was chosen */
    private array $taken = [];

    /**
     * @param  list<array{float, float, int, int, bool, int}>  $candidates  worth, mg, 1 where live, option, whether it
     *     must be there, and the offer of which it is a size
     */
    private function __construct(
        private readonly array $candidates,
        private readonly int $goal,
        private readonly float $short,
        private readonly float $over,
        private readonly float $allowance,
        private readonly float $limit,
    ) {}

    /**
     * @param  list<array{float, float, int, int, bool, int}>  $candidates  worth, mg, 1 where live, option, whether it
     *     must be there, and the offer of which it is a size
     * @param  int  $room  how many at most
     * @return array{float, list<int>} its worth, and the offers
     */
    public static function fill(
        array $candidates,
        int $room,
        int $goal,
        float $short,
        float $over,
        float $allowance,
        float $limit,
    ): array {
        $musts = array_values(array_filter($candidates, static fn(array $one): bool => $one[4]));
        $others = array_values(
            array_filter($candidates, static fn(array $one): bool => !$one[4] && ($one[0] > 0.0 || $one[2] === 1)),
        );
        usort($others, static fn(array $one, array $other): int => $other[0] <=> $one[0]);
        $plate = new self($others, $goal, $short, $over, $allowance, $limit);
        $plate->chosen = array_column($musts, 3);
        $plate->taken = array_fill_keys(array_column($musts, 5), true);
        $plate->search(
            0,
            $room - count($musts),
            array_sum(array_column($musts, 0)),
            array_sum(array_column($musts, 1)),
            array_sum(array_column($musts, 2)),
        );

        return [$plate->best, $plate->bestChosen];
    }

    private function search(int $from, int $room, float $worth, float $sodium, int $live): void
    {
        $missing = max(0, $this->goal - $live);
        $now = $worth - $this->short * $missing - $this->over * max(0.0, $sodium - $this->allowance);
        if ($now > $this->best) {
            $this->best = $now;
            $this->bestChosen = $this->chosen;
        }
        $count = count($this->candidates);
        for ($at = $from; $room > 0 && $at < $count; $at++) {
            [$value, $milligrams, $lively, $option, , $offer] = $this->candidates[$at];
            // At most: every place that is left filled as well as this one, and every live serving found.
            if ($now + $room * max(0.0, $value) + $this->short * min($missing, $room) <= $this->best + 1e-9) {
                return;
            }
            if (isset($this->taken[$offer]) || $sodium + $milligrams > $this->limit + 1e-9) {
                continue;
            }
            $this->chosen[] = $option;
            $this->taken[$offer] = true;
            $this->search($at + 1, $room - 1, $worth + $value, $sodium + $milligrams, $live + $lively);
            array_pop($this->chosen);
            unset($this->taken[$offer]);
        }
    }
}
