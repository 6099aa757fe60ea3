<?php

declare(strict_types=1);

namespace App\Week;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Plan\ObjectiveWeights;
use Tempesal\Core\Plan\WeekPlan;

/**
 * How a household wants its weeks planned.
 */
final readonly class Planning
{
    public const WEIGHTS = ['short', 'variety', 'urgency', 'over', 'sodium', 'repeat', 'keep', 'small', 'fair'];

    /** What it counts that one eater goes short more than others: this project's own judgement. */
    private const FAIR = 20.0;

    public function __construct(public int $perDay, public bool $hasNew, public ObjectiveWeights $weights) {}

    /** @param  array<string, mixed>  $kept */
    public static function of(array $kept): self
    {
        /** @var array<string, int|float|numeric-string> $weights */
        $weights = is_array($kept['weights'] ?? null) ? $kept['weights'] : [];

        return new self(
            is_int($kept['perDay'] ?? null) ? $kept['perDay'] : WeekPlan::USUAL_PER_DAY,
            ($kept['hasNew'] ?? false) === true,
            ObjectiveWeights::read(Fields::of(['fair' => self::FAIR, ...array_map(floatval(...), $weights)])),
        );
    }

    /** @return array{perDay: int, hasNew: bool, weights: array<string, float>} */
    public function toArray(): array
    {
        return ['perDay' => $this->perDay, 'hasNew' => $this->hasNew, 'weights' => (array) $this->weights];
    }
}
