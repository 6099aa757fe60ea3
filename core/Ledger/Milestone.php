<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * How far a batch was after one of its lines: what its ripening and its temperatures are told from, without what it held.
 */
final readonly class Milestone
{
    /**
     * @param  float  $clock  seconds since the batch was begun
     * @param  float  $ripened  seconds at the reference temperature in which it had ripened
     * @param  SoakInProgress|null  $bath  a rest that goes on
     */
    public function __construct(public float $clock, public float $ripened, public ?SoakInProgress $bath) {}

    public static function of(BatchState $state): self
    {
        return new self($state->clock, $state->ripened, $state->bath);
    }
}
