<?php

declare(strict_types=1);

namespace Tests\Support;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Amount\AmountReader;
use Tempesal\Core\Amount\AmountReading;
use Tempesal\Core\Amount\FoodShelf;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SaltProduct;
use Tempesal\Core\Salt\StartingSalts;

/**
 * Foods and salts for the core's tests.
 */
final class Kitchen
{
    public static function food(string $id, float $water, float $sodium): Ingredient
    {
        return new Ingredient($id, str_replace('-', ' ', $id), $water, Band::exact($sodium));
    }

    public static function water(): Ingredient
    {
        return self::food('water', 100, 0);
    }

    /** As in the worked example: 88.29 % water, 69 mg sodium in 100 g. */
    public static function carrot(): Ingredient
    {
        return self::food('carrot', 88.29, 69);
    }

    /** As in the worked example: 92.18 % water, 18 mg sodium in 100 g. */
    public static function cabbage(): Ingredient
    {
        return self::food('cabbage', 92.18, 18)->cut(PieceShape::Shreds);
    }

    public static function pureSalt(): SaltProduct
    {
        return SaltProduct::pure();
    }

    public static function salt(string $id): SaltProduct
    {
        foreach (StartingSalts::all() as $salt) {
            if ($salt->id === $id) {
                return $salt;
            }
        }
        throw new \LogicException($id);
    }

    public static function weighed(float $grams): SaltDose
    {
        return SaltDose::weighed(self::pureSalt(), Grams::of($grams));
    }

    /** A phrase as a US kitchen says it, of no food. */
    public static function read(string $phrase): AmountReading
    {
        return (new AmountReader(new FoodShelf([]), KitchenUnits::of(Habit::Us)))->read($phrase);
    }

    public static function volume(string $phrase): Millilitres
    {
        return Millilitres::of(self::read($phrase)->band->typical);
    }

    public static function mass(string $phrase): Grams
    {
        return Grams::of(self::read($phrase)->band->typical);
    }

    public static function spooned(float $tablespoons): SaltDose
    {
        return SaltDose::spooned(self::salt('flaky-kosher'), self::volume("{$tablespoons} tbsp"));
    }

    /** 600 g of carrot sticks in 600 g of water with 15 g of salt, just poured. */
    public static function jarOfCarrots(): Ledger
    {
        return new Ledger([
            new Add(self::water(), Band::exact(600), Phase::Brine),
            new Salt(self::weighed(15), Phase::Brine),
            new Add(self::carrot()->cut(PieceShape::Sticks), Band::exact(600), Phase::Pieces),
        ]);
    }

    /**
     * 1000 g of cabbage with 22.5 g of salt, or two and a half spoons of the flaky one, a fifth of its weight drawn as
     * juice.
     */
    public static function kraut(bool $spooned = false): Ledger
    {
        return new Ledger([
            new Add(self::cabbage(), Band::exact(1000), Phase::Pieces),
            new Salt($spooned ? self::spooned(2.5) : self::weighed(22.5), Phase::Brine),
            new Draw(Band::of(0.1, 0.2, 0.3)),
            Soak::untilEven(),
        ]);
    }
}
