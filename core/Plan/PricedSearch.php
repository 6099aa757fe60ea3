<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Closure;

/**
 * Brings a week near the best there is, and tells how near.
 *
 * Each offer gets a price (StockPrices), and each eater looks for the best weeks at those prices (EaterWeek). The weeks that
 * are found on the way are put together to plans that keep to the stock. Then some eaters choose again from what the
 * others leave, as long as that betters the plan. Work is counted in steps and not in seconds, so that the same week always
 * gives the same plan.
 */
final class PricedSearch
{
    private const EPS = 1e-7;

    /** Rounds of prices with each day for itself, with whole weeks, and how often the latter are put together. */
    private const DAY_ROUNDS = 30;

    private const WEEK_ROUNDS = 8;

    private const CYCLES = 4;

    private const CYCLES_WITH_MISSING = 2;

    /** A plan is near enough when no other is better by this much, or this share of its objective. */
    private const NEAR = 0.15;

    private const NEAR_SHARE = 0.0003;

    /** By what share of a missing serving a plan may seem short of the best before missing servings are looked at. */
    private const DOUBT = 0.03;

    /** Known weeks of an eater that are put together with others', and how many beginnings of plans are tried. */
    private const COMBINED = 150;

    private const BEGINNINGS = 60_000;

    /** How often eaters choose again, how often that may bring nothing, and how many choose at a time. */
    private const EXCHANGES = 12;

    private const IDLE = 4;

    private const LEAST_TRIES = 30;

    private const TRIES_PER_EATER = 8;

    private const MOST_AT_ONCE = 4;

    /** What a plan is ready to lose while eaters choose again, at first; and an eater who chooses before others do. */
    private const HEAT = 1.5;

    private const READY = 4.0;

    /** How many ways are followed, against a search that is to find all of them. */
    private const EASE_OF_PRICES = 0.5;

    private const EASE_OF_LOCAL_PRICES = 0.15;

    private const EASE_OF_CHOICE = 0.3;

    /**
     * Steps for each pair of places (an offer on a plate), and at least and at most. Where offers come in several sizes many
     * plans are nearly the same, and the last of the steps bring least.
     */
    private const STEPS_PER_PAIR = 60;

    private const STEPS_PER_PAIR_IN_SIZES = 25;

    private const LEAST_STEPS = 400_000;

    private const MOST_STEPS = 10_000_000;

    /** @var list<EaterWeek> */
    private array $eaters = [];

    /** @var array<int, PlannedEaterWeek> the plan as it is */
    private array $now = [];

    private float $total;

    /** @var list<array<string, PlannedEaterWeek>> by eater: weeks that were met */
    private array $known = [];

    private StockPrices $prices;

    private float $bound = INF;

    private int $beginnings = 0;

    private readonly int $budget;

    private bool $isStopped = false;

    /**
     * @param  int  $lot  where the row of numbers begins that chance is taken from: above 0, below 2^31 - 1
     * @param  (Closure(float, float): bool)|null  $goesOn  told the objective so far and its bound from time to time; false
     *     stops the search
     */
    public function __construct(
        private readonly PlanningProblem $problem,
        private int $lot,
        private readonly ?Closure $goesOn = null,
    ) {
        $places = 0;
        foreach (array_keys($problem->eaters) as $m) {
            $this->eaters[] = new EaterWeek($problem, $m);
            $this->known[] = [];
            $places += $this->eaters[$m]->places();
        }
        $this->prices = new StockPrices($problem->weights, $problem);
        $isInSizes =
            array_filter($problem->options, static fn(ServingOption $one): bool => $one->offer !== null) !== [];
        $perPair = $isInSizes ? self::STEPS_PER_PAIR_IN_SIZES : self::STEPS_PER_PAIR;
        $this->budget = max(self::LEAST_STEPS, min(self::MOST_STEPS, $perPair * $places * $places));
    }

