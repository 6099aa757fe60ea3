<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Ledger;

/**
 * Whether a batch is garlic or herbs lying in oil, where botulinum toxin can form without a sign: keep cold, use within
 * days (public food-safety advice; from memory). A spoon of oil in a paste is not meant.
 */
final class GarlicInOil
{
    /** Oil from which on a batch lies in oil, as a share of what was put in. */
    private const LIES_IN = 0.2;

    private const LOW_ACID = '/\b(garlic|herbs?|basil|rosemary|thyme|oregano|sage)\b/i';

    public static function is(Ledger $ledger): bool
    {
        $all = $oil = 0.0;
        $hasLowAcid = false;
        foreach ($ledger->entries() as $entry) {
            if ($entry instanceof Add) {
                $all += $entry->grams->typical;
                $oil += preg_match('/\boil\b/i', $entry->ingredient->name) === 1 ? $entry->grams->typical : 0.0;
                $hasLowAcid = $hasLowAcid || preg_match(self::LOW_ACID, $entry->ingredient->name) === 1;
            }
        }

        return $hasLowAcid && $all > 0.0 && $oil / $all >= self::LIES_IN;
    }
}
