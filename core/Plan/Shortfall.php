<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Message\Message;

/**
 * A day on which someone gets fewer live servings than wanted, and the plain reason.
 */
final readonly class Shortfall
{
    private function __construct(public string $eater, public int $day, public int $missing, public Message $reason) {}

    /** @return list<self> */
    public static function of(Plan $plan): array
    {
        $problem = $plan->problem;
        $all = [];
        foreach ($problem->eaters as $m => $eater) {
            for ($d = 0; $d < $problem->days; $d++) {
                $today = array_values(
                    array_filter(
                        $plan->assignments,
                        static fn(Assignment $assignment): bool => $assignment->eater === $m && $assignment->day === $d,
                    ),
                );
                $live = count(
                    array_filter(
                        $today,
                        static fn(Assignment $assignment): bool => $problem->options[$assignment->option]->isLive,
                    ),
                );
                if ($live < $eater->liveGoal[$d]) {
                    $all[] = new self(
                        $eater->id,
                        $d,
                        $eater->liveGoal[$d] - $live,
                        self::reason($plan, $m, $d, $today),
                    );
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
                $days[] = [
                    'eater' => $eater->id,
                    'day' => $d,
                    'sodiumMg' => $sodium,
                    'leftMg' => $eater->allowance[$d] - $sodium,
                    'live' => $live,
                    'liveGoal' => $eater->liveGoal[$d],
                ];
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
    private static function reason(Plan $plan, int $m, int $d, array $today): Message
    {
        $problem = $plan->problem;
        $eater = $problem->eaters[$m];
        $there = array_map(static fn(Assignment $assignment): int => $problem->offerOf($assignment->option), $today);
        $left = array_map(static fn(ServingOption $option): float => $option->stock, $problem->options);
        foreach ($plan->assignments as $assignment) {
            $left[$problem->offerOf($assignment->option)] -=
                $problem->options[$assignment->option]->portion[$assignment->eater];
        }
        $live = array_filter($problem->options, static fn(ServingOption $option): bool => $option->isLive);
        $ready = array_filter($live, static fn(ServingOption $option): bool => $option->isServedOn($d));
        $eaten = array_filter($ready, static fn(ServingOption $option): bool => $option->isFor[$m]);
        $more = array_filter(
            $eaten,
            static fn(int $i): bool => !in_array($problem->offerOf($i), $there, true),
            ARRAY_FILTER_USE_KEY,
        );
        $stocked = array_filter(
            $more,
            static fn(ServingOption $option, int $i): bool => $option->portion[$m] <=
                $left[$problem->offerOf($i)] + 1e-9,
            ARRAY_FILTER_USE_BOTH,
        );
        $sodium = array_sum(
            array_map(static fn(Assignment $one): float => $problem->options[$one->option]->sodium[$m][$d], $today),
        );
        $margin = $eater->limit($d) - $sodium;
        $least =
            $stocked === []
                ? 0.0
                : min(array_map(static fn(ServingOption $option): float => $option->sodium[$m][$d], $stocked));

        return match (true) {
            $live === [] => Message::of('shortfall.no_live'),
            $ready === [] => Message::of('shortfall.not_ready'),
            $eaten === [] => Message::of('shortfall.not_for', eater: $eater->name),
            $more === [] => Message::of('shortfall.all_served'),
            $stocked === [] => Message::of('shortfall.used_up'),
            $margin + 1e-9 < $least => Message::of(
                'shortfall.no_room',
                left: (int) floor(max(0.0, $margin)),
                least: (int) ceil($least),
            ),
            count($today) >= $problem->perMeal * count($problem->meals) => Message::of('shortfall.meals_full'),
            default => Message::of('shortfall.not_worth'),
        };
    }
}
