<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\JarSet;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltProduct;

/**
 * What the cook has fixed at the bench; everything else follows from it.
 */
final readonly class BenchInput
{
    /**
     * @param  Ingredient  $vegetable  as it is cut; for a condiment its base, for a sauce the batch it is made from
     * @param  Grams|null  $vegetableWeight  null: as much as fills the jars
     * @param  list<IngredientAmount>  $alongside  foods that go with it: salted with it, part of the base, or blended in
     * @param  list<IngredientAmount>  $paste  what it is dressed with after salting
     * @param  list<Jar>  $jars  none: no jar was picked yet
     * @param  Grams|null  $water  null: as much as the jars take
     * @param  Millilitres|null  $brine  instead of the water: so much mixed brine
     * @param  Starter|null  $starter  weighing nothing for re-used brine that is to fill the jars
     * @param  Seconds|null  $salting  how long it rests or soaks before it is drained or, quickly pickled, eaten
     * @param  Seconds|null  $rinse  under the tap after salting; null: it is not rinsed
     * @param  Celsius  $room  where it ferments
     * @param  Ledger|null  $source  of the batch that becomes a sauce, looked at when it does
     * @param  Grams|null  $kept  brine that is blended in; null: all of it
     */
    public function __construct(
        public Method $method,
        public Ingredient $vegetable,
        public ?Grams $vegetableWeight,
        public array $jars,
        public Packing $packing,
        public SaltProduct $salt,
        public SaltUnit $saltUnit,
        public SpoonSystem $spoons,
        public SaltTarget $target,
        public Grams $serving,
        public Celsius $room,
        public array $alongside = [],
        public array $paste = [],
        public ?Grams $water = null,
        public ?Millilitres $brine = null,
        public ?Starter $starter = null,
        public ?Seconds $salting = null,
        public ?Seconds $rinse = null,
        public bool $isSqueezed = false,
        public ?Ledger $source = null,
        public ?Grams $kept = null,
        public bool $isHeated = false,
    ) {}

    /** The jars together; null when none was picked. */
    public function row(): ?JarSet
    {
        return $this->jars === [] ? null : new JarSet($this->jars, $this->packing);
    }

    /** The same with another wish for its salt. */
    public function wishing(SaltTarget $target): self
    {
        return new self(
            $this->method,
            $this->vegetable,
            $this->vegetableWeight,
            $this->jars,
            $this->packing,
            $this->salt,
            $this->saltUnit,
            $this->spoons,
            $target,
            $this->serving,
            $this->room,
            $this->alongside,
            $this->paste,
            $this->water,
            $this->brine,
            $this->starter,
            $this->salting,
            $this->rinse,
            $this->isSqueezed,
            $this->source,
            $this->kept,
            $this->isHeated,
        );
    }
}
