<?php

declare(strict_types=1);

namespace Tempesal\Core\Jar;

use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;

/**
 * Several jars filled alike from one bowl: each takes its share by the room it has.
 */
final readonly class JarSet
{
    /** @var list<float> ml under the headspace, less the weight */
    private array $rooms;

    /** @param  non-empty-list<Jar>  $jars */
    public function __construct(public array $jars, public Packing $packing)
    {
        $this->rooms = array_map(
            static fn(Jar $jar): float => JarFit::of($jar, $packing, Grams::zero(), 1.0, 1.0)->usable->value,
            $jars,
        );
    }

    /** Room under the headspace of them all. */
    public function usable(): Millilitres
    {
        return Millilitres::of(array_sum($this->rooms));
    }

    /**
     * The share of everything that goes into each, in the order of the jars; together 1.
     *
     * @return non-empty-list<float>
     */
    public function shares(): array
    {
        $all = array_sum($this->rooms);

        return array_map(fn(float $room): float => $all > 0.0 ? $room / $all : 1.0 / count($this->jars), $this->rooms);
    }

    /**
     * How a weight of food lies in each of them.
     *
     * @param  float  $density  g/ml of the pieces themselves
     * @param  float  $packed  share of the space that the packed pieces fill, 0 to 1
     * @return non-empty-list<JarFit>
     */
    public function fits(Grams $food, float $density, float $packed): array
    {
        $fits = [];
        foreach ($this->shares() as $i => $share) {
            $fits[] = JarFit::of($this->jars[$i], $this->packing, $food->times($share), $density, $packed);
        }

        return $fits;
    }

    /** The weight of food that fills them all at its packing fraction. */
    public function foodThatFits(float $density, float $packed): Grams
    {
        return Grams::of($this->usable()->value * $packed * $density);
    }

    /** How full a jar would be, as a share of its room, with a volume in it; INF for a jar without room. */
    public static function fullness(Jar $jar, Millimetres $headspace, Millilitres $weight, Millilitres $volume): float
    {
        $room = JarFit::of($jar, new Packing($headspace, $weight), Grams::zero(), 1.0, 1.0)->usable->value;

        return $room > 0.0 ? $volume->value / $room : INF;
    }
}
