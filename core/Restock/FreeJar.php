<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * One jar that batches can stand in. Jars of a size are alike, and each of them holds one batch at a time.
 */
final readonly class FreeJar
{
    public function __construct(public string $id, public string $size) {}
}
