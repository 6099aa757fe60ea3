<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;

/**
 * Water went into the air, under a cloth or in the pan; the salt stayed.
 */
final readonly class Evaporate implements Entry
{
    /** @param  Band  $grams  of water; a band when guessed */
    public function __construct(public Band $grams) {}

    public static function kind(): string
    {
        return 'evaporate';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $liquid = $state->liquid();
        $grams = $point->of(new Uncertain('evaporation', 'evaporation', $this->grams));
        $there = $state->phase($liquid)->waterG;
        if ($grams > $there && $point->isTypical()) {
            throw NotEnough::of($liquid, $grams, $there);
        }

        return $state->release(Composition::water(min($grams, $there)), $liquid, Account::Evaporated);
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
