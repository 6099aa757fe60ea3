<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;

/**
 * The brine is poured off; a film clings to the pieces.
 */
final readonly class Drain implements Entry
{
    /**
     * @param  Band  $film  brine that stays, as a share of the pieces' weight
     * @param  Grams|null  $keep  brine that is kept for later, for a sauce or to pour back
     */
    public function __construct(public Band $film, public ?Grams $keep = null) {}

    public static function kind(): string
    {
        return 'drain';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $there = $state->phase(Phase::Brine)->weightG();
        if (
            $this->keep !== null &&
            $point->isTypical() &&
            $this->keep->value > $there + BatchState::ROUNDING * (1.0 + $there)
        ) {
            throw NotEnough::of(Phase::Brine, $this->keep->value, $there);
        }

        return ClingingBrine::drain($state, $this->film, $point, $this->keep->value ?? 0.0);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->band('film', ClingingBrine::drained(), 0.0, 1.0),
            $fields->has('keep') ? $fields->grams('keep') : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'film' => $this->film->toArray(),
            ...$this->keep === null ? [] : ['keep' => $this->keep->value],
        ];
    }
}
