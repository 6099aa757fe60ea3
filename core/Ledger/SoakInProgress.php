<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * A rest that goes on: from a moment of the batch's clock, salt moves between pieces and brine as time passes.
 */
final readonly class SoakInProgress
{
    /** @param  Piece|null  $piece  null: the pieces that are in the jar, as they are usually cut */
    public function __construct(public float $beganAt, public TemperatureHistory $temperature, public ?Piece $piece) {}
}
