<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A day on which someone gets fewer live servings than wanted, and the plain reason.
 */
final readonly class Shortfall
{
    private function __construct(public string $eater, public int $day, public int $missing, public string $reason)
    {
    }

    /** @return list<self> */
    public static function of(Plan $plan): array
    {
        $problem = $plan->problem;
        $all = [];
        foreach ($problem->eaters as $m => $eater) {
            for ($d = 0; $d < $problem->days; $d++) {
                $today = array_values(array_filter($plan->assignments, static fn (Assignment $assignment): bool => $assignment->eater === $m && $assignment->day === $d));
                $live = count(array_filter($today, static fn (Assignment $assignment): bool => $problem->options[$assignment->option]->isLive));
                if ($live < $eater->liveGoal[$d]) {
                    $all[] = new self($eater->id, $d, $eater->liveGoal[$d] - $live, self::reason($plan, $m, $d, $today));
                }
            }
        }

        return $all;
    }

    /**
     * Each eater's days: milligrams served, what is left of the allowance, live servings.
     *
     * @return list<array<string, mixed>>
     */
    public static function days(Plan $plan): array
    {
        $days = [];
        foreach ($plan->problem->eaters as $m => $eater) {
            for ($d = 0; $d < $plan->problem->days; $d++) {
                $sodium = 0.0;
                $live = 0;
                foreach ($plan->assignments as $assignment) {
                    if ($assignment->eater === $m && $assignment->day === $d) {
                        $sodium += $plan->problem->options[$assignment->option]->sodium[$m][$d];
                        $live += $plan->problem->options[$assignment->option]->isLive ? 1 : 0;
                    }
                }
                $days[] = ['eater' => $eater->id, 'day' => $d, 'sodiumMg' => $sodium, 'leftMg' => $eater->allowance[$d] - $sodium, 'live' => $live, 'liveGoal' => $eater->liveGoal[$d]];
            }
        }

        return $days;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['eater' => $this->eater, 'day' => $this->day, 'missing' => $this->missing, 'reason' => $this->reason];
    }

    /** @param  list<Assignment>  $today */
    private static function reason(Plan $plan, int $m, int $d, array $today): string
    {
        $problem = $plan->problem;
        $eater = $problem->eaters[$m];
        $there = array_map(static fn (Assignment $assignment): int => $assignment->option, $today);
        $left = array_map(static fn (ServingOption $option): float => $option->stock, $problem->options);
        foreach ($plan->assignments as $assignment) {
            $left[$assignment->option] -= $problem->options[$assignment->option]->portion[$assignment->eater];
        }
        $live = array_filter($problem->options, static fn (ServingOption $option): bool => $option->isLive);
        $ready = array_filter($live, static fn (ServingOption $option): bool => $option->isServedOn($d));
        $eaten = array_filter($ready, static fn (ServingOption $option): bool => $option->isFor[$m]);
        $more = array_filter($eaten, static fn (int $i): bool => ! in_array($i, $there, true), ARRAY_FILTER_USE_KEY);
        $stocked = array_filter($more, static fn (ServingOption $option, int $i): bool => $option->portion[$m] <= $left[$i] + 1e-9, ARRAY_FILTER_USE_BOTH);
        $sodium = array_sum(array_map(static fn (int $i): float => $problem->options[$i]->sodium[$m][$d], $there));
        $margin = $eater->limit($d) - $sodium;
        $least = $stocked === [] ? 0.0 : min(array_map(static fn (ServingOption $option): float => $option->sodium[$m][$d], $stocked));

        return match (true) {
            $live === [] => 'Nothing live is on the shelf.',
            $ready === [] => 'Nothing live is ready, or keeps, on that day.',
            $eaten === [] => "What is live and ready is not for {$eater->name}.",
            $more === [] => 'Everything live that is ready is served already.',
            $stocked === [] => 'What is live and ready is used up by other servings.',
            $margin + 1e-9 < $least => sprintf('%d mg are left after the rest of the diet, nothing live fits under it; the least takes %d mg.', (int) floor(max(0.0, $margin)), (int) ceil($least)),
            count($today) >= $problem->perMeal * count($problem->meals) => 'Every meal of the day is full.',
            default => 'What is live is not suited for the meals that are free, or costs more elsewhere than it brings here.',
        };
    }
}