    /** @return list<array{int, int}> plate (one eater's day) and option of every serving of the week that was found */
    public function run(): array
    {
        $search = new Search($this->problem, $this->lot);
        $this->now = $this->read($search->run());
        $this->total = $this->totalOf($this->now);
        $this->approach($this->missing() === 0 ? self::CYCLES : self::CYCLES_WITH_MISSING);
        $this->tellMissingApart();
        $idle = 0;
        for ($time = 0; $time < self::EXCHANGES && $idle < self::IDLE && !$this->isDone(); $time++) {
            $before = $this->total;
            $this->exchange(self::HEAT * (1 + $idle));
            $this->combine(array_keys($this->eaters));
            if (!$this->isDone()) {
                $this->take($this->read($search->goOn($this->served())), 0.0);
                $this->combine(array_keys($this->eaters));
            }
            $idle = $this->total > $before + self::EPS ? 0 : $idle + 1;
        }

        return $this->served();
    }

    /**
     * @param  list<array{int, int}>  $served  plate and option of every serving
     * @return array<int, PlannedEaterWeek>
     */
    private function read(array $served): array
    {
        $plates = array_fill(0, count($this->eaters), array_fill(0, $this->problem->days, []));
        foreach ($served as [$p, $i]) {
            $plates[intdiv($p, $this->problem->days)][$p % $this->problem->days][] = $i;
        }

        return array_map($this->know(...), array_keys($plates), $plates);
    }

    /** @return list<array{int, int}> */
    private function served(): array
    {
        $served = [];
        foreach ($this->now as $m => $week) {
            foreach ($week->plates as $d => $plate) {
                foreach ($plate as $i) {
                    $served[] = [$m * $this->problem->days + $d, $i];
                }
            }
        }

        return $served;
    }

    /** A number that no week can pass. */
    public function bound(): float
    {
        return $this->bound;
    }

    private function isDone(): bool
    {
        return $this->isStopped ||
            $this->bound - $this->total <= max(self::NEAR, self::NEAR_SHARE * abs($this->total)) ||
            array_sum(array_map(static fn(EaterWeek $eater): int => $eater->steps(), $this->eaters)) > $this->budget;
    }

    private function tell(): void
    {
        if ($this->goesOn !== null && !($this->goesOn)($this->total, max($this->bound, $this->total))) {
            $this->isStopped = true;
        }
    }

    /** @param  list<list<int>>  $plates */
    private function know(int $m, array $plates): PlannedEaterWeek
    {
        $key = json_encode($plates, JSON_THROW_ON_ERROR);

        return $this->known[$m][$key] ??= $this->eaters[$m]->week($plates);
    }

    /** @param  array<int, PlannedEaterWeek>  $weeks */
    private function totalOf(array $weeks): float
    {
        $total = 0.0;
        $most = 0;
        foreach ($weeks as $week) {
            $total += $week->worth;
            $most = max($most, $week->missing);
        }

        return $total - $this->problem->weights->fair * $most;
    }

    /** Moves the prices, and puts together what was found. */
    private function approach(int $cycles): void
    {
        $this->priceDays();
        for ($cycle = 0; $cycle < $cycles && !$this->isDone(); $cycle++) {
            $this->priceWeeks($cycle * self::WEEK_ROUNDS);
            $this->combine(array_keys($this->eaters));
            $this->tell();
        }
    }

    /** Prices with each day for itself: rough, and quick. */
    private function priceDays(): void
    {
        for ($round = 0; $round < self::DAY_ROUNDS && !$this->isDone(); $round++) {
            $value = $this->prices->worthOfStock();
            $used = $missing = [];
            foreach ($this->eaters as $m => $eater) {
                $fair = $this->prices->missing($m);
                $reached = $this->now[$m]->priced($this->prices->of, $fair);
                [$least, $takes, $missing[$m]] = $eater->relaxed($this->prices->of, $fair, $reached, 2);
                $value += $least;
                foreach ($takes as $offer => $grams) {
                    $used[$offer] = ($used[$offer] ?? 0.0) + $grams;
                }
            }
            $this->bound = min($this->bound, $value);
            if (!$this->prices->move($used, $missing, $value - $this->total, 1.0 / (1.0 + 0.03 * $round))) {
                return;
            }
        }
    }

