<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Uptake\Piece;

/**
 * All the pieces go under running water: salt leaves them into an unlimited fresh bath, and the film becomes fresh
 * water.
 */
final readonly class Rinse implements Entry
{
    /** @param  Piece|null  $piece  null: the pieces that are in the jar, as they are usually cut */
    public function __construct(public Rinsing $washing, public Band $film, public ?Piece $piece = null) {}

    public static function kind(): string
    {
        return 'rinse';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $film = ClingingBrine::share($this->film, $point) * $state->phase(Phase::Pieces)->weightG();

        return $state
            ->wash($this->washing->washedMg($state, $this->piece, $point), Account::Discarded)
            ->releaseAll(Phase::Brine, Account::Discarded)
            ->receive(Composition::water($film), Phase::Brine);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Rinsing::read($fields),
            $fields->band('film', ClingingBrine::drained(), 0.0, 1.0),
            $fields->has('piece') ? Piece::read($fields->child('piece')) : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            ...$this->washing->toArray(),
            'film' => $this->film->toArray(),
            ...$this->piece === null ? [] : ['piece' => $this->piece->toArray()],
        ];
    }
}
