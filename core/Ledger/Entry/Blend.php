<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;

/**
 * Pieces and brine become one phase: a sauce or a paste.
 */
final readonly class Blend implements Entry
{
    public static function kind(): string
    {
        return 'blend';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        if ($state->present()->isNothing()) {
            throw NotEnough::nothingIn(Phase::Pieces);
        }

        return $state->moveAll(Phase::Pieces, Phase::Sauce)->moveAll(Phase::Brine, Phase::Sauce);
    }

    public static function read(Fields $fields): self
    {
        return new self();
    }

    public function toArray(): array
    {
        return ['kind' => self::kind()];
    }
}
