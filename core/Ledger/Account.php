<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * Where mass comes from or goes to when it crosses the wall of the jar.
 */
enum Account: string
{
    /** Came in from outside. */
    case Outside = 'outside';
    /** Came in from another batch. */
    case Received = 'received';
    case Eaten = 'eaten';
    case Discarded = 'discarded';
    /** Went to another batch. */
    case GivenAway = 'given_away';
    /** Water that went into the air. */
    case Evaporated = 'evaporated';
    /** Booked by a reading of the cook's own; may be negative. */
    case Correction = 'correction';

    /** Whether mass on this account came into the jar; otherwise it left. */
    public function isSource(): bool
    {
        return $this === self::Outside || $this === self::Received || $this === self::Correction;
    }
}
