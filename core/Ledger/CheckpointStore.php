<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * Where the checkpoint of one batch is kept between two times at which it is looked at.
 */
interface CheckpointStore
{
    public function find(): ?Checkpoint;

    public function keep(Checkpoint $checkpoint): void;
}
