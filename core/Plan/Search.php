<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Looks for a good week: cells are put down, taken away, exchanged and moved to another day or eater, first with a
 * readiness to lose a little that cools down, then only where something is gained. The same instance always gives the
 * same week.
 *
 * One eater's day is called a plate; that its offers can be shared out over the meals is kept by MealSets.
 */
final class Search
{
    /** Steps for each place on a plate, and at least and at most that many in all. */
    private const STEPS_PER_PLACE = 20;

    private const LEAST_STEPS = 1_000;

    private const MOST_STEPS = 24_000;

    /** What one is ready to lose at the beginning: at first a live serving, then less and less; and at the end. */
    private const HEATS = [100.0, 12.0, 12.0, 6.0];

    private const LOW_HEATS = [20.0, 6.0];

    private const COLD = 0.03;

    private const EPS = 1e-9;

    private int $days;

    private int $options;

    /** @var array<int, array<int, float>> by plate and offer: what a serving brings by itself */
    private array $gain = [];

    /** @var list<list<float>> by plate and offer, mg */
    private array $sodium = [];

    /** @var list<list<float>> by eater and offer */
    private array $portion = [];

    /** @var list<array<int, true>> by plate: the same, to look up */
    private array $isOffered = [];

    /** @var list<list<int>> by plate: offers that may stand on it */
    private array $may = [];

    /** @var list<int> by option: the offer of which it is a size */
    private array $offer = [];

    /** @var list<array<int, list<int>>> by plate and option: what counts once in the eater's week (Firsts) */
    private array $firsts = [];

    /** @var list<list<float>> by eater and first */
    private array $worthOfFirst = [];

    /** @var list<int> by offer: 1 where it is live */
    private array $live = [];

    /** @var list<list<int>> by offer: sets of meals that hold all it is suited to */
    private array $holding = [];

    /** @var list<int> by set of meals: what fits into it */
    private array $room = [];

    /** @var list<float> by plate: mg beyond which it costs, and beyond which nothing goes */
    private array $allowance = [];

    /** @var array<int, float> */
    private array $limit = [];

    /** @var list<int> by plate */
    private array $goal = [];

    /** @var array<int, bool> by plate */
    private array $isHard = [];

    /** @var array<int, array<int, bool>> by plate and offer: locked */
    private array $isLocked = [];

    // What stands on the plates now.

    /** @var array<int, array<int, bool>> by plate and offer */
    private array $on = [];

    /** @var array<int, array<int, int>> by plate and offer: the size of it that stands there */
    private array $size = [];

    /** @var array<int, int> by eater: live servings that are missing in all */
    private array $missing = [];

    /** @var array<int, array<int, int>> by plate: its offers */
    private array $list = [];

    /** @var array<int, float> by plate, mg */
    private array $eaten = [];

    /** @var array<int, int> by plate */
    private array $lively = [];

    /** @var array<int, array<int, int>> by plate and set of meals */
    private array $within = [];

    /** @var array<int, array<int, int>> by eater and first: servings that bring it */
    private array $met = [];

    /** @var array<int, array<int, int>> by offer: plates on which it stands */
    private array $where = [];

    /** @var array<int, float> by offer */
    private array $left = [];

