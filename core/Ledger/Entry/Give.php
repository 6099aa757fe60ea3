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
 * A weight of one phase leaves for another batch, at its concentration of this moment.
 */
final readonly class Give implements Entry
{
    /** @param  string  $toBatch  the id of the batch that receives it */
    public function __construct(public Phase $phase, public Grams $grams, public string $toBatch)
    {
    }

    public static function kind(): string
    {
        return 'give';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return $state->release($state->portion($this->phase, $this->grams->value, $point), $this->phase, Account::GivenAway);
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->choice('phase', Phase::class), $fields->grams(), $fields->text('toBatch'));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'phase' => $this->phase->value, 'grams' => $this->grams->value, 'toBatch' => $this->toBatch];
    }
}
