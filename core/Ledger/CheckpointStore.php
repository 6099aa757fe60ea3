<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * Where the short history of one batch and the checkpoint at its end are kept between two times at which it is looked at.
 */
interface CheckpointStore
{
    /** The checkpoint that was kept with the short history with which a ledger began. */
    public function find(): ?Checkpoint;

    public function keep(ShortHistory $short, Checkpoint $checkpoint): void;
}