    /** @param  int  $lot  where the row of numbers begins that chance is taken from: above 0, below 2^31 - 1 */
    public function __construct(private readonly PlanningProblem $problem, private int $lot)
    {
        $this->days = $problem->days;
        $this->options = count($problem->options);
        $sets = new MealSets($problem);
        $this->room = $sets->room;
        $this->holding = $sets->holding;
        foreach ($problem->options as $place => $option) {
            $this->offer[] = $problem->offerOf($place);
            $this->live[] = $option->isLive ? 1 : 0;
            $this->left[] = $option->stock;
            $this->where[] = [];
        }
        foreach ($problem->eaters as $m => $eater) {
            $this->portion[] = array_map(
                static fn(ServingOption $option): float => $option->portion[$m],
                $problem->options,
            );
            $firsts = new Firsts($problem, $m);
            array_push($this->firsts, ...$firsts->of);
            $this->worthOfFirst[] = $firsts->worth;
            $this->met[] = array_fill(0, count($firsts->worth), 0);
            $this->missing[] = array_sum($eater->liveGoal);
            for ($d = 0; $d < $this->days; $d++) {
                $this->assign($eater, $m, $d);
            }
        }
        foreach ($problem->before as $assignment) {
            $this->gain[$assignment->eater * $this->days + $assignment->day][$assignment->option] +=
                $problem->weights->keep;
        }
        foreach ($problem->locked as $assignment) {
            $p = $assignment->eater * $this->days + $assignment->day;
            $this->isLocked[$p][$assignment->option] = true;
            $this->put($p, $assignment->option);
            $this->limit[$p] = max($this->limit[$p], $this->eaten[$p]);
        }
        foreach ($problem->before as $assignment) {
            $p = $assignment->eater * $this->days + $assignment->day;
            if (
                !isset($this->size[$p][$this->offer[$assignment->option]]) &&
                isset($this->isOffered[$p][$assignment->option]) &&
                $this->fits($p, $assignment->option)
            ) {
                $this->put($p, $assignment->option);
            }
        }
    }

    /** @return list<array{int, int}> plate and option of every serving */
    public function run(): array
    {
        $this->fill();
        foreach (self::HEATS as $heat) {
            $this->anneal($heat, intdiv($this->steps(), count(self::HEATS)));
        }
        $this->climb();

        return $this->served();
    }

    /**
     * Goes on from a week that keeps to everything, at a heat at which most of it can stay.
     *
     * @param  list<array{int, int}>  $served  plate and option of every serving
     * @return list<array{int, int}>
     */
    public function goOn(array $served): array
    {
        $lists = array_fill(0, count($this->may), []);
        foreach ($served as [$p, $i]) {
            $lists[$p][] = $i;
        }
        $this->restore($lists);
        foreach (self::LOW_HEATS as $heat) {
            $this->anneal($heat, $this->steps());
        }
        $this->climb();

        return $this->served();
    }

    private function steps(): int
    {
        $places = array_sum(array_map(count(...), $this->may));

        return $places === 0 ? 0 : max(self::LEAST_STEPS, min(self::MOST_STEPS, self::STEPS_PER_PLACE * $places));
    }

    /** @return list<array{int, int}> */
    private function served(): array
    {
        $served = [];
        foreach ($this->list as $p => $options) {
            foreach ($options as $i) {
                $served[] = [$p, $i];
            }
        }

        return $served;
    }

    /** Cools down from a heat, and ends at the best week that was met on the way. */
    private function anneal(float $heat, int $steps): void
    {
        $best = $this->list;
        $value = $bestValue = 0.0;
        $plates = count($this->may);
        $cooling = (self::COLD / $heat) ** (1.0 / max(1, $steps));
        for ($step = 0; $step < $steps; $step++) {
            $heat *= $cooling;
            $p = $this->draw($plates);
            $may = $this->may[$p];
            if ($may === []) {
                continue;
            }
            $i = $may[$this->draw(count($may))];
            // What one is ready to lose in this step: - heat ln(u).
            $ready = $heat * -log(($this->draw(1_000_000) + 1) / 1_000_000.0);
            $value += $this->on[$p][$i] ? $this->tryMoving($p, $i, $ready) : $this->tryPutting($p, $i, $ready);
            if ($value > $bestValue + self::EPS) {
                $bestValue = $value;
                $best = $this->list;
            }
        }
        $this->restore($best);
    }

