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
        $instance = $plan->instance;
        $all = [];
        foreach ($instance->eaters as $m => $eater) {
            for ($d = 0; $d < $instance->days; $d++) {
                $today = array_values(array_filter($plan->cells, static fn (Cell $cell): bool => $cell->eater === $m && $cell->day === $d));
                $live = count(array_filter($today, static fn (Cell $cell): bool => $instance->offers[$cell->offer]->isLive));
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
        foreach ($plan->instance->eaters as $m => $eater) {
            for ($d = 0; $d < $plan->instance->days; $d++) {
                $sodium = 0.0;
                $live = 0;
                foreach ($plan->cells as $cell) {
                    if ($cell->eater === $m && $cell->day === $d) {
                        $sodium += $plan->instance->offers[$cell->offer]->sodium[$m][$d];
                        $live += $plan->instance->offers[$cell->offer]->isLive ? 1 : 0;
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

    /** @param  list<Cell>  $today */
    private static function reason(Plan $plan, int $m, int $d, array $today): string
    {
        $instance = $plan->instance;
        $eater = $instance->eaters[$m];
        $there = array_map(static fn (Cell $cell): int => $cell->offer, $today);
        $left = array_map(static fn (Offer $offer): float => $offer->stock, $instance->offers);
        foreach ($plan->cells as $cell) {
            $left[$cell->offer] -= $instance->offers[$cell->offer]->portion[$cell->eater];
        }
        $live = array_filter($instance->offers, static fn (Offer $offer): bool => $offer->isLive);
        $ready = array_filter($live, static fn (Offer $offer): bool => $offer->isServedOn($d));
        $eaten = array_filter($ready, static fn (Offer $offer): bool => $offer->isFor[$m]);
        $more = array_filter($eaten, static fn (int $i): bool => ! in_array($i, $there, true), ARRAY_FILTER_USE_KEY);
        $stocked = array_filter($more, static fn (Offer $offer, int $i): bool => $offer->portion[$m] <= $left[$i] + 1e-9, ARRAY_FILTER_USE_BOTH);
        $sodium = array_sum(array_map(static fn (int $i): float => $instance->offers[$i]->sodium[$m][$d], $there));
        $margin = $eater->limit($d) - $sodium;
        $least = $stocked === [] ? 0.0 : min(array_map(static fn (Offer $offer): float => $offer->sodium[$m][$d], $stocked));

        return match (true) {
            $live === [] => 'Nothing live is on the shelf.',
            $ready === [] => 'Nothing live is ready, or keeps, on that day.',
            $eaten === [] => "What is live and ready is not for {$eater->name}.",
            $more === [] => 'Everything live that is ready is served already.',
            $stocked === [] => 'What is live and ready is used up by other servings.',
            $margin + 1e-9 < $least => sprintf('%d mg are left after the rest of the diet, nothing live fits under it; the least takes %d mg.', (int) floor(max(0.0, $margin)), (int) ceil($least)),
            count($today) >= $instance->perMeal * count($instance->meals) => 'Every meal of the day is full.',
            default => 'What is live is not suited for the meals that are free, or costs more elsewhere than it brings here.',
        };
    }
}
