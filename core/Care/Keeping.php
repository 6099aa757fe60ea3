<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Formula\Method;

/**
 * How long a jar keeps in the fridge: common practice, no source, and where a food-safety authority says less, that.
 */
final class Keeping
{
    /** A quick salt pickle is eaten within a week. */
    private const QUICK_PICKLE_DAYS = 7;

    /** Home-made egg mayonnaise and garlic in oil: a few days, as public food-safety advice has it; from memory. */
    private const EGG_DAYS = 4;

    private const GARLIC_IN_OIL_DAYS = 4;

    private const CONDIMENT_DAYS = 60;

    /** A jar from a shop, once it is open. */
    private const BOUGHT_DAYS = 60;

    private const VEGETABLE_DAYS = 180;

    /** Whole days in the fridge after which it has kept as long as it does. */
    public static function days(Method $method, bool $hasEgg, bool $hasGarlicInOil): int
    {
        return min(
            $hasEgg ? self::EGG_DAYS : self::VEGETABLE_DAYS,
            $hasGarlicInOil ? self::GARLIC_IN_OIL_DAYS : self::VEGETABLE_DAYS,
            match ($method) {
                Method::QuickSaltPickle => self::QUICK_PICKLE_DAYS,
                Method::CulturedCondiment => self::CONDIMENT_DAYS,
                Method::Bought => self::BOUGHT_DAYS,
                default => self::VEGETABLE_DAYS,
            },
        );
    }

    /** Whether what has kept its time is thrown out, rather than looked at and used up. */
    public static function isStrict(Method $method, bool $hasEgg, bool $hasGarlicInOil): bool
    {
        return $hasEgg || $hasGarlicInOil || $method === Method::QuickSaltPickle;
    }
}
