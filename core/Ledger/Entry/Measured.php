<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Diffusion;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\SodiumChloride;

/**
 * A reading of the cook's own replaces the prediction from there on; the difference is booked as a correction.
 */
final readonly class Measured implements Resolvable
{
    /**
     * @param  Band  $value  in the reading's own unit, with what the instrument can be off
     * @param  bool|null  $atRest  whether pieces and brine are even, so that one speaks for both; null: as the
     *     prediction says
     * @param  bool  $movesWater  whether a weight other than predicted means juice that is in the brine
     */
    public function __construct(
        public Reading $reading,
        public Band $value,
        public ?bool $atRest = null,
        private bool $movesWater = false,
    ) {}

    public static function kind(): string
    {
        return 'measured';
    }

    public function resolve(BatchState $before): self
    {
        if ($before->phase($this->reading->phase())->weightG() <= 0.0) {
            throw NotEnough::nothingIn($this->reading->phase());
        }
        $pieces = $before->phase(Phase::Pieces);
        $excess = $pieces->weightG() - $this->value->typical;

        return new self(
            $this->reading,
            $this->value,
            $this->atRest ?? self::isEven($before),
            $this->reading === Reading::DrainedWeight &&
                $excess < $pieces->waterG &&
                -$excess < $before->phase(Phase::Brine)->waterG &&
                $before->phase(Phase::Brine)->weightG() > ClingingBrine::drained()->high * $pieces->weightG(),
        );
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $value = $point->of(
            new Uncertain("reading:{$this->reading->value}", "reading_{$this->reading->value}", $this->value),
        );
        $phase = $this->reading->phase();
        if ($this->reading === Reading::DrainedWeight) {
            return $this->weigh($state, $value);
        }
        $there = $state->phase($phase);
        $sodium = $this->reading->sodiumMg($there, $value);
        $next = $state->correct(new Composition(sodiumMg: $sodium - $there->sodiumMg), $phase);
        $other = $phase === Phase::Pieces ? Phase::Brine : Phase::Pieces;
        if ($this->atRest !== true || $phase === Phase::Sauce || $there->waterG <= 0.0) {
            return $next;
        }
        // Sodium per gram of what takes it up is the same on both sides.
        $takesUp = static fn(Phase $phase): float => $phase === Phase::Pieces
            ? $state->piecesTakeUpG($point)
            : $state->phase($phase)->waterG;

        return $next->correct(
            new Composition(
                sodiumMg: ($sodium * $takesUp($other)) / $takesUp($phase) - $state->phase($other)->sodiumMg,
            ),
            $other,
        );
    }

    public static function read(Fields $fields): self
    {
        $reading = $fields->choice('what', Reading::class);

        return new self(
            $reading,
            $fields->band('value', null, 0.0, $reading->most()),
            $fields->has('atRest') ? $fields->flag('atRest') : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'what' => $this->reading->value,
            'value' => $this->value->toArray(),
            ...$this->atRest === null ? [] : ['atRest' => $this->atRest],
        ];
    }

    /**
     * Pieces that weigh other than predicted gave more juice, or less: it is in the brine around them, with the salt of
     * that water. Where no such brine is there, pieces of the same make-up are missing.
     */
    private function weigh(BatchState $state, float $grams): BatchState
    {
        $pieces = $state->phase(Phase::Pieces);
        $excess = $pieces->weightG() - $grams;
        $from = $excess >= 0.0 ? $pieces : $state->phase(Phase::Brine);
        if ($this->movesWater && $from->waterG > 0.0) {
            $perGram = $from->sodiumMg / $from->waterG;
            $water = $excess / (1.0 + SodiumChloride::gramsFor($perGram));

            return $state->move(new Composition($water, $water * $perGram), Phase::Pieces, Phase::Brine);
        }

        return $pieces->weightG() <= 0.0
            ? $state
            : $state->correct($pieces->times(-$excess / $pieces->weightG()), Phase::Pieces);
    }

    /** Within a fiftieth of rest counts as even. */
    private static function isEven(BatchState $state): bool
    {
        $pieces = $state->phase(Phase::Pieces);
        $takesUp = $state->piecesTakeUpG(Point::typical());
        $atRest = Diffusion::atEquilibrium(
            $pieces,
            $state->phase(Phase::Brine),
            $pieces->waterG > 0.0 ? $takesUp / $pieces->waterG : 1.0,
        );

        return abs($atRest - $pieces->sodiumMg) <= 0.02 * $atRest;
    }
}
