<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

use Tempesal\Core\Message\Message;

/**
 * A formula to begin with, the jar for it, and why.
 */
final readonly class WayInChoice
{
    public function __construct(public WayInCandidate $candidate, public FreeJar $jar, public Message $why) {}
}
