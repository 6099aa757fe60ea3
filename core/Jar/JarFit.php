<?php

declare(strict_types=1);

namespace Tempesal\Core\Jar;

use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;

/**
 * How food fits into a jar: what is left for brine, how far the packed pieces reach.
 */
final readonly class JarFit
{
    /** Within a hundredth the food counts as covered. */
    private const JUST_COVERED = 0.99;

    private function __construct(
        public Jar $jar,
        public Packing $packing,
        public Millilitres $usable,
        public Millilitres $displaced,
        public Millilitres $bulk,
    ) {}

    /**
     * @param  float  $density  g/ml of the pieces themselves
     * @param  float  $packed  share of the space that the packed pieces fill, 0 to 1
     */
    public static function of(Jar $jar, Packing $packing, Grams $food, float $density, float $packed): self
    {
        $displaced = $food->value / $density;

        return new self(
            $jar,
            $packing,
            self::usable($jar, $packing),
            Millilitres::of($displaced),
            Millilitres::of($displaced / $packed),
        );
    }

    /** The weight of vegetable that fills the usable volume at its packing fraction. */
    public static function foodThatFits(Jar $jar, Packing $packing, float $density, float $packed): Grams
    {
        return Grams::of(self::usable($jar, $packing)->value * $packed * $density);
    }

    /** Whether the pieces, packed, stay below the headspace. */
    public function holdsTheFood(): bool
    {
        return $this->bulk->value <= $this->usable->value * 1.0001;
    }

    /** Brine that fills the gaps and covers the food up to the headspace. */
    public function brineToFill(): Millilitres
    {
        return Millilitres::of(max(0.0, $this->usable->value - $this->displaced->value));
    }

    /** Liquid that just reaches the top of the packed pieces. */
    public function liquidToCover(): Millilitres
    {
        return $this->bulk->minus($this->displaced);
    }

    /** What rises over the rim once the liquid is in. */
    public function overflow(Millilitres $liquid): Millilitres
    {
        return Millilitres::of(max(0.0, $this->contents($liquid) - $this->jar->nominal->value));
    }

    /** How high the liquid stands. */
    public function liquidLevel(Millilitres $liquid): Millimetres
    {
        $covered = $liquid->value >= $this->liquidToCover()->value * self::JUST_COVERED;
        $volume = $covered
            ? $this->contents($liquid)
            : $liquid->value / max(1e-9, 1.0 - $this->displaced->value / $this->bulk->value);

        return $this->jar->heightOf(Millilitres::of($volume));
    }

    /** How high the packed pieces reach. */
    public function foodLevel(): Millimetres
    {
        return $this->jar->heightOf($this->bulk);
    }

    private function contents(Millilitres $liquid): float
    {
        return $this->displaced->value + $liquid->value + $this->packing->weightVolume->value;
    }

    /** The nominal volume less the headspace and the weight. */
    private static function usable(Jar $jar, Packing $packing): Millilitres
    {
        $top = max(0.0, $jar->height()->value - $packing->headspace->value);

        return Millilitres::of(
            max(0.0, $jar->volumeUpTo(Millimetres::of($top))->value - $packing->weightVolume->value),
        );
    }
}
