<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * What is known of sodium chloride itself.
 */
final class SodiumChloride
{
    /** Grams of sodium in a gram of sodium chloride, from the IUPAC atomic weights. */
    public const SODIUM_SHARE = 22.98977 / 58.44277;

    /** Milligrams of sodium in a gram of sodium chloride. */
    public const MG_SODIUM_PER_G = self::SODIUM_SHARE * 1000.0;

    /** Milligrams of sodium in 100 g of pure salt, as labels round it. */
    public const LABEL_MG_PER_100_G = 39_340.0;

    /** Label "salt" in the European Union is sodium times 2.5: Regulation (EU) 1169/2011, annex I. */
    public const EU_LABEL_SALT_PER_SODIUM = 2.5;

    /** Grams that dissolve in 100 g of water at 20 °C: CRC Handbook, from memory. */
    public const SOLUBLE_G_PER_100_G_WATER = 35.9;

    /** The strongest brine, salt / (salt + water), at 20 °C. */
    public const STRONGEST = self::SOLUBLE_G_PER_100_G_WATER / (100.0 + self::SOLUBLE_G_PER_100_G_WATER);

    public static function gramsFor(float $sodiumMg): float
    {
        return $sodiumMg / self::MG_SODIUM_PER_G;
    }

    /** Salt, in grams, that water cannot dissolve at 20 °C. */
    public static function undissolved(float $saltGrams, float $waterGrams): float
    {
        return max(0.0, $saltGrams - ($waterGrams * self::SOLUBLE_G_PER_100_G_WATER) / 100.0);
    }

    /** Water, in grams, that the salt needs to dissolve at 20 °C. */
    public static function waterToDissolve(float $saltGrams): float
    {
        return ($saltGrams * 100.0) / self::SOLUBLE_G_PER_100_G_WATER;
    }
}
