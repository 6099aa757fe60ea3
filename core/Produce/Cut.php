<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\Piece;

/**
 * Pieces of one kind that a food comes in.
 */
final readonly class Cut
{
    /**
     * @param  float  $share  of the food's weight, 0 to 1
     * @param  Message  $label  "napa cabbage, rib"
     */
    public function __construct(public Piece $piece, public float $share, public Message $label) {}
}
