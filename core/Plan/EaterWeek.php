<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * One eater's week where each offer has a price: the best way to spend it, and a number that no way can pass.
 *
 * Eaters meet only in the stock. With a price on it each eats alone, and a week is a way through the days: what was eaten
 * the day before and what has come already of that which counts once (Firsts) is all that a day has to know of those before
 * it. Ways are lengthened day by day; one is given up when even the most that the days to come can bring does not lift it to
 * the best that is known. For that most, firsts and repeats have prices of their own (Lagrange), so that each day can be
 * filled for itself.
 */
final class EaterWeek
{
    /** How many plates of a day and how many ways up to a day are followed. */
    private const PLATES = 160;

    private const WAYS = 160;

    /** The same where all are followed, and how many steps there may be. */
    private const PLATES_OF_ALL = 1_000;

    private const WAYS_OF_ALL = 5_000;

    private const STEPS_OF_ALL = 80_000;

    private const EPS = 1e-7;

    /** How much less far the prices of firsts and repeats are moved in each round. */
    private const SLOWER = 0.15;

    /** Work done so far: sets on plates and lengthened ways that were looked at. */
    private int $steps = 0;

    private readonly int $days;

    private readonly int $room;

    private readonly MealSets $sets;

    private readonly StockCode $code;

    private readonly Firsts $firsts;

    /** @var array<int, int> by option: the offer of which it is a size */
    private array $offer = [];

    /** @var array<int, float> by option: what is taken of the stock */
    private array $grams = [];

    /** @var list<list<int>> by day: options that may stand on the plate */
    private array $may = [];

    /** @var list<array<int, float>> by day and option: what it brings by itself, and its mg */
    private array $gain = [];

    /** @var list<array<int, float>> */
    private array $sodium = [];

    /** @var list<array<int, true>> by day: options that are locked */
    private array $locked = [];

    /** @var list<float> by day */
    private array $limit = [];

    /** @var array<int, float> by first that may come: its price, from 0 to its worth */
    private array $first = [];

    /** @var list<array<int, float>> by day and set of firsts that came on it: what they are worth */
    private array $worthOf = [];

    /** @var array<int, array<int, float>> by day and offer: what is paid on it and on the day before, 0 to the weight of a repeat */
    private array $again = [];

    /** @param  StockCode|null  $code  in which all eaters' weeks count what they take; null: one of its own */
    public function __construct(
        private readonly PlanningProblem $problem,
        private readonly int $m,
        ?StockCode $code = null,
    ) {
        $this->code = $code ?? StockCode::of($problem);
        $eater = $problem->eaters[$m];
        $weights = $problem->weights;
        $this->days = $problem->days;
        $this->room = $problem->perMeal * count($problem->meals);
        $this->sets = new MealSets($problem);
        $this->firsts = new Firsts($problem, $m);
        $this->worthOf = array_fill(0, $this->days, []);
        $kept = [];
        foreach ($problem->before as $one) {
            $kept[$one->eater === $m ? $one->day : -1][$one->option] = true;
        }
        $this->locked = array_fill(0, $this->days, []);
        foreach ($problem->locked as $one) {
            if ($one->eater === $m) {
                $this->locked[$one->day][$one->option] = true;
            }
        }
        foreach ($problem->options as $i => $option) {
            $this->offer[] = $problem->offerOf($i);
            $this->grams[] = $option->portion[$m];
        }
        for ($d = 0; $d < $this->days; $d++) {
            $may = $gain = $sodium = [];
            $mg = 0.0;
            foreach (array_keys($this->locked[$d]) as $i) {
                $mg += $problem->options[$i]->sodium[$m][$d];
            }
            foreach ($problem->options as $i => $option) {
                $milligrams = $option->sodium[$m][$d];
                if (
                    isset($this->locked[$d][$i]) ||
                    ($option->isFor[$m] &&
                        $option->isServedOn($d) &&
                        $option->meals !== [] &&
                        $option->portion[$m] <= $problem->options[$this->offer[$i]]->stock + 1e-9 &&
                        $milligrams <= $eater->limit($d) + 1e-9)
                ) {
                    $may[] = $i;
                    $sodium[$i] = $milligrams;
                    $gain[$i] =
                        $weights->urgency * $option->urgency($d) * (1.0 - $option->smallerBy($m)) -
                        $weights->small * $option->smallerBy($m) -
                        ($d === 0 && isset($problem->previous[$m][$this->offer[$i]]) ? $weights->repeat : 0.0) -
                        ($weights->sodium * $milligrams) / $eater->target +
                        (isset($kept[$d][$i]) ? $weights->keep : 0.0);
                    foreach ($this->firsts->of[$d][$i] as $first) {
                        $this->first[$first] = $this->firsts->worth[$first] * 0.5;
                    }
                }
            }
            $this->may[] = $may;
            $this->gain[] = $gain;
            $this->sodium[] = $sodium;
            $this->limit[] = max($eater->limit($d), $mg);
        }
    }

