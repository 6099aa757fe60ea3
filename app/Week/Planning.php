<?php

declare(strict_types=1);

namespace App\Week;

use Tempesal\Core\Plan\ObjectiveWeights;
use Tempesal\Core\Plan\WeekPlan;

/**
 * How a household wants its weeks planned.
 */
final readonly class Planning
{
    public const WEIGHTS = ['short', 'variety', 'urgency', 'over', 'sodium', 'repeat', 'keep'];

    public function __construct(public int $perDay, public bool $hasNew, public ObjectiveWeights $weights) {}

    /** @param  array<string, mixed>  $kept */
    public static function of(array $kept): self
    {
        $usual = new ObjectiveWeights();
        $weight = static fn(string $key, float $default): float => is_numeric($kept['weights'][$key] ?? null)
            ? (float) $kept['weights'][$key]
            : $default;

        return new self(
            is_int($kept['perDay'] ?? null) ? $kept['perDay'] : WeekPlan::USUAL_PER_DAY,
            ($kept['hasNew'] ?? false) === true,
            new ObjectiveWeights(
                $weight('short', $usual->short),
                $weight('variety', $usual->variety),
                $weight('urgency', $usual->urgency),
                $weight('over', $usual->over),
                $weight('sodium', $usual->sodium),
                $weight('repeat', $usual->repeat),
                $weight('keep', $usual->keep),
            ),
        );
    }

    /** @return array{perDay: int, hasNew: bool, weights: array<string, float>} */
    public function toArray(): array
    {
        return ['perDay' => $this->perDay, 'hasNew' => $this->hasNew, 'weights' => get_object_vars($this->weights)];
    }
}
