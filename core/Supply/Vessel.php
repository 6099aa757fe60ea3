<?php

declare(strict_types=1);

namespace Tempesal\Core\Supply;

/**
 * One jar that batches can stand in. Jars of a size are alike, and each of them holds one batch at a time.
 */
final readonly class Vessel
{
    public function __construct(public string $id, public string $size)
    {
    }
}