    /**
     * What a week comes to, without prices.
     *
     * @param  list<list<int>>  $plates  options by day
     */
    public function week(array $plates): PlannedEaterWeek
    {
        $eater = $this->problem->eaters[$this->m];
        $weights = $this->problem->weights;
        $worth = 0.0;
        $missing = 0;
        $used = $met = [];
        $yesterday = 0;
        foreach ($plates as $d => $plate) {
            $live = $today = 0;
            $sodium = 0.0;
            foreach ($plate as $i) {
                $worth += $this->gain[$d][$i];
                $sodium += $this->sodium[$d][$i];
                $live += $this->problem->options[$i]->isLive ? 1 : 0;
                $today |= 1 << $this->offer[$i];
                foreach ($this->firsts->of[$d][$i] as $first) {
                    $met[$first] = $this->firsts->worth[$first];
                }
                $used[$this->offer[$i]] = ($used[$this->offer[$i]] ?? 0.0) + $this->grams[$i];
            }
            $short = max(0, $eater->liveGoal[$d] - $live);
            $missing += $short;
            $worth -= $eater->isHard ? 0.0 : $weights->over * max(0.0, $sodium - $eater->allowance[$d]);
            $worth -= $weights->repeat * self::count($today & $yesterday);
            $yesterday = $today;
        }

        return new PlannedEaterWeek($plates, $worth + array_sum($met) - $weights->short * $missing, $missing, $used);
    }

    /**
     * The most that a week can bring at these prices, each day filled for itself; the prices of firsts and repeats are
     * moved on the way.
     *
     * @param  array<int, float>  $price  by offer, for the unit of its stock
     * @param  float  $fair  what a missing live serving costs besides its weight
     * @param  float  $reached  what a known week comes to at these prices
     * @return array{float, array<int, float>, int} the least of the rounds; what is taken of each offer, and the live servings
     *     missing, in the last one
     */
    public function relaxed(array $price, float $fair, float $reached, int $rounds): array
    {
        $weights = $this->problem->weights;
        $least = INF;
        $used = [];
        $missing = 0;
        $bestFirst = $bestAgain = [];
        for ($round = 0; $round < $rounds; $round++) {
            $value = $this->constant();
            $used = $met = $eaten = [];
            $missing = 0;
            for ($d = 0; $d < $this->days; $d++) {
                $plate = $this->plate($d, $price, $fair);
                [$worth, $chosen] = $plate->best();
                $this->steps += $plate->steps;
                $value += $worth;
                $live = 0;
                foreach ($chosen as $i) {
                    $live += $this->problem->options[$i]->isLive ? 1 : 0;
                    $used[$this->offer[$i]] = ($used[$this->offer[$i]] ?? 0.0) + $this->grams[$i];
                    foreach ($this->firsts->of[$d][$i] as $first) {
                        $met[$first] = ($met[$first] ?? 0) + 1;
                    }
                    $eaten[$d][$this->offer[$i]] = true;
                }
                $missing += max(0, $this->problem->eaters[$this->m]->liveGoal[$d] - $live);
            }
            if ($value < $least) {
                [$least, $bestFirst, $bestAgain] = [$value, $this->first, $this->again];
            }
            $pull = [];
            $norm = 0.0;
            foreach ($this->first as $first => $now) {
                $pull[$first] = 1.0 - ($met[$first] ?? 0);
                $norm +=
                    ($now <= 0.0 && $pull[$first] < 0.0) ||
                    ($now >= $this->firsts->worth[$first] && $pull[$first] > 0.0)
                        ? 0.0
                        : $pull[$first] ** 2;
            }
            $repeats = [];
            for ($d = 1; $d < $this->days; $d++) {
                foreach (array_keys(($eaten[$d] ?? []) + ($eaten[$d - 1] ?? []) + ($this->again[$d] ?? [])) as $offer) {
                    $one = (isset($eaten[$d][$offer]) ? 1 : 0) + (isset($eaten[$d - 1][$offer]) ? 1 : 0) - 1;
                    if ($one !== 0 && ($one > 0 || ($this->again[$d][$offer] ?? 0.0) > 0.0)) {
                        $repeats[$d][$offer] = $one;
                        $norm += 1.0;
                    }
                }
            }
            if ($norm <= 0.0 || $value <= $reached + self::EPS) {
                break;
            }
            $by = ($value - $reached) / $norm / (1.0 + self::SLOWER * $round);
            foreach ($pull as $first => $one) {
                $this->first[$first] = max(0.0, min($this->firsts->worth[$first], $this->first[$first] + $by * $one));
            }
            foreach ($repeats as $d => $row) {
                foreach ($row as $offer => $one) {
                    $this->again[$d][$offer] = max(
                        0.0,
                        min($weights->repeat, ($this->again[$d][$offer] ?? 0.0) + $by * $one),
                    );
                }
            }
        }
        [$this->first, $this->again] = [$bestFirst, $bestAgain];

        return [$least, $used, $missing];
    }

