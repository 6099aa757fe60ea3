<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\JarSet;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Produce\Ingredient;

/**
 * What the cook has fixed at the bench; everything else follows from it.
 */
final readonly class BenchInput
{
    /**
     * @param  Ingredient  $vegetable  as it is cut; for a condiment its base, for a sauce the batch it is made from
     * @param  Grams|null  $vegetableWeight  null: as much as fills the jars
     * @param  list<Jar>  $jars  none: no jar was picked yet
     * @param  Celsius  $room  where it ferments
     * @param  list<IngredientAmount>  $alongside  foods that go with it: salted with it, part of the base, or blended
     *     in
     * @param  list<IngredientAmount>  $paste  what it is dressed with after salting
     * @param  Grams|null  $water  null: as much as the jars take
     * @param  Millilitres|null  $brine  instead of the water: so much mixed brine
     * @param  Starter|null  $starter  weighing nothing for re-used brine that is to fill the jars
     * @param  BlendSource|null  $source  for a sauce
     * @param  Band|null  $vegetableBand  grams, where the weight was counted or measured by cups; null: weighed
     * @param  Grams|null  $poured  of the brine that was mixed, what went into the jars; null: what fills them
     */
    public function __construct(
        public Method $method,
        public Ingredient $vegetable,
        public ?Grams $vegetableWeight,
        public array $jars,
        public Packing $packing,
        public SaltChoice $salt,
        public Grams $serving,
        public Celsius $room,
        public array $alongside = [],
        public array $paste = [],
        public ?Grams $water = null,
        public ?Millilitres $brine = null,
        public ?Starter $starter = null,
        public Pretreatment $pretreatment = new Pretreatment(),
        public ?BlendSource $source = null,
        public ?Band $vegetableBand = null,
        public ?Grams $poured = null,
    ) {}

    /** The jars together; null when none was picked. */
    public function row(): ?JarSet
    {
        return $this->jars === [] ? null : new JarSet($this->jars, $this->packing);
    }

    /** Share of the room that the food fills as it is packed, 0 to 1. */
    public function packed(): float
    {
        return $this->packing->fraction ?? $this->vegetable->shape->packing();
    }

    /** The same with another target for its salt. */
    public function withTarget(SaltTarget $target): self
    {
        return new self(
            $this->method,
            $this->vegetable,
            $this->vegetableWeight,
            $this->jars,
            $this->packing,
            $this->salt->withTarget($target),
            $this->serving,
            $this->room,
            $this->alongside,
            $this->paste,
            $this->water,
            $this->brine,
            $this->starter,
            $this->pretreatment,
            $this->source,
            $this->vegetableBand,
            $this->poured,
        );
    }
}
