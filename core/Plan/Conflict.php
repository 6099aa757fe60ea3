<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\RemedyKind;

/**
 * Something in a week that does not go together, in words, and what would help.
 */
final readonly class Conflict
{
    /** Levers that are shown of each. */
    private const LEVERS = 5;

    /**
     * @param  int|null  $eater  whom it concerns; null: everyone who eats of the jar
     * @param  list<Suggestion>  $suggestions
     * @param  list<string>  $servings  ids of the servings it is about
     */
    private function __construct(public string $code, public string $text, public ?int $eater, public ?int $day, public ?int $jar, public array $servings, public array $suggestions)
    {
    }

    /**
     * @param  list<string>  $dayNames  of the week, in full
     * @return list<self> what may not be first
     */
    public static function all(WeekPlan $week, array $dayNames): array
    {
        $found = [...self::objections($week, $dayNames), ...self::shortages($week, $dayNames), ...self::excesses($week, $dayNames), ...self::lacks($week, $dayNames)];
        $order = ['closed' => 0, 'not_for' => 0, 'not_yet' => 1, 'too_late' => 1, 'runs_short' => 2, 'past_limit' => 3, 'past_target' => 4, 'nothing_live' => 5];
        usort($found, static fn (self $one, self $other): int => [$order[$one->code], $one->day, $one->eater] <=> [$order[$other->code], $other->day, $other->eater]);

        return $found;
    }

    /**
     * @param  list<string>  $dayNames
     * @return list<self>
     */
    private static function objections(WeekPlan $week, array $dayNames): array
    {
        $found = [];
        foreach ($week->coming as $serving) {
            $jar = $week->jars[$serving->jar];
            $why = $jar->objection($serving->eater, $serving->day);
            if ($why === null) {
                continue;
            }
            [$code, $text] = match (true) {
                $jar->closed !== null => ['closed', $jar->closed],
                $jar->notFor[$serving->eater] !== null => ['not_for', "{$week->eaters[$serving->eater]->name}: {$jar->notFor[$serving->eater]}"],
                $serving->day < $jar->readyOn => ['not_yet', $jar->readyOn < WeekPlan::DAYS ? "It is ready on {$dayNames[$jar->readyOn]}." : 'It is not ready in this week.'],
                default => ['too_late', 'It has kept its time by then: look into it first.'],
            };
            $found[] = new self($code, "{$jar->name} on {$dayNames[$serving->day]}: {$text}", $serving->eater, $serving->day, $serving->jar, [$serving->id],
                array_slice(Suggestions::awayFrom($week, $serving, $dayNames), 0, self::LEVERS));
        }

        return $found;
    }

    /**
     * @param  list<string>  $dayNames
     * @return list<self>
     */
    private static function shortages(WeekPlan $week, array $dayNames): array
    {
        $found = [];
        foreach ($week->jars as $i => $jar) {
            $day = $week->runsShortOn($i);
            if ($day === null || $jar->closed !== null) {
                continue;
            }
            $after = array_values(array_filter($week->coming, static fn (WeekServing $one): bool => $one->jar === $i && $one->day >= $day));
            $left = $week->left($i);
            $suggestions = [];
            foreach ($after as $serving) {
                array_push($suggestions, ...array_filter(Suggestions::awayFrom($week, $serving, $dayNames), static fn (Suggestion $lever): bool => $lever->kind !== RemedyKind::OtherDay));
            }
            $found[] = new self('runs_short', sprintf('%s runs out on %s: %d g too little by the end of the week.', $jar->name, $dayNames[$day], (int) ceil(-end($left))),
                null, $day, $i, array_column($after, 'id'), array_slice($suggestions, 0, self::LEVERS));
        }

        return $found;
    }

    /**
     * @param  list<string>  $dayNames
     * @return list<self>
     */
    private static function excesses(WeekPlan $week, array $dayNames): array
    {
        $found = [];
        foreach ($week->eaters as $m => $eater) {
            for ($day = $week->first(); $day < WeekPlan::DAYS; $day++) {
                $there = $week->on($m, $day);
                $over = -$week->margin($m, $day);
                if ($there === [] || $over < 1.0) {
                    continue;
                }
                $allowance = $eater->allowance[$day];
                $found[] = new self(
                    $eater->isHard ? 'past_limit' : 'past_target',
                    sprintf('%s on %s: %d mg past the %s%s.', $eater->name, $dayNames[$day], (int) round($over), $eater->isHard ? 'limit that is kept to' : 'target',
                        $allowance <= 0.0 ? ', and the rest of the day fills it without any ferment' : ''),
                    $m, $day, null, array_column($there, 'id'), array_slice(Suggestions::of($week, $there, min($over, array_sum(array_map($week->milligrams(...), $there))), $dayNames), 0, self::LEVERS),
                );
            }
        }

        return $found;
    }

    /**
     * @param  list<string>  $dayNames
     * @return list<self>
     */
    private static function lacks(WeekPlan $week, array $dayNames): array
    {
        $plan = WeekFiller::asItIs($week);
        $found = [];
        foreach ($plan === null ? [] : Shortfall::of($plan) as $one) {
            $eater = (int) array_search($one->eater, array_column($week->eaters, 'id'), true);
            $day = $one->day + $week->first();
            $found[] = new self('nothing_live', sprintf('%s on %s: %s live serving%s short. %s', $week->eaters[$eater]->name, $dayNames[$day], $one->missing === 1 ? 'one' : $one->missing, $one->missing === 1 ? '' : 's', $one->reason),
                $eater, $day, null, [], []);
        }

        return $found;
    }
}