    private function assign(Eater $eater, int $m, int $d): void
    {
        $weights = $this->problem->weights;
        $gain = $sodium = $may = [];
        foreach ($this->problem->options as $i => $option) {
            $sodium[] = $option->sodium[$m][$d];
            $gain[] =
                $weights->urgency * $option->urgency($d) * (1.0 - $option->smallerBy($m)) -
                $weights->small * $option->smallerBy($m) -
                ($d === 0 && isset($this->problem->previous[$m][$this->offer[$i]]) ? $weights->repeat : 0.0) -
                ($weights->sodium * $option->sodium[$m][$d]) / $eater->target;
            if (
                $option->isFor[$m] &&
                $option->isServedOn($d) &&
                $option->meals !== [] &&
                $option->portion[$m] <= $this->problem->options[$this->offer[$i]]->stock + self::EPS &&
                $option->sodium[$m][$d] <= $eater->limit($d) + self::EPS
            ) {
                $may[] = $i;
            }
        }
        $this->gain[] = $gain;
        $this->sodium[] = $sodium;
        $this->may[] = $may;
        $this->isOffered[] = array_fill_keys($may, true);
        $this->allowance[] = $eater->allowance[$d];
        $this->limit[] = $eater->limit($d);
        $this->isHard[] = $eater->isHard;
        $this->goal[] = $eater->liveGoal[$d];
        $this->isLocked[] = array_fill(0, max(1, $this->options), false);
        $this->on[] = array_fill(0, max(1, $this->options), false);
        $this->list[] = [];
        $this->size[] = [];
        $this->eaten[] = 0.0;
        $this->lively[] = 0;
        $this->within[] = array_fill(0, count($this->room), 0);
    }

    /** Everything that gains something, the most gainful first. */
    private function fill(): void
    {
        do {
            $bestDelta = self::EPS;
            $bestAt = null;
            foreach ($this->may as $p => $may) {
                foreach ($may as $i) {
                    if (!$this->on[$p][$i] && $this->fits($p, $i)) {
                        $delta = $this->worth($p, $i);
                        if ($delta > $bestDelta) {
                            [$bestDelta, $bestAt] = [$delta, [$p, $i]];
                        }
                    }
                }
            }
            if ($bestAt !== null) {
                $this->put(...$bestAt);
            }
        } while ($bestAt !== null);
    }

    /**
     * Puts something on a plate, in the place of another or from another plate; where it would lose too much, not at
     * all.
     */
    private function tryPutting(int $p, int $i, float $ready): float
    {
        $list = $this->list[$p];
        $count = count($list);
        $there = $count === 0 ? -1 : $list[$this->draw($count)];
        $offer = $this->offer[$i];
        if (isset($this->size[$p][$offer])) {
            // Another size of it stands there.
            return $this->change([[$p, $this->size[$p][$offer]]], [[$p, $i]], $ready);
        }
        if ($this->portion[intdiv($p, $this->days)][$i] <= $this->left[$offer] + self::EPS) {
            return $there === -1 || ($this->fits($p, $i) && $this->draw(2) === 0)
                ? $this->change([], [[$p, $i]], $ready)
                : $this->change([[$p, $there]], [[$p, $i]], $ready);
        }
        // Nothing of it is left: from one of the plates on which it stands, and something else there in its place.
        $holders = $this->where[$offer];
        if ($holders === []) {
            return 0.0;
        }
        $q = $holders[$this->draw(count($holders))];
        $held = $this->size[$q][$offer];
        $way = $this->draw(4);
        if ($way === 0) {
            return $this->change([[$q, $held]], [[$p, $i]], $ready);
        }
        if ($way === 1 && $there !== -1) {
            return $this->change([[$q, $held], [$p, $there]], [[$p, $i], [$q, $there]], $ready);
        }
        $may = $this->may[$q];
        if ($may === []) {
            // Only what is locked stands there.
            return 0.0;
        }
        $k = $may[$this->draw(count($may))];
        if ($this->on[$q][$k]) {
            return 0.0;
        }

        return $way === 2 || $there === -1
            ? $this->change([[$q, $held]], [[$p, $i], [$q, $k]], $ready)
            : $this->change([[$q, $held], [$p, $there]], [[$p, $i], [$q, $k]], $ready);
    }

