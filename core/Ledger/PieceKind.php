<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\Piece;

/**
 * One kind of pieces in a jar: the leaf or the rib, the coins or the cloves. Salt moves into each at its own pace.
 */
final readonly class PieceKind
{
    /**
     * @param  Composition  $masses  of all of them
     * @param  float  $addedG  of the food that went in as such pieces, the heaviest one where there were several
     * @param  Message|null  $label  what they are called; null where all pieces of the jar are one kind
     * @param  string  $key  what tells the kind apart; "" where all pieces are one
     */
    public function __construct(
        public Piece $piece,
        public Composition $masses,
        public float $addedG,
        public ?Message $label = null,
        public string $key = '',
    ) {}

    public function plus(Composition $masses): self
    {
        return new self($this->piece, $this->masses->plus($masses), $this->addedG, $this->label, $this->key);
    }

    /** K, sodium in a gram of its water over that of the brine, at rest. */
    public function partition(Point $point): float
    {
        return $this->piece->partitionAt($point);
    }
}
