<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;

/**
 * Too salty: the brine is poured off and fresh water takes its place.
 */
final readonly class Freshen implements Entry
{
    /** @param  Band  $film  old brine that clings to the pieces, as a share of their weight */
    public function __construct(public Grams $water, public Band $film) {}

    public static function kind(): string
    {
        return 'freshen';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return ClingingBrine::drain($state, $this->film, $point)->receive(
            Composition::water($this->water->value),
            Phase::Brine,
        );
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->grams('water'), $fields->band('film', ClingingBrine::drained(), 0.0, 1.0));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'water' => $this->water->value, 'film' => $this->film->toArray()];
    }
}
