<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Celsius;

/**
 * How warm a batch has stood.
 */
final class BatchTemperature
{
    /**
     * The mean temperature from its beginning to a moment, over the time in which it rested.
     *
     * @param  float  $until  seconds since it was begun
     * @return Celsius|null null where nothing is known of it
     */
    public static function mean(Ledger $history, float $until): ?Celsius
    {
        $sum = $seconds = 0.0;
        foreach ($history->milestones() as $i => $stood) {
            $end = min($until, $history->lines[$i + 1]->at ?? $until);
            if ($stood->bath !== null && $end > $stood->clock) {
                $sum +=
                    ($end - $stood->clock) *
                    $stood->bath->temperature->mean($stood->clock - $stood->bath->beganAt, $end - $stood->bath->beganAt)
                        ->value;
                $seconds += $end - $stood->clock;
            }
        }

        return $seconds > 0.0 ? Celsius::of($sum / $seconds) : null;
    }
}
