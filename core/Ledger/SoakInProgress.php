<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * A rest that goes on: from a moment of the batch's clock, salt moves between pieces and brine as time passes.
 */
final class SoakInProgress
{
    /** @var array{float, float, array{float, float}}|null the stretch that was asked for last, and what it came to */
    private ?array $last = null;

    /** @param  Piece|null  $piece  null: the pieces that are in the jar, as they are usually cut */
    public function __construct(
        public readonly float $beganAt,
        public readonly TemperatureHistory $temperature,
        public readonly ?Piece $piece,
    ) {}

    /**
     * What a stretch of it comes to. Estimates ask for the same one at each of their points.
     *
     * @param  float  $from  seconds since the rest began
     * @param  float  $to  the same
     * @return array{float, float} seconds at 20 °C in which salt would go as far, seconds at the reference temperature in
     *     which it would ripen as far
     */
    public function stretch(float $from, float $to): array
    {
        if ($this->last === null || $this->last[0] !== $from || $this->last[1] !== $to) {
            $this->last = [
                $from,
                $to,
                [
                    $this->temperature->secondsAt20($from, $to),
                    $this->temperature->integrate($from, $to, Ripening::factor(...)),
                ],
            ];
        }

        return $this->last[2];
    }
}
