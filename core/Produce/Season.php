<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

/**
 * When tender vegetables are cheap and firm where winters are cold: from June to October, on the southern half of the
 * earth from December to April. Roots, cabbages, onions, milk and what grows under glass all year are always in season. Common
 * practice, no source; a cook's own months stand in the rotation.
 */
final class Season
{
    private const SUMMER_FOODS = [
        'asparagus',
        'aubergine',
        'baby-corn',
        'broad-beans',
        'cherry-tomato',
        'courgette',
        'cucumber',
        'green-beans',
        'green-chilli',
        'green-peas',
        'green-pepper',
        'green-tomato',
        'habanero',
        'okra',
        'pickling-cucumber',
        'red-chilli',
        'red-pepper',
        'runner-beans',
        'serrano-chilli',
        'sugar-snap-peas',
        'sweetcorn',
        'tomato',
        'yellow-pepper',
        'yellow-zucchini',
        'zucchini',
    ];

    private const FIRST_MONTH = 6;

    private const LAST_MONTH = 10;

    private const HALF_A_YEAR = 6;

    /** Time zones of the southern half, by the beginning of their names. */
    private const SOUTHERN = [
        'Africa/Johannesburg',
        'Africa/Windhoek',
        'America/Argentina',
        'America/Asuncion',
        'America/Montevideo',
        'America/Santiago',
        'America/Sao_Paulo',
        'Antarctica/',
        'Australia/',
        'Pacific/Auckland',
        'Pacific/Chatham',
    ];

    /** @param  int  $month  1 to 12 */
    public static function isIn(?string $food, int $month, string $timeZone): bool
    {
        $isSouthern = array_any(self::SOUTHERN, static fn(string $one): bool => str_starts_with($timeZone, $one));
        $northern = $isSouthern ? (($month + self::HALF_A_YEAR - 1) % 12) + 1 : $month;

        return !in_array($food, self::SUMMER_FOODS, true) ||
            ($northern >= self::FIRST_MONTH && $northern <= self::LAST_MONTH);
    }
}