    /** Prices with whole weeks. */
    private function priceWeeks(int $before): void
    {
        $best = clone $this->prices;
        $lowest = INF;
        for ($round = $before; $round < $before + self::WEEK_ROUNDS && !$this->isDone(); $round++) {
            $value = $this->prices->worthOfStock();
            $used = $missing = [];
            foreach ($this->eaters as $m => $eater) {
                [$most, $week] = $this->bestAtPrices($m);
                $value += $most;
                $missing[$m] = $week->missing;
                foreach ($week->used as $offer => $grams) {
                    $used[$offer] = ($used[$offer] ?? 0.0) + $grams;
                }
            }
            if ($value < $lowest) {
                [$lowest, $best] = [$value, clone $this->prices];
            }
            $this->bound = min($this->bound, $value);
            if (!$this->prices->move($used, $missing, $value - $this->total, 1.0 / (1.0 + 0.12 * $round))) {
                break;
            }
        }
        $this->prices = $best;
    }

    /** @return array{float, PlannedEaterWeek} what no week of an eater can pass at the prices, and the best that is known */
    private function bestAtPrices(int $m): array
    {
        $fair = $this->prices->missing($m);
        $reached = -INF;
        $best = $this->now[$m];
        foreach ($this->known[$m] as $week) {
            $priced = $week->priced($this->prices->of, $fair);
            if ($priced > $reached) {
                [$reached, $best] = [$priced, $week];
            }
        }
        $this->eaters[$m]->relaxed($this->prices->of, $fair, $reached, 3);
        [$most, $weeks] = $this->eaters[$m]->best($this->prices->of, $fair, $reached, null, self::EASE_OF_PRICES);
        foreach ($weeks as $at => $plates) {
            $week = $this->know($m, $plates);
            $best = $at === 0 ? $week : $best;
        }

        return [$most, $best];
    }

    /**
     * Prices are fit for half a serving too, so that the number says little where servings are missing. A plan has either
     * fewer of them missing than this one, or at least as many: each case gets prices, and a number, of its own.
     */
    private function tellMissingApart(): void
    {
        for ($time = 0; $time < 3 && !$this->isDone(); $time++) {
            $missing = $this->missing();
            if ($missing === 0 || $this->bound - $this->total < self::DOUBT * $this->problem->weights->short) {
                return;
            }
            [$prices, $bound] = [$this->prices, $this->bound];
            [$this->prices, $this->bound] = [$prices->forFewer($missing), INF];
            $this->approach(self::CYCLES);
            $this->exchange(self::HEAT);
            $fewer = $this->bound;
            if ($this->missing() < $missing) {
                $this->bound = $bound;

                continue;
            }
            [$this->prices, $this->bound] = [$prices->forAsMany($missing), INF];
            $this->approach(self::CYCLES);
            $this->bound = max($this->total, min($bound, max($fewer, $this->bound)));
            if ($this->missing() === $missing) {
                return;
            }
            $this->prices = $prices;
        }
    }

    private function missing(): int
    {
        return array_sum(array_map(static fn(PlannedEaterWeek $week): int => $week->missing, $this->now));
    }

