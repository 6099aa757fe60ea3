<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * A weight goes onto a plate. Pieces take a film of brine with them; the weight counts both.
 */
final readonly class Serve implements Entry
{
    /** Brine that clings to drained pieces, as a share of their weight: common practice, no source. */
    public const FILM = [0.04, 0.07, 0.12];

    public function __construct(public Phase $phase, public Grams $grams, public Band $film)
    {
    }

    /** A serving with the usual film. */
    public static function of(Phase $phase, Grams $grams): self
    {
        return new self($phase, $grams, self::usualFilm());
    }

    public static function usualFilm(): Band
    {
        return Band::of(...self::FILM);
    }

    public static function kind(): string
    {
        return 'serve';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $parts = $this->parts($state, $point);
        [, $served] = end($parts);
        $there = $state->phase($this->phase)->weightG();
        if ($point->isTypical() && $served > $there * (1.0 + 1e-9)) {
            throw NotEnough::of($this->phase, $this->grams->value, $there);
        }
        foreach ($parts as [$phase, $grams]) {
            $state = $state->release($state->portion($phase, $grams, $point), $phase, Account::Eaten);
        }

        return $state;
    }

    /** Milligrams of sodium in the serving: its weight at the composition the batch has. */
    public function sodiumMg(BatchState $state, Point $point): float
    {
        $sodium = 0.0;
        foreach ($this->parts($state, $point) as [$phase, $grams]) {
            $sodium += $state->phase($phase)->sodiumPer100g() * $grams / 100.0;
        }

        return $sodium;
    }

    /**
     * What the weight on the plate is made of.
     *
     * @return non-empty-list<array{Phase, float}> grams of each phase, the one that was asked for last
     */
    private function parts(BatchState $state, Point $point): array
    {
        $grams = $this->grams->value;
        if ($this->phase !== Phase::Pieces) {
            return [[$this->phase, $grams]];
        }
        $film = $point->of(new Uncertain('film', 'how much brine clings to the pieces', $this->film, 'drain well, or rinse'));
        $brine = min($state->phase(Phase::Brine)->weightG(), $grams * $film / (1.0 + $film));

        return [[Phase::Brine, $brine], [Phase::Pieces, $grams - $brine]];
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->choice('phase', Phase::class),
            $fields->grams(),
            $fields->band('film', self::usualFilm(), 0.0, 1.0),
        );
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'phase' => $this->phase->value, 'grams' => $this->grams->value, 'film' => $this->film->toArray()];
    }
}
