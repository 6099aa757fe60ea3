<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Measure\Composition;

/**
 * What is eaten of a batch.
 */
enum Served: string
{
    /** Drained, with the brine that clings to them. */
    case Pieces = 'pieces';
    /** Drunk by the glass. */
    case Brine = 'brine';
    case Sauce = 'sauce';
    /** As it lies in the jar: pieces with their share of the dressing. */
    case All = 'all';

    public static function of(Phase $phase): self
    {
        return self::from($phase->value);
    }

    /** The phase by which it is weighed: of all, the pieces. */
    public function phase(): Phase
    {
        return match ($this) {
            self::Pieces, self::All => Phase::Pieces,
            self::Brine => Phase::Brine,
            self::Sauce => Phase::Sauce,
        };
    }

    /**
     * What a weight of it is made of, without what clings to drained pieces.
     *
     * @return non-empty-list<array{Phase, float}> grams of each phase, the one by which it is weighed last
     */
    public function parts(BatchState $state, float $grams): array
    {
        if ($this !== self::All || $state->isOnePhase()) {
            return [[$this->phase(), $grams]];
        }
        $all = $this->in($state)->weightG();
        $dressing = $all > 0.0 ? ($grams * $state->phase(Phase::Brine)->weightG()) / $all : 0.0;

        return [[Phase::Brine, $dressing], [Phase::Pieces, $grams - $dressing]];
    }

    /** What there is of it. */
    public function in(BatchState $state): Composition
    {
        return $this === self::All ? $state->present() : $state->phase($this->phase());
    }
}
