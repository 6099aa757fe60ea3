<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;

/**
 * Time passing over a batch: while a rest goes on, salt moves.
 */
final class TimeStep
{
    /** The state at a moment of the batch's clock; a moment that has passed changes nothing. */
    public static function until(BatchState $state, float $moment, Point $point): BatchState
    {
        if ($moment <= $state->clock) {
            return $state;
        }
        $bath = $state->bath;
        if ($bath === null) {
            return $state->later($moment - $state->clock);
        }

        return self::bathe($state, $bath, $state->clock - $bath->beganAt, $moment - $bath->beganAt, $point);
    }

    /** The state after lying in a bath from one moment of the bath's own time to another. */
    public static function bathe(
        BatchState $state,
        SoakInProgress $bath,
        float $from,
        float $to,
        Point $point,
    ): BatchState {
        [$secondsAt20, $ripening] = $bath->stretch($from, $to);

        return Diffusion::during($state, $bath->piece, $secondsAt20, $point)->later($to - $from, $ripening);
    }
}
