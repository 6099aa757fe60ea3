<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * An entry that leaves something open which the batch itself settles: the salt that reaches a strength, brine of the
 * batch's own strength, what was booked when it was written.
 */
interface Resolvable extends Entry
{
    /**
     * The entry as it was carried out, worked out once from the typical state before it, so that a band does not
     * pretend that the cook could have known better.
     *
     * @throws NotEnough
     */
    public function resolve(BatchState $before): Entry;
}
