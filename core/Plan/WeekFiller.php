<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Closure;
use Tempesal\Core\Message\Message;

/**
 * Fills the days of a week that are still to come: what stays, and the best that can be found around it.
 */
final readonly class WeekFiller
{
    /** What jars are served at: the week on the shelf knows days, not meals. */
    private const MEAL = 'day';

    /** Milligrams that nobody plans: what was eaten today is not served once more. */
    private const NEVER_MG = 100_000.0;

    private const ROUNDING = 1e-6;

    /** A jar that does not go round so often is scarce. */
    private const SCARCE_ROUNDS = 2.0;

    /** There is to be so much more of what is live than usual portions take. */
    private const SPARE = 1.25;

    private function __construct(private WeekPlan $week, private int $first) {}

    /**
     * @param  bool  $isRest  whether all that is there stays, rather than only what is locked or was altered by hand
     * @param  Rotation|null  $rotation  what is wished for
     * @param  int  $weeks  for how many from this one on the jars are to last
     * @param  (Closure(float, float): bool)|null  $goesOn  told the objective so far and its bound; false stops it
     * @return array{servings: list<WeekServing>, plan: Plan|null} what stays keeps its id, what is new has none; no
     *     plan when nothing is left to plan
     */
    public static function fill(
        WeekPlan $week,
        bool $isRest,
        ?Rotation $rotation = null,
        ?Closure $goesOn = null,
        int $weeks = 1,
    ): array {
        if ($week->first() >= WeekPlan::DAYS || $week->eaters === []) {
            return ['servings' => $week->servings, 'plan' => null];
        }
        $kept = self::kept($week, $isRest);
        $before = array_values(
            array_filter($week->coming, static fn(WeekServing $one): bool => !in_array($one, $kept, true)),
        );

        $sparing = $week->having($kept)->sparing($weeks);

        return (new self($sparing->having($week->servings), $week->first()))->run(
            $kept,
            $before,
            $rotation?->wishes($sparing) ?? [],
            $goesOn,
        );
    }

    /**
     * What a plan leaves as it is.
     *
     * @param  bool  $isRest  whether that is all that is there
     * @return list<WeekServing>
     */
    public static function kept(WeekPlan $week, bool $isRest): array
    {
        return array_values(
            array_filter(
                $week->coming,
                static fn(WeekServing $one): bool => $isRest || $one->isLocked || !$week->isUsual($one),
            ),
        );
    }

    /** The week as it is, as the planner sees it: for the reasons of what falls short. */
    public static function asItIs(WeekPlan $week): ?Plan
    {
        $filler = new self($week, $week->first());
        if ($filler->first >= WeekPlan::DAYS || $week->eaters === []) {
            return null;
        }
        [$problem, $assignments] = $filler->problem($week->coming, []);

        return new Plan($problem, $assignments, 0.0, 0.0);
    }

    /**
     * @param  list<WeekServing>  $kept
     * @param  list<WeekServing>  $before
     * @param  list<Wish>  $wishes
     * @param  (Closure(float, float): bool)|null  $goesOn
     * @return array{servings: list<WeekServing>, plan: Plan}
     */
    private function run(array $kept, array $before, array $wishes, ?Closure $goesOn): array
    {
        [$problem] = $this->problem($kept, $before, $wishes);
        $plan = Planner::plan($problem, $goesOn);
        $past = array_filter(
            $this->week->servings,
            fn(WeekServing $serving): bool => $serving->day < $this->week->today,
        );
        $servings = [...array_values($past), ...$kept];
        foreach ($plan->assignments as $assignment) {
            $serving = $this->week->portion(
                $assignment->eater,
                $assignment->day + $this->first,
                $problem->offerOf($assignment->option),
                $problem->options[$assignment->option]->portion[$assignment->eater],
            );
            if (self::like($serving, $servings) === null) {
                $then = self::like($serving, $before);
                $servings[] = $then !== null && abs($then->grams - $serving->grams) < self::ROUNDING ? $then : $serving;
            }
        }

        return ['servings' => $servings, 'plan' => $plan];
    }

    /**
     * @param  list<WeekServing>  $kept
     * @param  list<WeekServing>  $before
     * @param  list<Wish>  $wishes
     * @return array{PlanningProblem, list<Assignment>} and the cells of what is kept
     */
    private function problem(array $kept, array $before, array $wishes = []): array
    {
        $problem = $this->build([], [], []);
        $locked = $outside = [];
        foreach ($kept as $serving) {
            $assignment = $this->assignment($serving);
            $isFine = Feasibility::trouble($problem, [...$locked, $assignment], true) === null;
            $isFine ? ($locked[] = $assignment) : ($outside[] = $serving);
        }
        $assignments = array_map(
            fn(WeekServing $serving): Assignment => $this->assignment($serving, $problem),
            array_values(
                array_filter(
                    $before,
                    fn(WeekServing $serving): bool => $this->week->jars[$serving->jar]->objection(
                        $serving->eater,
                        $serving->day,
                    ) === null,
                ),
            ),
        );

        return [$this->build($kept, $outside, $locked, $assignments, $wishes), $locked];
    }

    /** @param  list<WeekServing>  $all */
    private static function like(WeekServing $one, array $all): ?WeekServing
    {
        foreach ($all as $other) {
            if ($other->isAt($one->eater, $one->day) && $other->jar === $one->jar) {
                return $other;
            }
        }

        return null;
    }

    /** @param  PlanningProblem|null  $sizes  in which the size of it is looked for; null: its own sodium stands for it */
    private function assignment(WeekServing $serving, ?PlanningProblem $sizes = null): Assignment
    {
        $option = $serving->jar;
        foreach ($sizes->options ?? [] as $i => $one) {
            if (
                $one->offer === $serving->jar &&
                $one->isFor[$serving->eater] &&
                abs($one->portion[$serving->eater] - $serving->grams) < self::ROUNDING
            ) {
                $option = $i;
            }
        }

        return new Assignment($serving->eater, $serving->day - $this->first, 0, $option);
    }

    /**
     * What does not keep to the rules of a plan stands outside it: it takes its sodium, its stock and its live servings
     * along.
     *
     * @param  list<WeekServing>  $kept
     * @param  list<WeekServing>  $outside
     * @param  list<Assignment>  $locked
     * @param  list<Assignment>  $before
     * @param  list<Wish>  $wishes
     */
    private function build(
        array $kept,
        array $outside,
        array $locked,
        array $before = [],
        array $wishes = [],
    ): PlanningProblem {
        $week = $this->week;
        $days = WeekPlan::DAYS - $this->first;
        $taken = static fn(int $eater, int $day, callable $of): float => array_sum(
            array_map($of, array_filter($outside, static fn(WeekServing $one): bool => $one->isAt($eater, $day))),
        );
        $eaters = [];
        foreach ($week->eaters as $m => $eater) {
            $allowance = $goal = [];
            for ($day = $this->first; $day < WeekPlan::DAYS; $day++) {
                $allowance[] = $eater->allowance[$day] - $taken($m, $day, $week->milligrams(...));
                $goal[] = max(
                    0,
                    $eater->liveGoal[$day] -
                        (int) $taken(
                            $m,
                            $day,
                            static fn(WeekServing $one): float => $week->jars[$one->jar]->isLive ? 1.0 : 0.0,
                        ),
                );
            }
            $eaters[] = new Eater($eater->id, $eater->name, $eater->target, $allowance, $eater->isHard, $goal);
        }
        $options = [];
        foreach ($week->jars as $i => $jar) {
            $sodium = [];
            foreach (array_keys($eaters) as $m) {
                for ($day = 0; $day < $days; $day++) {
                    $usual = $week->usual($m, $day + $this->first, $i);
                    $sodium[$m][$day] = $this->isNever($usual) ? self::NEVER_MG : $week->milligrams($usual);
                }
            }
            $stock = $jar->stock;
            foreach ($kept as $serving) {
                if ($serving->jar === $i) {
                    // Only one serving of a jar can stand on a day: its own sodium takes the place of the usual one.
                    $sodium[$serving->eater][$serving->day - $this->first] = $week->milligrams($serving);
                    $stock -=
                        $serving->grams - (in_array($serving, $outside, true) ? 0.0 : $jar->portions[$serving->eater]);
                }
            }
            $options[] = new ServingOption(
                $jar->id,
                $jar->name,
                $jar->isLive,
                $jar->isLive ? $jar->culture->value ?? $jar->group : ServingOption::NO_CULTURE,
                $jar->closed === null ? max(0.0, $stock) : 0.0,
                $jar->readyOn - $this->first,
                $jar->useBy - $this->first,
                [0],
                array_values(array_map(array_values(...), $sodium)),
                $jar->portions,
                array_map(static fn(?Message $why): bool => $why === null, $jar->notFor),
            );
        }

        array_push($options, ...$this->smaller($options, $eaters));

        return new PlanningProblem(
            $days,
            [self::MEAL],
            $week->perDay,
            $eaters,
            $options,
            $locked,
            $before,
            $week->weights,
            $this->previous(),
            wishes: array_map(
                fn(Wish $wish): Wish => new Wish(
                    $wish->eater,
                    array_map(fn(int $day): int => $day - $this->first, $wish->days),
                    $wish->offers,
                    $wish->worth,
                ),
                $wishes,
            ),
        );
    }

    /** What was eaten already is not planned once more, and nobody who is away is served. */
    private function isNever(WeekServing $serving): bool
    {
        return $this->week->hadIt($serving) || $this->week->isAway($serving->eater, $serving->day);
    }

    /** @return array<int, array<int, true>> what everyone had, or is to have, on the day before the first */
    private function previous(): array
    {
        $previous = [];
        foreach (array_keys($this->week->eaters) as $eater) {
            foreach (array_keys($this->week->jars) as $jar) {
                if ($this->week->hadIt($this->week->usual($eater, $this->first - 1, $jar))) {
                    $previous[$eater][$jar] = true;
                }
            }
        }
        foreach ($this->week->servings as $serving) {
            if ($serving->day === $this->first - 1) {
                $previous[$serving->eater][$serving->jar] = true;
            }
        }

        return $previous;
    }

    /**
     * The same offers in smaller portions, for those whose limit or whose jar does not hold enough of the usual ones.
     *
     * @param  list<ServingOption>  $options
     * @param  list<Eater>  $eaters
     * @return list<ServingOption>
     */
    private function smaller(array $options, array $eaters): array
    {
        $smaller = [];
        $isShort = array_map(
            static fn(Eater $eater, int $m): bool => self::isShort($options, $m, $eater),
            $eaters,
            array_keys($eaters),
        );
        foreach ($options as $i => $option) {
            $sizes = array_map(
                fn(int $m): array => ($option->isLive && $isShort[$m]) || $this->isNeeded($option, $m, $eaters)
                    ? $this->week->smaller($m, $i)
                    : [],
                array_keys($eaters),
            );
            for ($at = 0; $at < max([0, ...array_map(count(...), $sizes)]); $at++) {
                $portion = $share = $sodium = $isFor = [];
                foreach (array_keys($eaters) as $m) {
                    $usual = $option->portion[$m];
                    $portion[] = $sizes[$m][$at] ?? $usual;
                    $share[] = $usual > 0.0 ? 1.0 - $portion[$m] / $usual : 0.0;
                    $isFor[] = $option->isFor[$m] && isset($sizes[$m][$at]);
                    $sodium[] = array_map(function (int $day) use ($m, $i, $portion): float {
                        $serving = $this->week->portion($m, $day + $this->first, $i, $portion[$m]);

                        return $this->isNever($serving) ? self::NEVER_MG : $this->week->milligrams($serving);
                    }, range(0, WeekPlan::DAYS - $this->first - 1));
                }
                $smaller[] = new ServingOption(
                    "{$option->id} {$at}",
                    $option->name,
                    $option->isLive,
                    $option->group,
                    $option->stock,
                    $option->from,
                    $option->useBy,
                    $option->meals,
                    $sodium,
                    $portion,
                    $isFor,
                    $i,
                    $share,
                );
            }
        }

        return $smaller;
    }

    /**
     * Whether there is hardly enough that is live for usual portions on all days on which an eater wants some: everything is
     * shared out evenly, and nobody has two servings of a jar on a day.
     *
     * @param  list<ServingOption>  $options  in usual portions
     */
    private static function isShort(array $options, int $m, Eater $eater): bool
    {
        $days = array_keys($eater->liveGoal);
        $rounds = 0.0;
        foreach ($options as $option) {
            if ($option->isLive && $option->isFor[$m]) {
                $portions = array_sum(array_intersect_key($option->portion, array_filter($option->isFor)));
                $served = count(array_filter($days, $option->isServedOn(...)));
                $rounds += min($served, $option->stock / max(self::ROUNDING, self::SPARE * $portions));
            }
        }

        return $rounds < array_sum($eater->liveGoal);
    }

    /**
     * Whether less than a usual portion can help someone: a day's room is narrower than what may stand on it, or the jar
     * is scarce.
     *
     * @param  list<Eater>  $eaters
     */
    private function isNeeded(ServingOption $option, int $m, array $eaters): bool
    {
        $rounds = array_sum($option->portion) * self::SCARCE_ROUNDS;
        foreach ($eaters[$m]->allowance as $day => $allowance) {
            if ($option->sodium[$m][$day] * $this->week->perDay > $allowance) {
                return true;
            }
        }

        return $option->stock < $rounds;
    }
}
