<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Closure;

/**
 * Brings a week near the best there is, and tells how near.
 *
 * Each offer gets a price (StockPrices), and each eater looks for the best weeks at those prices (EaterWeek). What is found is
 * mixed (WeekMix), which gives better prices, until no week is missing from the mixture. Whole weeks are made of it (Dive), and
 * then some eaters choose again from what the others leave, as long as that betters the plan. Work is counted in steps and not
 * in seconds, so that the same week always gives the same plan.
 */
final class PricedSearch
{
    private const EPS = 1e-7;

    /** Rounds of prices: with each day for itself, with whole weeks by what is taken too much, and by the mixture. */
    private const DAY_ROUNDS = 30;

    private const STEEP_ROUNDS = 8;

    /** Rounds in a row that found no new week, after which steps by what is taken too much are over. */
    private const STALE = 2;

    private const MIX_ROUNDS = 25;

    private const MIX_ROUNDS_WITH_MISSING = 12;

    /** How far prices go towards those of the mixture at first, and at least; farther where that helped, less far elsewhere. */
    private const SHARE = 0.5;

    private const LEAST_SHARE = 0.1;

    private const FARTHER = 1.3;

    private const LESS_FAR = 0.6;

    /** How many ways are followed for prices, and before a mixture is held to be as good as any; 1 is to find all. */
    private const EASE = 0.25;

    private const EASE_OF_LAST = 0.5;

    /** A mixture is as good as any when prices allow no more than this besides. */
    private const CLOSE = 0.05;

    /** A plan is near enough when no other is better by this much, or this share of what a week comes to. */
    private const NEAR = 0.01;

    private const NEAR_SHARE = 0.0001;

    /** Shares of what a week comes to for which one does not look at all any more, and not long. */
    private const VERY_LITTLE = 0.002;

    private const LITTLE = 0.005;

    /** By what share of a missing serving a plan may seem short of the best before missing servings are looked at. */
    private const DOUBT = 0.03;

    /** Known weeks of an eater that are put together with others', and how many pairs are looked at for it. */
    private const COMBINED = 150;

    private const LOOKS = 100_000;

    /** The same for all weeks that lose little; the pairs also where little can be gained. */
    private const NEAR_WEEKS = 20_000;

    private const NEAR_LOOKS = 1_500_000;

    private const NEAR_LOOKS_FOR_LITTLE = 500_000;

    /** What a week may lose of all that a better plan may lose, one after the other. */
    private const NEAR_PARTS = [0.0, 0.01, 0.03, 0.06, 0.1, 0.17, 0.3, 0.55, 1.0];

    /** What a plan may be short of the best, as a share of what a week comes to, where such weeks are put together. */
    private const JOINED_SHARE = 0.1;

    /** How many times more looks must be left for the next of them. */
    private const MORE_LOOKS = 3;

    /** Rounds in which each day's prices of firsts and repeats are moved before. */
    private const ROUNDS_OF_NEAR = 20;

    /** How often eaters choose again, how often that may bring nothing, and how many choose at a time. */
    private const EXCHANGES = 12;

    private const IDLE = 2;

    private const LEAST_TRIES = 30;

    private const TRIES_PER_EATER = 8;

    /** Tries in a row that met no new week. */
    private const STALE_TRIES = 6;

    private const MOST_AT_ONCE = 4;

    /** What a plan is ready to lose while eaters choose again, at first, and how soon no more. */
    private const HEAT = 1.5;

    private const COOLS = 1.25;

    /** Steps for a place (an offer that may be on a plate), times the root of how many there are; and at least and at most. */
    private const STEPS = 630;

    /** The part of them that goes into prices at most. */
    private const PRICING = 0.5;

    /** And the part that goes into each time in which eaters choose again. */
    private const EXCHANGED = 0.12;

    private const LEAST_STEPS = 400_000;

    private const MOST_STEPS = 10_000_000;

    private readonly KnownWeeks $known;

    private readonly Dive $dive;

    /** @var array<int, PlannedEaterWeek> the plan as it is */
    private array $now = [];

    private float $total;

    private StockPrices $prices;

    private float $bound = INF;

    /** What no mixture of weeks seems to pass; the bound may be far above it where not all ways were followed. */
    private float $mostMixed = INF;

