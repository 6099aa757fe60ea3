<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * One kind of pieces in a bath that it shares with others.
 */
final readonly class BathKind
{
    /**
     * @param  float  $crossingS  l² / D, the time in which salt gets across it, in seconds at 20 °C
     * @param  float  $takesUpG  K W, what its water counts for beside the bath's, in grams
     */
    public function __construct(public PieceForm $form, public float $crossingS, public float $takesUpG) {}
}