    /**
     * The best plan that the known weeks of these eaters make together while the others' stay.
     *
     * @param  list<int>  $some  eaters
     */
    private function combine(array $some): void
    {
        $left = $this->leftTo($some);
        $ceiling = $this->prices->worthOfStock();
        $weeks = [];
        foreach ($this->now as $m => $now) {
            $fair = $this->prices->missing($m);
            if (!in_array($m, $some, true)) {
                $ceiling += $now->priced($this->prices->of, $fair);

                continue;
            }
            $rows = [];
            foreach ($this->known[$m] as $week) {
                if ($week->fits($left)) {
                    $rows[] = [$week->priced($this->prices->of, $fair), $week];
                }
            }
            usort($rows, static fn(array $one, array $other): int => $other[0] <=> $one[0]);
            $top = $rows[0][0] ?? 0.0;
            $ceiling += $top;
            $weeks[$m] = array_map(
                static fn(array $row): array => [$top - $row[0], $row[1]],
                array_slice($rows, 0, self::COMBINED),
            );
        }
        uasort($weeks, static fn(array $one, array $other): int => count($one) <=> count($other));
        $this->beginnings = self::BEGINNINGS;
        $this->choose(array_keys($weeks), $weeks, $ceiling, $left, $this->now);
    }

    /**
     * @param  list<int>  $eaters  who have not chosen yet
     * @param  array<int, list<array{float, PlannedEaterWeek}>>  $weeks  by eater, with what each loses against the best
     * @param  float  $atMost  what a plan with the weeks that are chosen can come to
     * @param  array<int, float>  $left
     * @param  array<int, PlannedEaterWeek>  $chosen
     */
    private function choose(array $eaters, array $weeks, float $atMost, array $left, array $chosen): void
    {
        $m = array_shift($eaters);
        if ($m === null) {
            $this->take($chosen, 0.0);

            return;
        }
        foreach ($weeks[$m] as [$loss, $week]) {
            if ($atMost - $loss <= $this->total + self::EPS || $this->beginnings-- <= 0) {
                return;
            }
            if ($week->fits($left)) {
                $chosen[$m] = $week;
                $this->choose($eaters, $weeks, $atMost - $loss, $week->takenFrom($left), $chosen);
            }
        }
    }

    /**
     * Makes a plan the one that is bettered further, unless it loses more than one is ready to.
     *
     * @param  array<int, PlannedEaterWeek>  $weeks
     */
    private function take(array $weeks, float $ready): void
    {
        $total = $this->totalOf($weeks);
        if ($total > $this->total - $ready) {
            [$this->now, $this->total] = [$weeks, $total];
        }
    }

    /** Eaters choose again, first with a readiness to lose a little; ends at the best plan that was met. */
    private function exchange(float $hottest): void
    {
        $count = count($this->eaters);
        $best = $this->now;
        $bestTotal = $this->total;
        $tries = max(self::LEAST_TRIES, self::TRIES_PER_EATER * $count);
        for ($try = 0; $try < $tries && !$this->isDone(); $try++) {
            $size = min($count, 1 + $this->draw(self::MOST_AT_ONCE));
            $some = [];
            while (count($some) < $size) {
                $some[$this->draw($count)] = true;
            }
            $some = array_keys($some);
            if ($size > 1 && $this->draw(2) === 0) {
                $this->pricesFor($some, 3);
                $this->combine($some);
            } else {
                $heat = max(0.0, $hottest * (1.0 - (1.25 * $try) / $tries));
                $this->chooseAgain($some, $heat * -log(($this->draw(100_000) + 1) / 100_000.0) + self::EPS);
            }
            if ($this->total > $bestTotal + self::EPS) {
                [$best, $bestTotal] = [$this->now, $this->total];
            }
        }
        [$this->now, $this->total] = [$best, $bestTotal];
        $this->tell();
    }

