<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A planned week.
 */
final readonly class Plan
{
    /**
     * @param  list<Cell>  $cells
     * @param  float  $bound  that no week can pass
     */
    public function __construct(public Instance $instance, public array $cells, public float $objective, public float $bound)
    {
    }

    /** How far from the best it can be at most, as a share of its own objective's size. */
    public function gap(): float
    {
        return ($this->bound - $this->objective) / max(1.0, abs($this->objective));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $instance = $this->instance;

        return [
            'tempesal' => 'planned',
            'version' => 1,
            'objective' => round($this->objective, 6),
            'bound' => round($this->bound, 6),
            'gap' => round($this->gap(), 6),
            'cells' => array_map(static fn (Cell $cell): array => [
                'eater' => $instance->eaters[$cell->eater]->id, 'day' => $cell->day, 'meal' => $instance->meals[$cell->meal], 'offer' => $instance->offers[$cell->offer]->id,
            ], $this->cells),
            'days' => Shortfall::days($this),
            'shortfalls' => array_map(static fn (Shortfall $one): array => $one->toArray(), Shortfall::of($this)),
        ];
    }
}