    /** Takes something away, or moves it to another plate. */
    private function tryMoving(int $p, int $i, float $ready): float
    {
        if ($this->isLocked[$p][$i]) {
            return 0.0;
        }
        if ($this->draw(3) === 0) {
            return $this->change([[$p, $i]], [], $ready);
        }
        $q = $this->draw(count($this->may));
        if ($this->on[$q][$i] || $q === $p) {
            return 0.0;
        }
        $there = $this->list[$q] === [] ? -1 : $this->list[$q][$this->draw(count($this->list[$q]))];

        return $there === -1 || $this->draw(2) === 0
            ? $this->change([[$p, $i]], [[$q, $i]], $ready)
            : $this->change([[$p, $i], [$q, $there]], [[$q, $i], [$p, $there]], $ready);
    }

    /**
     * Takes some things away and puts others down, or leaves all of it as it was.
     *
     * @param  list<array{int, int}>  $takes  plate and offer
     * @param  list<array{int, int}>  $puts
     * @return float what it gained
     */
    private function change(array $takes, array $puts, float $ready): float
    {
        $delta = 0.0;
        foreach ($takes as [$p, $i]) {
            if ($this->isLocked[$p][$i]) {
                return 0.0;
            }
        }
        foreach ($takes as [$p, $i]) {
            $this->take($p, $i);
            $delta -= $this->worth($p, $i);
        }
        $done = 0;
        foreach ($puts as [$p, $i]) {
            if ($this->on[$p][$i] || !isset($this->isOffered[$p][$i]) || !$this->fits($p, $i)) {
                break;
            }
            $delta += $this->worth($p, $i);
            $this->put($p, $i);
            $done++;
        }
        if ($done === count($puts) && $delta >= -$ready) {
            return $delta;
        }
        for ($at = $done - 1; $at >= 0; $at--) {
            $this->take(...$puts[$at]);
        }
        for ($at = count($takes) - 1; $at >= 0; $at--) {
            $this->put(...$takes[$at]);
        }

        return 0.0;
    }

    /** Until nothing that is put down, taken away or exchanged gains anything. */
    private function climb(): void
    {
        do {
            $gained = 0.0;
            $this->fill();
            foreach ($this->may as $p => $may) {
                foreach ($this->list[$p] as $i) {
                    if (!$this->on[$p][$i] || $this->isLocked[$p][$i]) {
                        continue;
                    }
                    $gained += $this->bestInsteadOf($p, $i);
                }
            }
        } while ($gained > self::EPS);
    }

    /** Something else on the same plate, the same on another, or nothing: whatever gains most. */
    private function bestInsteadOf(int $p, int $i): float
    {
        $this->take($p, $i);
        $lost = $this->worth($p, $i);
        [$bestGain, $at] = [$lost < -self::EPS ? -$lost : 0.0, $lost < -self::EPS ? [] : [$p, $i]];
        $tries = array_map(static fn(int $j): array => [$p, $j], $this->may[$p]);
        foreach (array_keys($this->may) as $q) {
            $tries[] = [$q, $i];
        }
        foreach ($tries as [$q, $j]) {
            if (
                ($q !== $p || $j !== $i) &&
                !$this->on[$q][$j] &&
                isset($this->isOffered[$q][$j]) &&
                $this->fits($q, $j)
            ) {
                $gain = $this->worth($q, $j) - $lost;
                if ($gain > $bestGain + self::EPS) {
                    [$bestGain, $at] = [$gain, [$q, $j]];
                }
            }
        }
        if ($at !== []) {
            $this->put(...$at);
        }

        return $bestGain;
    }

    private function fits(int $p, int $i): bool
    {
        if (
            isset($this->size[$p][$this->offer[$i]]) ||
            $this->portion[intdiv($p, $this->days)][$i] > $this->left[$this->offer[$i]] + self::EPS ||
            $this->eaten[$p] + $this->sodium[$p][$i] > $this->limit[$p] + self::EPS
        ) {
            return false;
        }
        foreach ($this->holding[$i] as $set) {
            if ($this->within[$p][$set] >= $this->room[$set]) {
                return false;
            }
        }

        return true;
    }

