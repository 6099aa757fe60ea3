<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Message;

/**
 * The sodium of something from a package or a menu, said in one of the ways in which it is printed.
 *
 * Salt on European labels is sodium times 2.5: Regulation (EU) No 1169/2011, Annex I; from memory.
 */
final class LabelSodium
{
    /** What a label says may be off by a fifth: 21 CFR 101.9(g)(5), from memory. */
    private const FIFTH = 0.2;

    /** Milligrams above which it is a slip of the pen rather than a meal. */
    private const MOST_MG = 20_000.0;

    private const MOST_G = 5_000.0;

    /**
     * Milligrams of sodium.
     *
     * @param  Fields  $how  "by" is mg (milligrams), salt (saltG), per_100g (grams, and sodiumMg or saltG in 100 g) or
     *     per_portion (portions, and sodiumMg or saltG in one)
     *
     * @throws InvalidField
     */
    public static function milligrams(Fields $how): float
    {
        $sodium = match ($how->text('by')) {
            'mg' => self::number($how, 'milligrams', self::MOST_MG),
            'salt' => self::ofSalt(self::number($how, 'saltG', 50.0)),
            'per_100g' => (self::each($how) * self::number($how, 'grams', self::MOST_G)) / 100.0,
            'per_portion' => self::each($how) * self::number($how, 'portions', 50.0),
            default => throw $how->invalid('by', Message::of('errors.label_by')),
        };

        return $sodium > self::MOST_MG
            ? throw $how->invalid('by', Message::of('errors.label_too_much', mg: round($sodium), most: self::MOST_MG))
            : $sodium;
    }

    /**
     * Milligrams of sodium in 100 g, with what a label leaves open.
     *
     * @param  float  $typical  as it is printed
     */
    public static function per100g(float $typical): Band
    {
        return Band::of(
            $typical * (1.0 - self::FIFTH),
            $typical,
            min(SodiumChloride::LABEL_MG_PER_100_G, $typical * (1.0 + self::FIFTH)),
        );
    }

    /** Milligrams of sodium in grams of salt as printed on a European label. */
    public static function ofSalt(float $grams): float
    {
        return ($grams / SodiumChloride::EU_LABEL_SALT_PER_SODIUM) * 1000.0;
    }

    private static function each(Fields $how): float
    {
        return $how->has('saltG')
            ? self::ofSalt(self::number($how, 'saltG', 100.0))
            : self::number($how, 'sodiumMg', 40_000.0);
    }

    private static function number(Fields $how, string $key, float $most): float
    {
        $value = $how->number($key);

        return $value < 0.0 || $value > $most
            ? throw $how->invalid($key, Message::of('errors.between_zero', most: $most))
            : $value;
    }
}
