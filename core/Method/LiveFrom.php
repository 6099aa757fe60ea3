<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ferment\Ripening;

/**
 * From which stage on what is eaten of a batch counts as live: common practice, no source. Cultures are there from the
 * first hour, but a raw vegetable in brine is no ferment yet.
 */
enum LiveFrom
{
    /** What was never meant to ferment. */
    case Never;
    /** What was live when it was bought or blended. */
    case AtOnce;
    /** When it is young. */
    case Young;
    /** When it has stood for its hours. */
    case Ready;

    /**
     * Whether a batch has come so far.
     *
     * @param  float  $ripened  seconds at the reference temperature
     * @param  Window|null  $window  null for what does not ripen
     */
    public function isReached(float $ripened, ?Window $window): bool
    {
        $days = match ($this) {
            self::Never => null,
            self::AtOnce => 0.0,
            self::Young => $window === null ? 0.0 : $window->youngDays,
            self::Ready => $window === null ? 0.0 : $window->readyDays,
        };

        return $days !== null &&
            $ripened >= $days * 86_400.0 * ($window === null ? 1.0 : Ripening::factor($window->temperature)) - 1.0;
    }
}
