<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Measure\Band;

/**
 * What someone took in on a day, told apart by where it came from.
 */
final readonly class IntakeDay
{
    /**
     * @param  string  $date  YYYY-MM-DD
     * @param  float  $estimateMg  of the rest of the diet, less what was written down instead
     * @param  float  $writtenMg  of the rest of the diet, food by food
     * @param  list<array{source: string, name: string, group: string, isCondiment: bool, isLive: bool,
     *     sodiumMg: Band, meal?: Meal}>  $servings
     * @param  array<string, float>  $restByMeal  of the rest of the diet, by the value of Meal; what names no meal is
     *     left out
     * @param  list<array{name: string, milligrams: float}>  $foods  that were written down; none: they count as one
     */
    public function __construct(
        public string $date,
        public float $targetMg,
        public float $estimateMg,
        public float $writtenMg,
        public array $servings,
        public array $restByMeal = [],
        public array $foods = [],
    ) {}

    public function ferments(): Band
    {
        return (new SodiumDay(
            $this->targetMg,
            0.0,
            array_map(
                static fn(array $one): array => ['source' => $one['source'], 'sodiumMg' => $one['sodiumMg']],
                $this->servings,
            ),
        ))->ferments();
    }

    /** Milligrams from pieces, or from condiments and brine. */
    public function of(bool $isCondiment): float
    {
        return array_sum(
            array_map(
                static fn(array $one): float => $one['isCondiment'] === $isCondiment ? $one['sodiumMg']->typical : 0.0,
                $this->servings,
            ),
        );
    }

    public function totalMg(): float
    {
        return $this->estimateMg + $this->writtenMg + $this->ferments()->typical;
    }

    /** Milligrams at a meal. */
    public function at(Meal $meal): float
    {
        return ($this->restByMeal[$meal->value] ?? 0.0) +
            array_sum(
                array_map(
                    static fn(array $one): float => ($one['meal'] ?? null) === $meal ? $one['sodiumMg']->typical : 0.0,
                    $this->servings,
                ),
            );
    }

    public function live(): int
    {
        return count(array_filter($this->servings, static fn(array $one): bool => $one['isLive']));
    }
}
