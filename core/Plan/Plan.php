<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A planned week.
 */
final readonly class Plan
{
    /**
     * @param  list<Assignment>  $assignments
     * @param  float  $bound  that no week can pass; where there is an earlier plan, none that keeps as much of it
     */
    public function __construct(
        public PlanningProblem $problem,
        public array $assignments,
        public float $objective,
        public float $bound,
    ) {}

    /** How far from the best it can be at most, as a share of its own objective's size. */
    public function gap(): float
    {
        return ($this->bound - $this->objective) / max(1.0, abs($this->objective));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $problem = $this->problem;

        return [
            'tempesal' => 'planned',
            'version' => $problem->version,
            'objective' => round($this->objective, 6),
            'bound' => round($this->bound, 6),
            'gap' => round($this->gap(), 6),
            'cells' => array_map(
                static fn(Assignment $assignment): array => [
                    'eater' => $problem->eaters[$assignment->eater]->id,
                    'day' => $assignment->day,
                    'meal' => $problem->meals[$assignment->meal],
                    'offer' => $problem->options[$problem->offerOf($assignment->option)]->id,
                    ...$problem->version > 1
                        ? ['portion' => $problem->options[$assignment->option]->portion[$assignment->eater]]
                        : [],
                ],
                $this->assignments,
            ),
            'days' => Shortfall::days($this),
            'shortfalls' => array_map(static fn(Shortfall $one): array => $one->toArray(), Shortfall::of($this)),
        ];
    }
}