    /**
     * One after another: at prices for what each takes away from those who come after, the last without.
     *
     * @param  list<int>  $some  eaters
     */
    private function chooseAgain(array $some, float $ready): void
    {
        $left = $this->leftTo($some);
        $weeks = $this->now;
        $last = count($some) - 1;
        $local = $last === 0 ? $this->prices->of : $this->pricesFor($some, 1 + $this->draw(4));
        foreach ($some as $at => $m) {
            $scarce = $this->eaters[$m]->scarce($left);
            if ($at < $last) {
                $price = array_map(fn(float $one): float => $one * (0.7 + (0.6 * $this->draw(1000)) / 1000.0), $local);
                $fair = $this->prices->missing($m);
                $reached = $this->now[$m]->priced($price, $fair) - self::READY;
            } else {
                // What is left over is worth nothing to anyone; prices only help to share it out over the days.
                $price = $this->draw(2) === 0 ? $this->prices->of : array_fill(0, count($local), 0.0);
                $fair = $this->prices->fair[$m];
                $reached = $this->now[$m]->priced($price, $fair) - $ready;
                foreach ($scarce as $offer => $grams) {
                    $reached -= $price[$offer] * ($grams - ($this->now[$m]->used[$offer] ?? 0.0));
                }
                foreach ($some as $other) {
                    $reached -= $weeks[$other]->worth - $this->now[$other]->worth;
                }
            }
            [, $found] = $this->eaters[$m]->best($price, $fair, $reached, $scarce, self::EASE_OF_CHOICE);
            if ($found === []) {
                return;
            }
            $weeks[$m] =
                $at < $last
                    ? $this->know($m, $found[$this->draw(min(4, count($found)))])
                    : $this->worthiest($m, $found, $weeks);
            $left = $weeks[$m]->takenFrom($left);
        }
        $this->take($weeks, $ready);
    }

    /**
     * Of an eater's weeks the one with which the plan comes to most.
     *
     * @param  list<list<list<int>>>  $found
     * @param  array<int, PlannedEaterWeek>  $weeks  of all eaters
     */
    private function worthiest(int $m, array $found, array $weeks): PlannedEaterWeek
    {
        $best = $weeks[$m];
        $most = -INF;
        foreach ($found as $plates) {
            $weeks[$m] = $this->know($m, $plates);
            $total = $this->totalOf($weeks);
            if ($total > $most) {
                [$best, $most] = [$weeks[$m], $total];
            }
        }

        return $best;
    }

    /**
     * What the others leave.
     *
     * @param  list<int>  $some  eaters who choose again
     * @return array<int, float> by offer
     */
    private function leftTo(array $some): array
    {
        $left = $this->prices->stock;
        foreach ($this->now as $m => $week) {
            if (!in_array($m, $some, true)) {
                $left = $week->takenFrom($left);
            }
        }

        return $left;
    }

    /**
     * Prices at which these eaters share what the others leave.
     *
     * @param  list<int>  $some
     * @return array<int, float> by offer
     */
    private function pricesFor(array $some, int $rounds): array
    {
        $left = $this->leftTo($some);
        $prices = clone $this->prices;
        for ($round = 0; $round < $rounds; $round++) {
            $excess = 0.0;
            $used = [];
            foreach ($some as $m) {
                $fair = $prices->missing($m);
                $now = $this->now[$m]->priced($prices->of, $fair);
                $scarce = $this->eaters[$m]->scarce($left);
                [$most, $weeks] = $this->eaters[$m]->best(
                    $prices->of,
                    $fair,
                    $now,
                    $scarce,
                    self::EASE_OF_LOCAL_PRICES,
                );
                $excess += $most - $now;
                $found = array_map(fn(array $plates): PlannedEaterWeek => $this->know($m, $plates), $weeks);
                foreach (($found[0] ?? $this->now[$m])->used as $offer => $grams) {
                    $used[$offer] = ($used[$offer] ?? 0.0) + $grams;
                }
            }
            if (!$prices->moveFor($used, $left, max(0.5, $excess))) {
                break;
            }
        }

        return $prices->of;
    }

    /** A number from 0 below another, always the same ones in a row (Park and Miller's generator, 48271). */
    private function draw(int $below): int
    {
        $this->lot = ($this->lot * 48_271) % 2_147_483_647;

        return $this->lot % $below;
    }
}
