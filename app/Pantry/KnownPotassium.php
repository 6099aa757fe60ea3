<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Models\Ingredient;
use Closure;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Potassium;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * The potassium of what is eaten, as far as the kitchen's foods tell it.
 */
final class KnownPotassium
{
    /** Said of a portion; null where nothing of it is left, or nothing in it is known. */
    public static function said(Ledger $ledger, Served $served, float $grams): ?Message
    {
        $potassium = Potassium::of($ledger, self::table());
        $band = $potassium->in($served, $grams);

        return $band === null || ($band->typical <= 0.0 && $potassium->unknown !== [])
            ? null
            : Message::of(
                'potassium.portion',
                mg: self::rounded($band->typical),
                low: self::rounded($band->low),
                high: self::rounded($band->high),
                grams: round($grams, 1),
                unknown: $potassium->unknown === [] ? 'none' : Listed::all($potassium->unknown),
            );
    }

    /** @return Closure(Produce): (float|null) milligrams in 100 g of a food of this kitchen */
    private static function table(): Closure
    {
        $known = Ingredient::query()
            ->withoutGlobalScope('present')
            ->whereNotNull('potassium_mg_per_100g')
            ->get(['key', 'potassium_mg_per_100g'])
            ->keyBy('key');

        return static fn(Produce $food): ?float => $known->get($food->id)?->potassium_mg_per_100g;
    }

    /** It is no better known than to ten milligrams. */
    private static function rounded(float $milligrams): int
    {
        return $milligrams < 10.0 ? (int) round($milligrams) : (int) round($milligrams, -1);
    }
}
