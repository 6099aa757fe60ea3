<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use LogicException;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Seconds;

/**
 * What is usually done by a method before the jar is closed.
 */
final readonly class Preparation
{
    /** Under the tap after salting. */
    public const RINSED_S = 120.0;

    /** A quick pickle in the fridge before it is eaten, a day or two. */
    public const PICKLE_RESTS_S = 86_400.0;

    /** From this brine strength on the pieces may shrink. */
    private const STRONG = 0.05;

    /**
     * @param  Seconds|null  $salting  how long it rests or soaks before the next step; null where salting is no step of
     *     its own
     * @param  Seconds|null  $rinse  how long it is rinsed after that; null where it is not
     * @param  Band|null  $draw  juice that leaves the pieces, as a share of their weight; null where nothing is in
     *     pieces
     */
    public function __construct(
        public ?Seconds $salting = null,
        public ?Seconds $rinse = null,
        private ?Band $draw = null,
        public bool $takesStarter = false,
    ) {}

    /** How long it rests or soaks, by a method that has such a step. */
    public function salting(): Seconds
    {
        return $this->salting ?? throw new LogicException('Nothing is salted beforehand by this method.');
    }

    /** How long it is rinsed, by a method that has such a step. */
    public function rinse(): Seconds
    {
        return $this->rinse ?? throw new LogicException('Nothing is rinsed by this method.');
    }

    /** Under a brine pieces may take up a little, or give a little. */
    public static function brineDraw(): Band
    {
        return Band::of(-0.03, 0.0, 0.05);
    }

    /**
     * Juice drawn out of the pieces, as a share of their weight.
     *
     * @param  float  $brineStrength  of the poured brine, salt / (salt + water)
     */
    public function draw(float $brineStrength = 0.0): Band
    {
        $draw = $this->draw ?? Band::exact(0.0);

        return $draw->low < 0.0 && $brineStrength >= self::STRONG ? Band::of($draw->low, $draw->typical, 0.15) : $draw;
    }
}
