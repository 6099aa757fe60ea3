<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Measure\Band;

/**
 * Gas pushed brine over the rim into the saucer. It takes its salt along.
 */
final readonly class Overflow implements Entry
{
    /** @param  Band  $grams  of brine; a band when guessed */
    public function __construct(public Band $grams) {}

    public static function kind(): string
    {
        return 'overflow';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $grams = $point->of(new Uncertain('overflow', 'overflow', $this->grams));

        return $state->release($state->portion($state->liquid(), $grams, $point), $state->liquid(), Account::Discarded);
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->band('grams'));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'grams' => $this->grams->toArray()];
    }
}
