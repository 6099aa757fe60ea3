<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;

/**
 * Osmosis draws water out of the pieces: a share of the weight they have now. A negative share swells them.
 */
final readonly class Draw implements Entry
{
    public function __construct(public Band $share) {}

    public static function kind(): string
    {
        return 'draw';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $pieces = $state->phase(Phase::Pieces);
        $share = $point->of(new Uncertain('draw', 'draw', $this->share));
        $water = max(
            -0.9 * $state->phase(Phase::Brine)->waterG,
            min(0.95 * $pieces->waterG, $share * $pieces->weightG()),
        );

        return $state->move(Composition::water($water), Phase::Pieces, Phase::Brine)->stirred();
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->band('share', null, -0.3, 0.9));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'share' => $this->share->toArray()];
    }
}
