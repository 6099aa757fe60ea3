<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * One eater's week where each offer has a price: the best way to spend it, and a number that no way can pass.
 *
 * Eaters meet only in the stock. With a price on it each eats alone, and a week is a way through the days: what was eaten
 * the day before and which groups were met is all that a day has to know of those before it. Ways are lengthened day by
 * day; one is given up when even the most that the days to come can bring does not lift it to the best that is known. For
 * that most, variety and repeats have prices of their own (Lagrange), so that each day can be filled for itself.
 */
final class EaterWeek
{
    /** How many plates of a day and how many ways up to a day are followed. */
    private const PLATES = 160;

    private const WAYS = 160;

    /** Room for the groups of as many offers as a week may have. */
    private const GROUP_BITS = 41;

    private const EPS = 1e-7;

    /** How much less far the prices of variety and repeats are moved in each round. */
    private const SLOWER = 0.15;

    /** Work done so far: sets on plates and lengthened ways that were looked at. */
    private int $steps = 0;

    private readonly int $days;

    private readonly int $room;

    private readonly MealSets $sets;

    /** @var array<int, int> by option: the offer of which it is a size, and its group */
    private array $offer = [];

    /** @var array<int, int|null> */
    private array $group = [];

    /** @var array<int, float> by option: what is taken of the stock */
    private array $grams = [];

    /** @var array<int, float> by offer: what the eater could take of it in all */
    private array $most = [];

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

    /** @var array<int, float> by group: its price, from 0 to the weight of variety */
    private array $variety = [];

    /** @var array<int, array<int, float>> by day and offer: what is paid on it and on the day before, 0 to the weight of a repeat */
    private array $again = [];