    /** What no plan comes to in which fewer live servings are missing than the prices are for; INF where these are for all. */
    private float $fewer = INF;

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
        $this->known = new KnownWeeks($problem);
        $this->dive = new Dive($this->known);
        $this->prices = new StockPrices($problem->weights, $problem);
        $this->budget = max(
            self::LEAST_STEPS,
            min(self::MOST_STEPS, (int) (self::STEPS * $this->known->places() ** 1.5)),
        );
    }

    /** @return list<array{int, int}> plate (one eater's day) and option of every serving of the week that was found */
    public function run(): array
    {
        $search = new Search($this->problem, $this->lot);
        $this->now = $this->read($search->run());
        $this->total = $this->totalOf($this->now);
        $this->approach($this->missing() === 0 ? self::MIX_ROUNDS : self::MIX_ROUNDS_WITH_MISSING);
        $prices = $this->prices;
        $this->tellMissingApart();
        $this->diveFrom($this->everybody(), $prices, 0.0, static fn(int $below): int => 0);
        $this->combine();
        $near =
            $this->fewer < $this->total && $this->boundAt($this->prices) < $this->boundAt($prices)
                ? $this->prices
                : $prices;
        $this->join($near);
        $idle = 0;
        for ($time = 0; $time < self::EXCHANGES && $idle < $this->patience() && !$this->isDone(); $time++) {
            $before = $this->total;
            $this->exchange($prices, self::HEAT * (1 + $idle));
            $this->combine();
            if (!$this->isDone() && $this->patience() > 1) {
                $this->take($this->read($search->goOn($this->served())), 0.0);
                $this->combine();
            }
            if ($this->total > $before + self::EPS) {
                $this->join($near);
            }
            $idle = $this->total > $before + self::EPS ? 0 : $idle + 1;
        }

        return $this->served();
    }

    /** A number that no week can pass. */
    public function bound(): float
    {
        return $this->bound;
    }

    /** @return list<int> */
    private function everybody(): array
    {
        return array_keys($this->known->eaters);
    }

    /**
     * @param  list<array{int, int}>  $served  plate and option of every serving
     * @return array<int, PlannedEaterWeek>
     */
    private function read(array $served): array
    {
        $plates = array_fill(0, count($this->everybody()), array_fill(0, $this->problem->days, []));
        foreach ($served as [$p, $i]) {
            $plates[intdiv($p, $this->problem->days)][$p % $this->problem->days][] = $i;
        }

        return array_map($this->known->know(...), array_keys($plates), $plates);
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

    private function isDone(): bool
    {
        return $this->isOver() || $this->mostMixed - $this->total <= $this->nearEnough();
    }

    /** Whether no plan is better, or there was work enough. */
    private function isOver(): bool
    {
        return $this->isStopped ||
            $this->bound - $this->total <= $this->nearEnough() ||
            $this->known->steps() > $this->budget;
    }

    /** Prices are to leave work for what is made of them. */
    private function isPriced(): bool
    {
        return $this->isDone() || $this->known->steps() > self::PRICING * $this->budget;
    }

    /** How often eaters choose again though it brings nothing: seldom where little can be gained. */
    private function patience(): int
    {
        $short = min($this->bound, $this->mostMixed) - $this->total;

        return match (true) {
            $short <= self::VERY_LITTLE * $this->size() => 0,
            $short <= self::LITTLE * $this->size() => 1,
            default => self::IDLE,
        };
    }

    /** What the week comes to, but for the live servings that are missing. */
    private function size(): float
    {
        return abs($this->total + $this->problem->weights->short * $this->missing());
    }

    private function nearEnough(): float
    {
        return max(self::NEAR, self::NEAR_SHARE * $this->size());
    }

    private function tell(): void
    {
        if ($this->goesOn !== null && !($this->goesOn)($this->total, max($this->bound, $this->total))) {
            $this->isStopped = true;
        }
    }

    /** @param  array<int, PlannedEaterWeek>  $weeks */
    private function totalOf(array $weeks): float
    {
        return PlannedEaterWeek::total($weeks, $this->problem->weights->fair);
    }

    /**
     * Moves the prices, and puts together what was found.
     *
     * @param  int  $rounds  by the mixture
     * @param  float  $known  a number that no plan can pass besides
     */
    private function approach(int $rounds, float $known = INF): void
    {
        $this->priceDays();
        $this->priceWeeks($rounds, $known);
        $this->combine();
        $this->tell();
    }

    /** Prices with each day for itself: rough, and quick. */
    private function priceDays(): void
    {
        for ($round = 0; $round < self::DAY_ROUNDS && !$this->isPriced(); $round++) {
            $value = $this->prices->worthOfStock();
            $used = $missing = [];
            foreach ($this->known->eaters as $m => $eater) {
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
    private function priceWeeks(int $rounds, float $known): void
    {
        $best = clone $this->prices;
        $lowest = INF;
        $stale = 0;
        for ($round = 0; $round < self::STEEP_ROUNDS && $stale < self::STALE && !$this->isPriced(); $round++) {
            $count = $this->known->count();
            [$value, $used, $missing] = $this->atPrices(self::EASE);
            $stale = $this->known->count() > $count ? 0 : $stale + 1;
            if ($value < $lowest) {
                [$lowest, $best] = [$value, clone $this->prices];
            }
            if (!$this->prices->move($used, $missing, $value - $this->total, 1.0 / (1.0 + 0.12 * $round))) {
                break;
            }
        }
        $mix = $best->mix($this->known->bare);
        $mixed = array_fill_keys($this->everybody(), 0);
        [$share, $ease] = [self::SHARE, self::EASE];
        for ($round = 0; $round < $rounds && !$this->isPriced(); $round++) {
            foreach ($this->everybody() as $m) {
                foreach (array_slice($this->known->of($m), $mixed[$m]) as $week) {
                    $mix->add($m, $week);
                    $mixed[$m]++;
                }
            }
            $mostMixed = $mix->solve();
            if (min($lowest, $known) - $mostMixed < self::CLOSE) {
                break;
            }
            $this->prices = $best->toward($mix, $share);
            [$value] = $this->atPrices($ease);
            $isLower = $value < $lowest;
            if ($isLower) {
                [$lowest, $best] = [$value, $this->prices];
            }
            if ($this->known->count() > array_sum($mixed)) {
                $share = $isLower ? min(1.0, self::FARTHER * $share) : max(self::LEAST_SHARE, self::LESS_FAR * $share);
            } elseif ($share < 1.0) {
                $share = 1.0;
            } elseif ($ease < self::EASE_OF_LAST) {
                $ease = self::EASE_OF_LAST;
            } else {
                // At the mixture's own prices nobody knows a better week: it is as good as any.
                $this->mostMixed = $mix->isCounted() ? $this->mostMixed : $mostMixed;
                $best = $this->prices;
                break;
            }
        }
        $this->prices = $best;
    }

    /**
     * What the eaters' best weeks at the prices come to with the stock; no plan comes to more.
     *
     * @param  float  $ease  how many ways are followed
     * @return array{float, array<int, float>, list<int>} and what these weeks take of each offer, and are missing by eater
     */
    private function atPrices(float $ease): array
    {
        $value = $this->prices->worthOfStock();
        $used = $missing = [];
        foreach ($this->everybody() as $m) {
            [$most, $week] = $this->known->best($m, $this->prices, $ease);
            $value += $most;
            $missing[] = $week->missing;
            foreach ($week->used as $offer => $grams) {
                $used[$offer] = ($used[$offer] ?? 0.0) + $grams;
            }
        }
        $this->bound = min($this->bound, $value);

        return [$value, $used, $missing];
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
            $this->approach(self::MIX_ROUNDS);
            $this->exchange($prices, self::HEAT);
            $fewer = $this->bound;
            if ($this->missing() < $missing) {
                $this->bound = $bound;

                continue;
            }
            [$this->prices, $this->bound] = [$prices->forAsMany($missing), INF];
            $this->approach(self::MIX_ROUNDS, $bound);
            $this->bound = max($this->total, min($bound, max($fewer, $this->bound)));
            if ($this->missing() === $missing) {
                $this->fewer = $fewer;

                return;
            }
            $this->prices = $prices;
        }
    }

    private function missing(): int
    {
        return array_sum(array_map(static fn(PlannedEaterWeek $week): int => $week->missing, $this->now));
    }

    /** The best plan that known weeks make together. */
    private function combine(): void
    {
        $atMost = $this->prices->worthOfStock();
        $weeks = $coded = [];
        foreach ($this->everybody() as $m) {
            $rows = $this->known->fitting($m, $this->prices->stock, $this->prices, self::COMBINED);
            $atMost += $rows[0][0] ?? 0.0;
            $weeks[$m] = array_column($rows, 1);
            $coded[$m] = $this->known->coded($m, $weeks[$m], $this->prices);
        }
        $together = $this->together($this->prices, self::LOOKS);
        $found = $together->best($coded, $atMost, $this->prices->worthOfMissing(), $this->total);
        if ($found !== null) {
            $this->takeFitting(
                array_map(static fn(int $m): PlannedEaterWeek => $weeks[$m][$found[$m]], $this->everybody()),
            );
        }
    }

    /**
     * The best plan of all weeks that lose little at the prices, then of those that lose more, as long as there are not too many.
     * Where these are all that a better plan can be made of, no plan passes it.
     */
    private function join(StockPrices $prices): void
    {
        // Where no mixture is better, only a number is looked for that no plan passes, if the one that is known says little.
        $isForBound = !$this->isOver() && $this->bound - $this->total > self::LITTLE * $this->size();
        if (($this->isDone() && !$isForBound) || $this->bound - $this->total > self::JOINED_SHARE * $this->size()) {
            return;
        }
        foreach ($this->everybody() as $m) {
            $reached = $this->known->mostAt($m, $prices);
            $this->known->eaters[$m]->relaxed($prices->of, $prices->missing($m), $reached, self::ROUNDS_OF_NEAR);
        }
        $looks = 0;
        foreach (self::NEAR_PARTS as $part) {
            $most = $this->patience() > 0 ? self::NEAR_LOOKS : self::NEAR_LOOKS_FOR_LITTLE;
            if (($part > 0.0 && $this->isDone()) || $most < self::MORE_LOOKS * $looks) {
                return;
            }
            $together = $this->together($prices, $most);
            $isAll = $this->joinLosing($part * ($this->boundAt($prices) - $this->total), $prices, $together);
            $this->tell();
            if (!$isAll) {
                return;
            }
            $looks = $most - $together->looks();
        }
    }

    /**
     * The best plan of all weeks that lose no more than something at the prices.
     *
     * @return bool whether these were all
     */
    private function joinLosing(float $loss, StockPrices $prices, Together $together): bool
    {
        $atMost = $prices->worthOfStock();
        $weeks = $plates = [];
        foreach ($this->everybody() as $m) {
            $near = $this->known->near($m, $prices, $loss, self::NEAR_WEEKS);
            if ($near === null) {
                return false;
            }
            [$best, $weeks[$m], $plates[$m]] = $near;
            $atMost += $best;
        }
        $found = $together->best($weeks, $atMost, $prices->worthOfMissing(), $this->total);
        if ($found !== null) {
            $this->takeFitting(
                array_map(
                    fn(int $m): PlannedEaterWeek => $this->known->know($m, $plates[$m][$found[$m]]),
                    $this->everybody(),
                ),
            );
        }
        $isAll = $together->isWhole() && $this->known->code->isExact;
        // In a better plan than the best of these somebody loses more.
        $bound = max($this->total, $isAll ? $atMost - $loss : $atMost) + self::EPS;
        $this->bound = min($this->bound, $prices->isApart() ? max($this->fewer, $bound) : $bound);

        return $isAll;
    }

    private function together(StockPrices $prices, int $looks): Together
    {
        return new Together($this->known->code, $prices->of, $this->problem->weights->fair, $looks);
    }

    /** What no plan can come to at these prices, if nobody knows a better week than those that are known. */
    private function boundAt(StockPrices $prices): float
    {
        $value = $prices->worthOfStock();
        foreach ($this->everybody() as $m) {
            $value += $this->known->mostAt($m, $prices);
        }

        return $value;
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

    /**
     * A plan of weeks that should fit beside each other.
     *
     * @param  array<int, PlannedEaterWeek>  $weeks
     */
    private function takeFitting(array $weeks): void
    {
        $left = $this->prices->stock;
        foreach ($weeks as $week) {
            if (!$week->fits($left)) {
                return;
            }
            $left = $week->takenFrom($left);
        }
        $this->take($weeks, 0.0);
    }

    /** Eaters choose again, first with a readiness to lose a little; ends at the best plan that was met. */
    private function exchange(StockPrices $prices, float $hottest): void
    {
        $eaters = count($this->everybody());
        $best = $this->now;
        $bestTotal = $this->total;
        $tries = max(self::LEAST_TRIES, self::TRIES_PER_EATER * $eaters);
        $stale = 0;
        $until = $this->known->steps() + self::EXCHANGED * $this->budget;
        for (
            $try = 0;
            $try < $tries && $stale < self::STALE_TRIES && !$this->isDone() && $this->known->steps() < $until;
            $try++
        ) {
            $size = min($eaters, 1 + $this->draw(self::MOST_AT_ONCE));
            $some = [];
            while (count($some) < $size) {
                $some[$this->draw($eaters)] = true;
            }
            $heat = max(0.0, $hottest * (1.0 - (self::COOLS * $try) / $tries));
            $ready = $heat * -log(($this->draw(100_000) + 1) / 100_000.0) + self::EPS;
            $count = $this->known->count();
            $this->diveFrom(array_keys($some), $prices, $ready, $this->draw(...));
            $stale = $this->known->count() > $count ? 0 : $stale + 1;
            if ($this->total > $bestTotal + self::EPS) {
                [$best, $bestTotal] = [$this->now, $this->total];
            }
        }
        [$this->now, $this->total] = [$best, $bestTotal];
        $this->tell();
    }

    /**
     * Some eaters look for weeks for what the others leave.
     *
     * @param  list<int>  $some
     * @param  callable(int): int  $draw
     */
    private function diveFrom(array $some, StockPrices $prices, float $ready, callable $draw): void
    {
        $found = $this->isDone() ? null : $this->dive->from($some, $this->leftTo($some), $prices, $draw);
        if ($found !== null) {
            $this->take(array_replace($this->now, $found), $ready);
        }
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

    /** A number from 0 below another, always the same ones in a row (Park and Miller's generator, 48271). */
    private function draw(int $below): int
    {
        $this->lot = ($this->lot * 48_271) % 2_147_483_647;

        return $this->lot % $below;
    }
}
