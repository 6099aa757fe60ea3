<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * A phrase taken apart: an amount, and what it is held against.
 */
final readonly class Phrase
{
    /**
     * @param  Quantity  $amount  of a share: the number before the sign
     * @param  float|null  $share  what 1 of the number is: 0.01 of "3 %"; null where it is no share
     * @param  string|null  $basis  of a share, where it was said: water, brine, vegetable, everything
     * @param  Quantity|null  $per  what it is held against: "per quart"; of a share: what it is taken of
     * @param  Quantity|null  $until  the upper end of a range whose ends have their own units
     * @param  list<Quantity>  $same  the same amount said otherwise: "1 lb (450 g)"
     * @param  string  $head  what was typed for the amount
     * @param  string  $rest  what was typed after it
     */
    public function __construct(
        public Quantity $amount,
        public ?float $share = null,
        public ?string $basis = null,
        public ?Quantity $per = null,
        public ?Quantity $until = null,
        public array $same = [],
        public string $head = '',
        public string $rest = '',
    ) {}
}