    /**
     * The weeks that come to most at these prices, the best first, and a number that none can pass.
     *
     * @param  array<int, float>  $price
     * @param  float  $reached  what a known week comes to; weeks that come to less are not looked for
     * @param  array<int, float>|null  $left  by offer: what may be taken at most; null: as much as there is
     * @param  float  $ease  1 follows many ways, less fewer
     * @return array{float, list<list<list<int>>>} the number, and for each week its options by day
     */
    public function best(
        array $price,
        float $fair,
        float $reached,
        ?array $left = null,
        float $ease = 1.0,
        int $most = 30,
    ): array {
        $mostPlates = max(12, (int) ($ease * self::PLATES));
        $mostWays = max(12, (int) ($ease * self::WAYS));
        [$bound, $days, $ways] = $this->ways($price, $fair, $reached, $left, $mostPlates, $mostWays, false);
        $last = $ways[$this->days] ?? [];
        usort($last, static fn(array $one, array $other): int => $other[0] <=> $one[0]);
        $weeks = [];
        foreach (array_slice($last, 0, $most) as $way) {
            $bound = max($bound, $way[0]);
            $plates = [];
            for ($d = $this->days - 1; $d >= 0; $d--) {
                $plates[$d] = $days[$d][$way[5]][5];
                $way = $ways[$d][$way[4]];
            }
            ksort($plates);
            $weeks[] = array_values($plates);
        }

        return [$bound, $weeks];
    }

    /**
     * Of the weeks that come to more than something at these prices the best for each sum of what it takes of the jars that eaters
     * contend for.
     *
     * @param  array<int, float>  $price
     * @param  int  $most  how many of them, and of ways up to each day
     * @return array{float, CodedWeeks, list<list<list<int>>>}|null what the best comes to, the weeks, what loses least against it
     *     first, and by their places the options by day; null where they are too many
     */
    public function near(array $price, float $fair, float $reached, int $most): ?array
    {
        [$bound, $days, $ways, $steps] = $this->ways(
            $price,
            $fair,
            $reached,
            null,
            self::PLATES_OF_ALL,
            self::WAYS_OF_ALL,
            true,
        );
        if ($bound > $reached + self::EPS) {
            return null;
        }
        if (($ways[$this->days] ?? []) === []) {
            return [$reached, new CodedWeeks(), []];
        }
        $back = new WaysBack(
            $this->code,
            $days,
            array_map(static fn(array $one): array => array_column($one, 0), $ways),
            $steps,
        );
        $found = $back->weeks($reached, $most);
        $this->steps += $back->looks;
        if ($found === null) {
            return null;
        }
        $weeks = new CodedWeeks();
        $plates = [];
        $best = $found === [] ? $reached : max(array_column($found, 0));
        foreach ($found as [$value, $taken, $missing, $week]) {
            $paid = array_sum(array_column($week, 10));
            $plates[] = array_column($week, 5);
            $weeks->add($best - $value, $value + $paid, $value + $paid + $fair * $missing, $missing, $taken);
        }
        $weeks->sort();

        return [$best, $weeks, $plates];
    }

