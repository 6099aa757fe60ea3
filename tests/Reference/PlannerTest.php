<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Plan\Assignment;
use Tempesal\Core\Plan\Feasibility;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\Planner;

/*
 * Weeks that a general solver has planned to the proven optimum: coinor-cbc, the smaller ones glpsol as well, by the
 * model that tests/Reference/data/plan.py writes out. The planner is held against its objectives.
 */

/** @return list<array{optimum: float, short: int, week: array<string, mixed>}> */
function solvedWeeks(): array
{
    return json_decode((string) file_get_contents(__DIR__ . '/data/plans.json'), true, flags: JSON_THROW_ON_ERROR);
}

it(
    'plans as well as a general solver does, within a hundredth each and a five-hundredth on average',
    function (): void {
        $behind = [];
        foreach (solvedWeeks() as $n => ['optimum' => $optimum, 'short' => $short, 'week' => $week]) {
            $problem = PlanningProblem::read(Fields::of($week));
            $plan = Planner::plan($problem);
            expect(Feasibility::trouble($problem, $plan->assignments))
                ->toBeNull()
                // Nobody passes the optimum, and the bound is one.
                ->and($plan->objective)
                ->toBeLessThan($optimum + 1e-6)
                ->and($plan->bound)
                ->toBeGreaterThan($optimum - 1e-6);
            // Nobody goes without a live serving whom the solver could feed.
            expect(array_sum(array_column($plan->toArray()['shortfalls'], 'missing')))->toBeLessThanOrEqual(
                $short,
                "week {$n}",
            );
            $behind[$n] = ($optimum - $plan->objective) / max(1.0, abs($optimum));
            expect($behind[$n])->toBeLessThanOrEqual(0.01, "week {$n}: {$plan->objective} of {$optimum}");
        }
        expect(count($behind))
            ->toBeGreaterThanOrEqual(60)
            ->and(array_sum($behind) / count($behind))
            ->toBeLessThanOrEqual(0.002);
    },
);

it('notices what must not be', function (array $assignment, ?string $trouble): void {
    $week = [
        'tempesal' => 'plan',
        'meals' => ['noon', 'evening'],
        'eaters' => [
            ['id' => 'a', 'targetMg' => 1500, 'allowanceMg' => 300, 'hard' => true],
            ['id' => 'b', 'targetMg' => 1500, 'allowanceMg' => 300],
        ],
        'offers' => [
            ['id' => 'i', 'stock' => 2, 'sodiumMg' => 200, 'from' => 1, 'useBy' => 3, 'meals' => ['noon']],
            ['id' => 'j', 'stock' => 9, 'sodiumMg' => 150, 'notFor' => ['b']],
        ],
    ];
    $problem = PlanningProblem::read(Fields::of($week));
    $assignments = array_map(fn(array $one): Assignment => new Assignment(...$one), $assignment);
    $said = Feasibility::trouble($problem, $assignments);
    $trouble === null ? expect($said)->toBeNull() : expect(said($said))->toContain($trouble);
})->with([
    'well' => [[[0, 1, 0, 0], [0, 2, 1, 1]], null],
    'too soon' => [[[0, 0, 0, 0]], 'not served on day 0'],
    'too late' => [[[0, 4, 0, 0]], 'not served on day 4'],
    'the wrong meal' => [[[0, 1, 1, 0]], 'not served at evening'],
    'not for them' => [[[1, 1, 0, 1]], 'not for b'],
    'twice a day' => [[[0, 1, 0, 1], [0, 1, 1, 1]], 'served twice'],
    'two at a meal' => [[[0, 1, 0, 0], [0, 1, 0, 1]], 'more than 1 at noon'],
    'more than there is' => [[[0, 1, 0, 0], [0, 2, 0, 0], [1, 1, 0, 0]], 'than is left'],
    'past a hard limit' => [[[0, 1, 0, 0], [0, 1, 1, 1]], 'hard limit'],
]);