    /** @param  list<int>  $groups  by option; -1 where nothing is thanked for */
    public function __construct(private readonly PlanningProblem $problem, private readonly int $m, array $groups)
    {
        $eater = $problem->eaters[$m];
        $weights = $problem->weights;
        $this->days = $problem->days;
        $this->room = $problem->perMeal * count($problem->meals);
        $this->sets = new MealSets($problem);
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
            $this->most[$i] = $option->offer === null ? $this->days * $option->portion[$m] : -INF;
            $this->group[] = $groups[$i] < 0 ? null : $groups[$i];
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
                    if ($this->group[$i] !== null) {
                        $this->variety[$this->group[$i]] = $weights->variety * 0.5;
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
        $missing = $met = 0;
        $used = [];
        $yesterday = 0;
        foreach ($plates as $d => $plate) {
            $live = $today = 0;
            $sodium = 0.0;
            foreach ($plate as $i) {
                $worth += $this->gain[$d][$i];
                $sodium += $this->sodium[$d][$i];
                $live += $this->problem->options[$i]->isLive ? 1 : 0;
                $today |= 1 << $this->offer[$i];
                $met |= $this->group[$i] === null ? 0 : 1 << $this->group[$i];
                $used[$this->offer[$i]] = ($used[$this->offer[$i]] ?? 0.0) + $this->grams[$i];
            }
            $short = max(0, $eater->liveGoal[$d] - $live);
            $missing += $short;
            $worth -= $eater->isHard ? 0.0 : $weights->over * max(0.0, $sodium - $eater->allowance[$d]);
            $worth -= $weights->repeat * self::count($today & $yesterday);
            $yesterday = $today;
        }

        return new PlannedEaterWeek(
            $plates,
            $worth + $weights->variety * self::count($met) - $weights->short * $missing,
            $missing,
            $used,
        );
    }

    /**
     * The most that a week can bring at these prices, each day filled for itself; the prices of variety and repeats are
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
        $bestVariety = $bestAgain = [];
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
                    if ($this->group[$i] !== null) {
                        $met[$this->group[$i]] = ($met[$this->group[$i]] ?? 0) + 1;
                    }
                    $eaten[$d][$this->offer[$i]] = true;
                }
                $missing += max(0, $this->problem->eaters[$this->m]->liveGoal[$d] - $live);
            }
            if ($value < $least) {
                [$least, $bestVariety, $bestAgain] = [$value, $this->variety, $this->again];
            }
            $pull = [];
            $norm = 0.0;
            foreach ($this->variety as $g => $now) {
                $pull[$g] = 1.0 - ($met[$g] ?? 0);
                $norm +=
                    ($now <= 0.0 && $pull[$g] < 0.0) || ($now >= $weights->variety && $pull[$g] > 0.0)
                        ? 0.0
                        : $pull[$g] ** 2;
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
            foreach ($pull as $g => $one) {
                $this->variety[$g] = max(0.0, min($weights->variety, $this->variety[$g] + $by * $one));
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
        [$this->variety, $this->again] = [$bestVariety, $bestAgain];

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
        $weights = $this->problem->weights;
        $mostPlates = max(12, (int) ($ease * self::PLATES));
        $mostWays = max(12, (int) ($ease * self::WAYS));
        $days = [];
        $top = [];
        $filled = [];
        for ($d = 0; $d < $this->days; $d++) {
            $filled[$d] = $this->plate($d, $price, $fair, $left);
            [$top[$d]] = $filled[$d]->best();
        }
        $ceiling = $this->constant() + array_sum($top);
        $bound = $reached;
        if ($ceiling <= $reached + self::EPS) {
            return [$reached, []];
        }
        foreach ($filled as $d => $plate) {
            [$near, $loss] = $plate->near($ceiling - $reached, $mostPlates);
            $this->steps += $plate->steps;
            $bound = $loss < $ceiling - $reached - self::EPS ? max($bound, $ceiling - $loss) : $bound;
            $rows = [];
            foreach ($near as [$worth, $options]) {
                $true = $worth;
                $boundary = 0.0;
                $offers = $groups = 0;
                $scarce = [];
                foreach ($options as $i) {
                    $offer = $this->offer[$i];
                    $next = $this->again[$d + 1][$offer] ?? 0.0;
                    $true += ($this->again[$d][$offer] ?? 0.0) + $next;
                    $boundary -= $next;
                    $offers |= 1 << $offer;
                    if ($this->group[$i] !== null) {
                        $true -= $this->variety[$this->group[$i]];
                        $groups |= 1 << $this->group[$i];
                    }
                    if (isset($left[$offer])) {
                        $scarce[$offer] = $this->grams[$i];
                    }
                }
                $rows[] = [$top[$d] - $worth, $true, $offers, $groups, $boundary, $options, $scarce];
            }
            $days[$d] = $rows;
        }
        $unmetAll = 0.0;
        foreach ($this->variety as $one) {
            $unmetAll += $weights->variety - $one;
        }
        $unmetOf = [0 => $unmetAll];
        // value, groups, offers of the day before, at most, way before, plate, taken of what is scarce
        $ways = [[[0.0, 0, 0, $ceiling, -1, -1, []]]];
        $ahead = array_sum($top);
        $again = array_sum(array_map(array_sum(...), $this->again));
        for ($d = 0; $d < $this->days; $d++) {
            $ahead -= $top[$d];
            $again -= array_sum($this->again[$d] ?? []);
            $next = [];
            foreach ($ways[$d] as $from => [$value, $met, $before, $atMost, , , $taken]) {
                foreach ($days[$d] as $at => [$loss, $true, $offers, $groups, $boundary, , $scarce]) {
                    if ($atMost - $loss <= $reached + self::EPS) {
                        break;
                    }
                    $this->steps++;
                    $now = $value + $true;
                    $new = $groups & ~$met;
                    if ($new !== 0) {
                        $now += $weights->variety * self::count($new);
                    }
                    $both = $offers & $before;
                    if ($both !== 0) {
                        $now -= $weights->repeat * self::count($both);
                    }
                    $all = $met | $groups;
                    $unmet = $unmetOf[$all] ??= $this->unmet($all);
                    $then = $now + $boundary + $ahead + $again + $unmet;
                    if ($then <= $reached + self::EPS) {
                        continue;
                    }
                    $key = ($at << self::GROUP_BITS) | $all;
                    if (isset($next[$key]) && $now <= $next[$key][0]) {
                        continue;
                    }
                    $sum = $taken;
                    foreach ($scarce as $offer => $grams) {
                        $sum[$offer] = ($sum[$offer] ?? 0.0) + $grams;
                        if ($sum[$offer] > ($left[$offer] ?? INF) + 1e-9) {
                            continue 2;
                        }
                    }
                    $next[$key] = [$now, $all, $offers, $then, $from, $at, $sum];
                }
            }
            if (count($next) > $mostWays) {
                uasort($next, static fn(array $one, array $other): int => $other[3] <=> $one[3]);
                $bound = max($bound, array_values($next)[$mostWays][3]);
                $next = array_slice($next, 0, $mostWays);
            }
            $ways[] = array_values($next);
        }
        $last = $ways[$this->days];
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

        return [min($bound, $ceiling), $weeks];
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

    /**
     * Of what is left the offers that the eater could use up.
     *
     * @param  array<int, float>  $left  by offer
     * @return array<int, float>
     */
    public function scarce(array $left): array
    {
        return array_map(
            static fn(float $grams): float => max(0.0, $grams),
            array_filter($left, fn(float $grams, int $i): bool => $grams < $this->most[$i], ARRAY_FILTER_USE_BOTH),
        );
    }

    private function unmet(int $met): float
    {
        $unmet = 0.0;
        foreach ($this->variety as $g => $one) {
            $unmet += ($met & (1 << $g)) === 0 ? $this->problem->weights->variety - $one : 0.0;
        }

        return $unmet;
    }

    /** What the prices of variety and repeats give back. */
    private function constant(): float
    {
        return $this->unmet(0) + array_sum(array_map(array_sum(...), $this->again));
    }

    /**
     * @param  array<int, float>  $price
     * @param  array<int, float>|null  $left
     */
    private function plate(int $d, array $price, float $fair, ?array $left = null): DayPlate
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
            if ($this->group[$i] !== null) {
                $worth += $this->variety[$this->group[$i]];
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