    /**
     * Lengthens ways through the days that may pass something.
     *
     * @param  array<int, float>  $price
     * @param  array<int, float>|null  $left
     * @param  int  $mostPlates  of each day
     * @param  int  $mostWays  up to each day
     * @param  bool  $isAll  whether each step is kept that leads somewhere, not only the best one, and none where they are too many
     * @return array{float, list<list<array{float, float, int, int, float, list<int>, int, int, int, int, float}>>, list<list<array{float, int, int, float, int, int, int, int, int}>>, list<list<list<array{float, int, int}>>>}
     *     a number that nothing passes which is not followed; plates by day: what is lost, what it comes to, offers, firsts, what the
     *     day before pays for, options, what is taken, missing, and its price; ways by day: value, firsts, offers of the day, at
     *     most, way before, plate, what is taken; and steps by day and way, as WaysBack reads them
     */
    private function ways(
        array $price,
        float $fair,
        float $reached,
        ?array $left,
        int $mostPlates,
        int $mostWays,
        bool $isAll,
    ): array {
        $weights = $this->problem->weights;
        $days = $top = $filled = [];
        for ($d = 0; $d < $this->days; $d++) {
            $filled[$d] = $this->plate($d, $price, $fair, $left, $isAll);
            [$top[$d]] = $filled[$d]->best();
        }
        $ceiling = $this->constant() + array_sum($top);
        if ($ceiling <= $reached + self::EPS) {
            return [$reached, [], [], []];
        }
        $bound = $reached;
        foreach ($filled as $d => $plate) {
            [$near, $loss] = $plate->near($ceiling - $reached, $mostPlates);
            $this->steps += $plate->steps;
            $bound = $loss < $ceiling - $reached - self::EPS ? max($bound, $ceiling - $loss) : $bound;
            if ($isAll && $bound > $reached) {
                return [$bound, [], [], []];
            }
            $days[] = array_map(fn(array $one): array => $this->row($d, $top[$d], $one, $price), $near);
        }
        [$g, $h, $k] = $left === null ? [0, 0, 0] : $this->code->guards;
        [$s, $t, $u] = $left === null ? [0, 0, 0] : $this->code->room($left);
        $until = $isAll ? $this->steps + self::STEPS_OF_ALL : PHP_INT_MAX;
        $steps = [];
        $unmetOf = array_fill(0, $this->days, []);
        $ways = [[[0.0, 0, 0, $ceiling, -1, -1, 0, 0, 0]]];
        $ahead = array_sum($top);
        $again = array_sum(array_map(array_sum(...), $this->again));
        for ($d = 0; $d < $this->days; $d++) {
            $ahead -= $top[$d];
            $again -= array_sum($this->again[$d] ?? []);
            $next = $stepsTo = [];
            foreach ($ways[$d] as $from => [$value, $met, $before, $atMost, , , $p, $q, $r]) {
                foreach ($days[$d] as $at => [$loss, $true, $offers, $firsts, $boundary, , $a, $b, $c]) {
                    if ($atMost - $loss <= $reached + self::EPS) {
                        break;
                    }
                    $this->steps++;
                    $now = $value + $true;
                    $new = $firsts & ~$met;
                    if ($new !== 0) {
                        $now += $this->worthOf[$d][$new] ??= $this->worthOn($d, $new);
                    }
                    $both = $offers & $before;
                    if ($both !== 0) {
                        $now -= $weights->repeat * self::count($both);
                    }
                    $all = ($met | $firsts) & $this->firsts->staying[$d];
                    $unmet = $unmetOf[$d][$all] ??= $this->unmet($d, $all);
                    $then = $now + $boundary + $ahead + $again + $unmet;
                    if ($then <= $reached + self::EPS) {
                        continue;
                    }
                    $key = $isAll ? "{$offers}.{$all}" : ($at << Firsts::BITS) | $all;
                    if ($isAll) {
                        $stepsTo[$key][] = [$now, $from, $at];
                    }
                    if (isset($next[$key]) && $now <= $next[$key][0]) {
                        continue;
                    }
                    $a += $p;
                    $b += $q;
                    $c += $r;
                    if ((($s - $a) & $g) !== $g || (($t - $b) & $h) !== $h || (($u - $c) & $k) !== $k) {
                        continue;
                    }
                    $next[$key] = [$now, $all, $offers, $then, $from, $at, $a, $b, $c];
                }
                if ($this->steps > $until) {
                    return [$ceiling, [], [], []];
                }
            }
            if (count($next) > $mostWays) {
                if ($isAll) {
                    return [$ceiling, [], [], []];
                }
                uasort($next, static fn(array $one, array $other): int => $other[3] <=> $one[3]);
                $bound = max($bound, array_values($next)[$mostWays][3]);
                $next = array_slice($next, 0, $mostWays, true);
            }
            $ways[] = array_values($next);
            $steps[] = array_map(static fn(int|string $key): array => $stepsTo[$key] ?? [], array_keys($next));
        }

        return [min($bound, $ceiling), $days, $ways, $steps];
    }

