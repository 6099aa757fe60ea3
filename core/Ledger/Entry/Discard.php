<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * A weight of one phase is thrown away.
 */
final readonly class Discard implements Entry
{
    public function __construct(public Phase $phase, public Grams $grams) {}

    public static function kind(): string
    {
        return 'discard';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return $state->release(
            $state->portion($this->phase, $this->grams->value, $point),
            $this->phase,
            Account::Discarded,
        );
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->choice('phase', Phase::class), $fields->grams());
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'phase' => $this->phase->value, 'grams' => $this->grams->value];
    }
}
