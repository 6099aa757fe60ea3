<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Measure\Band;

/**
 * One person's day on the salt line.
 */
final readonly class SodiumDay
{
    /**
     * @param  float  $targetMg  milligrams of sodium
     * @param  float  $restMg  milligrams from the rest of the diet
     * @param  list<array{source: string, sodiumMg: Band}>  $eaten  each serving with the batch it came from
     */
    public function __construct(public float $targetMg, public float $restMg, public array $eaten) {}

    /**
     * Sodium from ferments. Servings of one batch are wrong in the same way, so their bands add up;
     * those of different batches are independent and add as root of squares.
     */
    public function ferments(): Band
    {
        $typical = 0.0;
        $below = $above = [];
        foreach ($this->eaten as ['source' => $source, 'sodiumMg' => $band]) {
            $typical += $band->typical;
            $below[$source] = ($below[$source] ?? 0.0) + $band->typical - $band->low;
            $above[$source] = ($above[$source] ?? 0.0) + $band->high - $band->typical;
        }

        return Band::of(
            max(0.0, $typical - self::rootOfSquares($below)),
            $typical,
            $typical + self::rootOfSquares($above),
        );
    }

    /** Milligrams left under the target; negative when it is passed. */
    public function marginMg(): float
    {
        return $this->targetMg - $this->restMg - $this->ferments()->typical;
    }

    /** @param  array<string, float>  $parts */
    private static function rootOfSquares(array $parts): float
    {
        return sqrt(array_sum(array_map(static fn(float $part): float => $part ** 2, $parts)));
    }
}