    /**
     * What a way needs to know of a plate.
     *
     * @param  array{float, list<int>}  $plate  its worth, and the options
     * @param  array<int, float>  $price
     * @return array{float, float, int, int, float, list<int>, int, int, int, int, float} as in ways()
     */
    private function row(int $d, float $top, array $plate, array $price): array
    {
        [$worth, $options] = $plate;
        $true = $worth;
        $boundary = $paid = 0.0;
        $offers = $firsts = $live = 0;
        $used = [];
        foreach ($options as $i) {
            $offer = $this->offer[$i];
            $next = $this->again[$d + 1][$offer] ?? 0.0;
            $true += ($this->again[$d][$offer] ?? 0.0) + $next;
            $boundary -= $next;
            $offers |= 1 << $offer;
            foreach ($this->firsts->of[$d][$i] as $first) {
                $true -= $this->first[$first];
                $firsts |= $this->firsts->bit[$first];
            }
            $live += $this->problem->options[$i]->isLive ? 1 : 0;
            $paid += $price[$offer] * $this->grams[$i];
            $used[$offer] = $this->grams[$i];
        }
        $missing = max(0, $this->problem->eaters[$this->m]->liveGoal[$d] - $live);

        return [
            $top - $worth,
            $true,
            $offers,
            $firsts,
            $boundary,
            $options,
            ...$this->code->taken($used),
            $missing,
            $paid,
        ];
    }

    /** The week with what is locked alone. */
    public function bare(): PlannedEaterWeek
    {
        return $this->week(array_map(array_keys(...), $this->locked));
    }

    /** Work done so far. */
    public function steps(): int
    {
        return $this->steps;
    }

    /** On how many days an offer may be served, for all offers. */
    public function places(): int
    {
        $places = 0;
        foreach ($this->may as $options) {
            $places += count(array_unique(array_map(fn(int $i): int => $this->offer[$i], $options)));
        }

        return $places;
    }

    /** What the prices give back of firsts that can still come after a day. */
    private function unmet(int $d, int $met): float
    {
        $unmet = 0.0;
        foreach ($this->first as $first => $price) {
            $unmet +=
                $this->firsts->last[$first] > $d &&
                ($this->firsts->begin[$first] > $d || ($met & $this->firsts->bit[$first]) === 0)
                    ? $this->firsts->worth[$first] - $price
                    : 0.0;
        }

        return $unmet;
    }

    /** What firsts are worth that came on a day. */
    private function worthOn(int $d, int $bits): float
    {
        $worth = 0.0;
        $seen = 0;
        foreach ($this->firsts->of[$d] as $firsts) {
            foreach ($firsts as $first) {
                $bit = $this->firsts->bit[$first];
                $worth += ($bits & $bit & ~$seen) !== 0 ? $this->firsts->worth[$first] : 0.0;
                $seen |= $bit;
            }
        }

        return $worth;
    }

    /** What the prices of firsts and repeats give back. */
    private function constant(): float
    {
        return $this->unmet(-1, 0) + array_sum(array_map(array_sum(...), $this->again));
    }

    /**
     * @param  array<int, float>  $price
     * @param  array<int, float>|null  $left
     */
    private function plate(int $d, array $price, float $fair, ?array $left = null, bool $isAll = false): DayPlate
    {
        $eater = $this->problem->eaters[$this->m];
        $weights = $this->problem->weights;
        $over = $eater->isHard ? 0.0 : $weights->over;
        $again = $this->again[$d] ?? [];
        $tomorrow = $this->again[$d + 1] ?? [];
        $candidates = [];
        foreach ($this->may[$d] as $i) {
            $offer = $this->offer[$i];
            if (isset($left[$offer]) && $this->grams[$i] > $left[$offer] + 1e-9 && !isset($this->locked[$d][$i])) {
                continue;
            }
            $worth =
                $this->gain[$d][$i] -
                $price[$offer] * $this->grams[$i] -
                ($again[$offer] ?? 0.0) -
                ($tomorrow[$offer] ?? 0.0);
            foreach ($this->firsts->of[$d][$i] as $first) {
                $worth += $this->first[$first];
            }
            $candidates[] = [
                $worth,
                $this->sodium[$d][$i],
                $this->problem->options[$i]->isLive ? 1 : 0,
                $i,
                isset($this->locked[$d][$i]),
                $offer,
            ];
        }

        return new DayPlate(
            $candidates,
            $this->room,
            $eater->liveGoal[$d],
            $weights->short + $fair,
            $over,
            $eater->allowance[$d],
            $this->limit[$d],
            $this->sets->holding,
            $this->sets->room,
            $isAll,
        );
    }

    private static function count(int $set): int
    {
        for ($count = 0; $set !== 0; $count++) {
            $set &= $set - 1;
        }

        return $count;
    }
}
