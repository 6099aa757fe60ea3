<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Measure\Grams;

/**
 * The history of a batch, oldest entry first. Its state at any moment is computed from it.
 */
final readonly class Ledger
{
    /** @param  list<Entry>  $entries */
    public function __construct(public array $entries)
    {
    }

    public function with(Entry ...$entries): self
    {
        return new self([...$this->entries, ...array_values($entries)]);
    }

    /** @throws NotEnough when an entry takes more than there was */
    public function state(?Point $point = null): BatchState
    {
        $point ??= Point::typical();
        $state = BatchState::empty();
        foreach ($this->entries as $entry) {
            $state = $entry->applyTo($state, $point);
        }

        return $state;
    }

    /**
     * What the batch holds now, with bands.
     *
     * @return array{piecesPer100g: Estimate, brinePer100g: Estimate, saucePer100g: Estimate} milligrams of sodium in 100 g
     *
     * @throws NotEnough
     */
    public function concentrations(): array
    {
        /** @var array{piecesPer100g: Estimate, brinePer100g: Estimate, saucePer100g: Estimate} */
        return Propagation::estimate(function (Point $point): array {
            $state = $this->state($point);

            return [
                'piecesPer100g' => $state->phase(Phase::Pieces)->sodiumPer100g(),
                'brinePer100g' => $state->phase(Phase::Brine)->sodiumPer100g(),
                'saucePer100g' => $state->phase(Phase::Sauce)->sodiumPer100g(),
            ];
        });
    }

    /**
     * Milligrams of sodium in a serving taken now.
     *
     * @throws NotEnough when the batch holds less than the serving
     */
    public function serving(Serve $serving): Estimate
    {
        $serving->applyTo($this->state(), Point::typical());

        return Propagation::estimate(fn (Point $point): array => [$serving->sodiumMg($this->state($point), $point)])[0];
    }

    /** Servings of a size that the phase still holds. */
    public function servingsLeft(Phase $phase, Grams $serving): int
    {
        $weight = $this->state()->phase($phase)->weightG();

        return $serving->isZero() ? 0 : (int) floor($weight / $serving->value + 1e-9);
    }
}
