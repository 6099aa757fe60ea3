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
    case Eaten = 'eaten';
    case Discarded = 'discarded';
    case GivenAway = 'given_away';
    /** Booked by a reading of the cook's own; may be negative. */
    case Correction = 'correction';
}
