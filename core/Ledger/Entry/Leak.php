<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Message;

/**
 * A bag that weighs the food down has leaked into the jar: water, or the brine that was in it.
 */
final readonly class Leak implements Entry
{
    /**
     * @param  Band  $grams  that came in; a band when guessed
     * @param  float  $strength  of what was in the bag, salt / (salt + water), 0 to 1
     */
    public function __construct(public Band $grams, public float $strength = 0.0) {}

    public static function kind(): string
    {
        return 'leak';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $grams = $point->of(new Uncertain('leak', 'leak', $this->grams));
        $salt = SodiumChloride::MG_SODIUM_PER_G * $grams * $this->strength;

        return $state->receive(new Composition($grams * (1.0 - $this->strength), $salt), $state->liquid());
    }

    public static function read(Fields $fields): self
    {
        $strength = $fields->share('strength', 0.0);
        if ($strength > SodiumChloride::STRONGEST) {
            throw $fields->invalid('strength', Message::of('errors.brine_too_strong'));
        }

        return new self($fields->band('grams'), $strength);
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'grams' => $this->grams->toArray(), 'strength' => $this->strength];
    }
}
