<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Message\Message;

/**
 * Fills the days of a week that are still to come: what stays, what the rotation asks for, then the best that can be
 * found.
 */
final readonly class WeekFiller
{
    /** What jars are served at: the week on the shelf knows days, not meals. */
    private const MEAL = 'day';

    /** Milligrams that nobody plans: what was eaten today is not served once more. */
    private const NEVER_MG = 100_000.0;

    private function __construct(private WeekPlan $week, private int $first) {}

    /**
     * @param  bool  $isRest  whether all that is there stays, rather than only what is locked or was altered by hand
     * @param  list<WeekServing>  $wanted  by the rotation, put down where nothing speaks against it
     * @return array{servings: list<WeekServing>, plan: Plan|null} what stays keeps its id, what is new has none; no
     *     plan when nothing is left to plan
     */
    public static function fill(WeekPlan $week, bool $isRest, array $wanted = []): array
    {
        $filler = new self($week, $week->first());
        if ($filler->first >= WeekPlan::DAYS || $week->eaters === []) {
            return ['servings' => $week->servings, 'plan' => null];
        }
        $stays = static fn(WeekServing $serving): bool => $isRest || $serving->isLocked || !$week->isUsual($serving);
        $kept = array_values(array_filter($week->coming, $stays));
        $before = array_values(array_filter($week->coming, static fn(WeekServing $serving): bool => !$stays($serving)));

        return $filler->run($kept, $before, $wanted);
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
     * @param  list<WeekServing>  $wanted
     * @return array{servings: list<WeekServing>, plan: Plan}
     */
    private function run(array $kept, array $before, array $wanted): array
    {
        $fixed = $this->week->having($kept);
        $asked = [];
        foreach ($wanted as $one) {
            if ($fixed->takes($one)) {
                $asked[] = $one;
                $fixed = $fixed->having([...$fixed->servings, $one]);
            }
        }
        [$problem] = $this->problem([...$kept, ...$asked], $before);
        $plan = Planner::plan($problem);
        $past = array_filter(
            $this->week->servings,
            fn(WeekServing $serving): bool => $serving->day < $this->week->today,
        );
        $servings = [...array_values($past), ...$kept];
        foreach ($plan->assignments as $assignment) {
            $serving = $this->week->usual($assignment->eater, $assignment->day + $this->first, $assignment->option);
            if (self::like($serving, $servings) === null) {
                $servings[] = self::like($serving, $before) ?? $serving;
            }
        }

        return ['servings' => $servings, 'plan' => $plan];
    }

    /**
     * @param  list<WeekServing>  $kept
     * @param  list<WeekServing>  $before
     * @return array{PlanningProblem, list<Assignment>} and the cells of what is kept
     */
    private function problem(array $kept, array $before): array
    {
        $problem = $this->build([], [], []);
        $locked = $outside = [];
        foreach ($kept as $serving) {
            $assignment = $this->assignment($serving);
            $isFine = Feasibility::trouble($problem, [...$locked, $assignment], true) === null;
            $isFine ? ($locked[] = $assignment) : ($outside[] = $serving);
        }
        $assignments = array_map(
            $this->assignment(...),
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

        return [$this->build($kept, $outside, $locked, $assignments), $locked];
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

    private function assignment(WeekServing $serving): Assignment
    {
        return new Assignment($serving->eater, $serving->day - $this->first, 0, $serving->jar);
    }

    /**
     * What does not keep to the rules of a plan stands outside it: it takes its sodium, its stock and its live servings
     * along.
     *
     * @param  list<WeekServing>  $kept
     * @param  list<WeekServing>  $outside
     * @param  list<Assignment>  $locked
     * @param  list<Assignment>  $before
     */
    private function build(array $kept, array $outside, array $locked, array $before = []): PlanningProblem
    {
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
                    $sodium[$m][$day] = $week->hadIt($usual) ? self::NEVER_MG : $week->milligrams($usual);
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

        return new PlanningProblem(
            $days,
            [self::MEAL],
            $week->perDay,
            $eaters,
            $options,
            $locked,
            $before,
            $week->weights,
        );
    }
}