    /** What putting something on a plate brings. */
    private function worth(int $p, int $i): float
    {
        $weights = $this->problem->weights;
        $worth = $this->gain[$p][$i];
        if ($this->live[$i] === 1 && $this->lively[$p] < $this->goal[$p]) {
            $worth += $weights->short + $this->fairer(intdiv($p, $this->days));
        }
        if (!$this->isHard[$p]) {
            $over = $this->eaten[$p] - $this->allowance[$p];
            $worth -= $weights->over * (max(0.0, $over + $this->sodium[$p][$i]) - max(0.0, $over));
        }
        $day = $p % $this->days;
        $offer = $this->offer[$i];
        if ($day > 0 && isset($this->size[$p - 1][$offer])) {
            $worth -= $weights->repeat;
        }
        if ($day < $this->days - 1 && isset($this->size[$p + 1][$offer])) {
            $worth -= $weights->repeat;
        }

        $m = intdiv($p, $this->days);
        foreach ($this->firsts[$p][$i] as $first) {
            $worth += $this->met[$m][$first] === 0 ? $this->worthOfFirst[$m][$first] : 0.0;
        }

        return $worth;
    }

    /** What one live serving more for an eater is worth because nobody is to go short far more than others. */
    private function fairer(int $m): float
    {
        if ($this->problem->weights->fair <= 0.0) {
            return 0.0;
        }
        $others = 0;
        foreach ($this->missing as $eater => $missing) {
            $others = $eater !== $m && $missing > $others ? $missing : $others;
        }

        return $this->problem->weights->fair *
            (max($others, $this->missing[$m]) - max($others, $this->missing[$m] - 1));
    }

    private function put(int $p, int $i): void
    {
        $offer = $this->offer[$i];
        $this->on[$p][$i] = true;
        $this->list[$p][] = $i;
        $this->size[$p][$offer] = $i;
        $this->where[$offer][] = $p;
        $this->eaten[$p] += $this->sodium[$p][$i];
        $m = intdiv($p, $this->days);
        $this->missing[$m] -= $this->live[$i] === 1 && $this->lively[$p] < $this->goal[$p] ? 1 : 0;
        $this->lively[$p] += $this->live[$i];
        foreach ($this->firsts[$p][$i] as $first) {
            $this->met[$m][$first]++;
        }
        $this->left[$offer] -= $this->portion[$m][$i];
        foreach ($this->holding[$i] as $set) {
            $this->within[$p][$set]++;
        }
    }

    private function take(int $p, int $i): void
    {
        $offer = $this->offer[$i];
        $this->on[$p][$i] = false;
        unset($this->size[$p][$offer]);
        $at = array_search($i, $this->list[$p], true);
        $last = count($this->list[$p]) - 1;
        if ($at !== $last) {
            $this->list[$p][(int) $at] = $this->list[$p][$last];
        }
        array_pop($this->list[$p]);
        $at = array_search($p, $this->where[$offer], true);
        $last = count($this->where[$offer]) - 1;
        if ($at !== $last) {
            $this->where[$offer][(int) $at] = $this->where[$offer][$last];
        }
        array_pop($this->where[$offer]);
        $this->eaten[$p] -= $this->sodium[$p][$i];
        $m = intdiv($p, $this->days);
        $this->lively[$p] -= $this->live[$i];
        $this->missing[$m] += $this->live[$i] === 1 && $this->lively[$p] < $this->goal[$p] ? 1 : 0;
        foreach ($this->firsts[$p][$i] as $first) {
            $this->met[$m][$first]--;
        }
        $this->left[$offer] += $this->portion[$m][$i];
        foreach ($this->holding[$i] as $set) {
            $this->within[$p][$set]--;
        }
    }

    /** @param  array<int, array<int, int>>  $lists  by plate; those that are not named stay */
    private function restore(array $lists): void
    {
        foreach (array_keys($lists) as $p) {
            foreach ($this->list[$p] as $i) {
                $this->take($p, $i);
            }
        }
        foreach ($lists as $p => $then) {
            foreach ($then as $i) {
                $this->put($p, $i);
            }
        }
    }

    /** A number from 0 below another, always the same ones in a row (Park and Miller's generator, 48271). */
    private function draw(int $below): int
    {
        $this->lot = ($this->lot * 48_271) % 2_147_483_647;

        return $this->lot % $below;
    }
}
