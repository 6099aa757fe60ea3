<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What in a batch asks for more care than salt and sourness give, from the foods that went in.
 *
 * - Raw egg; what is bought with egg in it was made with pasteurised egg.
 * - Low-acid plants lying in oil can grow botulinum toxin without a sign (public food-safety advice; from memory). A
 *   spoon of oil in a paste is not meant.
 * - A low-acid purée with little salt, nut or avocado for one, has neither salt nor acid to begin with, and no brine.
 * - A live sauce with sugar in it goes on making gas in the fridge.
 */
final readonly class Hazards
{
    /** Oil from which on plants lie in it, as a share of what was put in: common practice, no source. */
    private const LIES_IN_OIL = 0.2;

    /**
     * Low-acid plants from which on a purée is one of them, as a share of what was put in: common practice, no source.
     */
    private const IS_LOW_ACID = 0.5;

    /** Salt of everything below which a purée is hardly salted: the mash's own floor. */
    private const HARDLY_SALTED = 0.02;

    /** Sweet foods from which on a sauce is sweet, as a share of what was put in: common practice, no source. */
    private const IS_SWEET = 0.05;

    /** Milk from which on something is milk, as a share of what was put in: common practice, no source. */
    private const IS_MILK = 0.5;

    public function __construct(
        public bool $hasEgg = false,
        public bool $hasPlantsInOil = false,
        public bool $isLowAcidPuree = false,
        public bool $isSweetSauce = false,
        public bool $isMilk = false,
    ) {}

    public static function of(Ledger $ledger, Method $method): self
    {
        $all = $milk = 0.0;
        $by = array_fill_keys(array_map(static fn(FoodTrait $trait): string => $trait->value, FoodTrait::cases()), 0.0);
        $hasEgg = $isSauce = false;
        foreach (self::foods($ledger) as [$food, $grams, $into]) {
            $all += $grams;
            foreach ($food->traits as $trait) {
                $by[$trait->value] += $grams;
            }
            $milk += in_array(Allergen::Milk, $food->allergens, true) ? $grams : 0.0;
            $hasEgg = $hasEgg || in_array(Allergen::Egg, $food->allergens, true);
            $isSauce = $isSauce || $into === Phase::Sauce;
        }
        $share = static fn(FoodTrait $trait): float => $all > 0.0 ? $by[$trait->value] / $all : 0.0;
        $isSauce = $isSauce || $ledger->state()->isOnePhase();

        return new self(
            $hasEgg && $method->isMade(),
            $by[FoodTrait::LowAcidPlant->value] > 0.0 && $share(FoodTrait::Oil) >= self::LIES_IN_OIL,
            $isSauce &&
                $method !== Method::Transform &&
                $method->isMade() &&
                $method !== Method::MilkAndSweet &&
                $share(FoodTrait::LowAcidPlant) >= self::IS_LOW_ACID &&
                (SaltedContents::of($ledger, $method)?->contents->shareOrNull(SaltBasis::OfEverything) ?? 1.0) <
                    self::HARDLY_SALTED * 0.995,
            $isSauce && $share(FoodTrait::Sweet) >= self::IS_SWEET,
            $all > 0.0 && $milk / $all >= self::IS_MILK,
        );
    }

    /** @return list<array{Ingredient, float, Phase}> what went in, with typical grams and where to */
    private static function foods(Ledger $ledger): array
    {
        $foods = [];
        foreach ($ledger->entries() as $entry) {
            if ($entry instanceof Add) {
                $foods[] = [$entry->ingredient, $entry->grams->typical, $entry->into];
            } elseif ($entry instanceof Starter) {
                $foods[] = [$entry->liquid, $entry->grams->value, $entry->into ?? Phase::Brine];
            }
        }

        return $foods;
    }
}
