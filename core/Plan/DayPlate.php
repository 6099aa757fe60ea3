<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What can stand on one plate (one eater's day) when each thing has a worth of its own: the best, and all that come near
 * it. Things are tried the worthiest first, and what cannot become good enough any more is left out.
 */
final class DayPlate
{
    private const EPS = 1e-9;

    /** @var list<array{float, float, int, int, bool, int}> what need not be there, the worthiest first */
    private readonly array $others;

    /** @var list<array{float, float, int, int, bool, int}> what must be there */
    private readonly array $musts;

    /** @var list<float> what those before each come to, without those that cost */
    private array $sums = [];

    /** @var list<float> what the first of those that are live come to, with what each is worth where it is missing */
    private array $liveSums;

    /** @var list<int> how many of those before each are live */
    private array $liveBefore = [];

    /** Whether a live one that is missing is worth more than anything else. */
    private bool $isLiveFirst;

    private readonly float $allowance;

    private readonly float $limit;

    /** Worth of the best, and what a plate must come to that is kept. */
    private float $best = -INF;

    private float $enough = -INF;

    /** @var list<int> */
    private array $bestChosen = [];

    /** @var list<array{float, list<int>}> */
    private array $kept = [];

    /** @var list<int> */
    private array $chosen = [];

    /** @var array<int, true> offers of which one size was chosen */
    private array $taken = [];

    /** @var array<int, int> by set of meals: what is in it */
    private array $within = [];

    /** How many plates are kept at most; 0 while only the best is looked for. */
    private int $most = 0;

    private bool $isCut = false;

    /** How many sets were looked at. */
    public int $steps = 0;

    /**
     * @param  list<array{float, float, int, int, bool, int}>  $candidates  worth, mg, 1 where live, option, whether it
     *     must be there, and the offer of which it is a size
     * @param  int  $room  how many at most
     * @param  float  $over  what a milligram beyond the allowance costs
     * @param  array<int, list<int>>  $holding  by option: the sets of meals that hold all it is suited to; without
     *     them only the room is counted
     * @param  list<int>  $roomOf  by set of meals
     * @param  bool  $isAll  whether the sizes count too that another of their offer beats: what is worth less here may be worth more
     *     beside what others eat
     */
    public function __construct(
        array $candidates,
        private readonly int $room,
        private readonly int $goal,
        private readonly float $short,
        private readonly float $over,
        float $allowance,
        float $limit,
        private readonly array $holding = [],
        private readonly array $roomOf = [],
        bool $isAll = false,
    ) {
        $this->musts = array_values(array_filter($candidates, static fn(array $one): bool => $one[4]));
        $others = array_values(array_filter($candidates, static fn(array $one): bool => !$one[4]));
        [$worths, $milligrams] = [array_column($others, 0), array_column($others, 1)];
        array_multisort($worths, SORT_DESC, $milligrams, SORT_ASC, $others);
        $this->others = $isAll ? $others : self::withoutBeaten($others);
        $sum = 0.0;
        $this->liveSums = [0.0];
        $leastLive = INF;
        foreach ($this->others as [$worth, , $live]) {
            $this->sums[] = $sum;
            $this->liveBefore[] = count($this->liveSums) - 1;
            $sum += max(0.0, $worth);
            if ($live > 0) {
                $this->liveSums[] = $this->liveSums[count($this->liveSums) - 1] + max(0.0, $worth + $short);
                $leastLive = $worth;
            }
        }
        $this->sums[] = $sum;
        $this->liveBefore[] = count($this->liveSums) - 1;
        $this->isLiveFirst = $leastLive + $short >= ($this->others[0][0] ?? 0.0);
        $this->allowance = $allowance;
        $this->limit = $limit;
    }

    /** @return array{float, list<int>} its worth, and the options */
    public function best(): array
    {
        $this->most = 0;
        $this->start();

        return [$this->best, $this->bestChosen];
    }

    /**
     * All plates that come as near the best as this, the best first; where they are too many, the best of them.
     *
     * @return array{list<array{float, list<int>}>, float} worth and options of each; and how far from the best what was left out
     *     for being too many is at least
     */
    public function near(float $loss, int $most): array
    {
        $best = $this->best > -INF ? $this->best : $this->best()[0];
        $this->most = $most;
        $this->enough = $best - $loss;
        $this->kept = [];
        $this->isCut = false;
        $this->start();
        $this->tidy();

        return [$this->kept, $this->isCut ? max(0.0, $best - $this->enough) : $loss];
    }

    /**
     * Without the sizes of an offer of which another is worth no less, with no more sodium, and as live.
     *
     * @param  list<array{float, float, int, int, bool, int}>  $sorted
     * @return list<array{float, float, int, int, bool, int}>
     */
    private static function withoutBeaten(array $sorted): array
    {
        $kept = $least = [];
        foreach ($sorted as $one) {
            [, $milligrams, $live, , , $offer] = $one;
            if ($milligrams < ($least[$offer][$live] ?? INF)) {
                $kept[] = $one;
                $least[$offer][$live] = $milligrams;
            }
        }

        return $kept;
    }

    private function start(): void
    {
        $this->chosen = array_column($this->musts, 3);
        $this->taken = array_fill_keys(array_column($this->musts, 5), true);
        $this->within = array_fill(0, count($this->roomOf), 0);
        foreach ($this->chosen as $option) {
            foreach ($this->holding[$option] ?? [] as $set) {
                $this->within[$set]++;
            }
        }
        $this->search(
            0,
            $this->room - count($this->musts),
            array_sum(array_column($this->musts, 0)),
            array_sum(array_column($this->musts, 1)),
            array_sum(array_column($this->musts, 2)),
        );
    }

    private function search(int $from, int $room, float $worth, float $sodium, int $live): void
    {
        $this->steps++;
        $missing = max(0, $this->goal - $live);
        $now = $worth - $this->short * $missing - $this->over * max(0.0, $sodium - $this->allowance);
        if ($this->most > 0) {
            if ($now >= $this->enough - self::EPS) {
                $this->kept[] = [$now, $this->chosen];
                if (count($this->kept) > 3 * $this->most) {
                    $this->tidy();
                }
            }
        } elseif ($now > $this->best) {
            $this->best = $now;
            $this->bestChosen = $this->chosen;
        }
        $count = count($this->others);
        if ($room <= 0) {
            return;
        }
        $passed = $sodium >= $this->allowance;
        $wanted = min($missing, $room);
        $lives = count($this->liveSums) - 1;
        $isBest = $this->most === 0;
        $isLiveFirst = $this->isLiveFirst;
        [$others, $sums, $liveSums, $liveBefore] = [$this->others, $this->sums, $this->liveSums, $this->liveBefore];
        for ($at = $from; $at < $count; $at++) {
            // At most: the places that are left filled with this and what follows it, and every live serving found.
            $before = $liveBefore[$at];
            $more = $lives - $before;
            if ($more > $wanted) {
                $more = $wanted;
            }
            $to = $isLiveFirst ? $at + $room - $more : $at + $room;
            $most =
                $now +
                $liveSums[$before + $more] -
                $liveSums[$before] +
                $sums[$to < $count ? $to : $count] -
                $sums[$at];
            if ($isBest ? $most <= $this->best + self::EPS : $most < $this->enough - self::EPS) {
                return;
            }
            [$value, $milligrams, $lively, $option, , $offer] = $others[$at];
            if (
                isset($this->taken[$offer]) ||
                ($isBest && $value <= 0.0 && $lively === 0) ||
                $sodium + $milligrams > $this->limit + self::EPS ||
                ($passed && $missing === 0 && $isBest && $value - $this->over * $milligrams < 0.0)
            ) {
                continue;
            }
            $sets = $this->holding[$option] ?? [];
            foreach ($sets as $set) {
                if ($this->within[$set] >= $this->roomOf[$set]) {
                    continue 2;
                }
            }
            foreach ($sets as $set) {
                $this->within[$set]++;
            }
            $this->chosen[] = $option;
            $this->taken[$offer] = true;
            $this->search($at + 1, $room - 1, $worth + $value, $sodium + $milligrams, $live + $lively);
            array_pop($this->chosen);
            unset($this->taken[$offer]);
            foreach ($sets as $set) {
                $this->within[$set]--;
            }
        }
    }

    /** Keeps the best of what was kept. */
    private function tidy(): void
    {
        usort($this->kept, static fn(array $one, array $other): int => $other[0] <=> $one[0]);
        if (count($this->kept) > $this->most) {
            $this->enough = $this->kept[$this->most][0];
            $this->kept = array_slice($this->kept, 0, $this->most);
            $this->isCut = true;
        }
    }
}
