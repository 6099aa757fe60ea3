<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SaltProduct;

/**
 * What the cook has fixed at the bench; everything else follows from it.
 */
final readonly class Sheet
{
    /**
     * @param  Grams|null  $vegetableWeight  null: as much as fills the jar
     * @param  SaltDose|null  $dose  a fixed amount of salt; null: as much as the strength asks for
     * @param  float  $share  wanted strength, 0.03 for 3 %, on the basis
     * @param  Grams|null  $water  null: as much as the jar takes
     */
    public function __construct(
        public Method $method,
        public Ingredient $vegetable,
        public ?Grams $vegetableWeight,
        public PieceShape $shape,
        public ?Jar $jar,
        public Packing $packing,
        public SaltProduct $salt,
        public SaltUnit $saltUnit,
        public SpoonSystem $spoons,
        public ?SaltDose $dose,
        public float $share,
        public Basis $basis,
        public ?Grams $water,
        public ?Starter $starter,
        public Grams $serving,
    ) {
    }
}
