<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Models\Ingredient;
use Illuminate\Support\Collection;
use Symfony\Component\Serializer\Encoder\CsvEncoder;

/**
 * The foods of a kitchen as CSV. Cells that a spreadsheet would take for a formula are made plain text.
 */
final class FoodsCsv
{
    /** @param  Collection<int, Ingredient>  $foods */
    public static function of(Collection $foods): string
    {
        $rows = $foods
            ->sortBy('name')
            ->map(
                static fn(Ingredient $food): array => [
                    'name' => $food->name,
                    'use' => $food->use,
                    'water_g_per_100g' => $food->water_g_per_100g,
                    'sodium_mg_per_100g' => $food->produce()->sodiumPer100g->typical,
                    'sodium_low_mg_per_100g' => $food->produce()->sodiumPer100g->low,
                    'sodium_high_mg_per_100g' => $food->produce()->sodiumPer100g->high,
                    'potassium_mg_per_100g' => $food->potassium_mg_per_100g,
                    'density_g_per_ml' => $food->density_g_per_ml,
                    'allergens' => implode(' ', $food->allergens),
                    'source' => $food->source,
                ],
            )
            ->values()
            ->all();

        return (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode($rows, 'csv');
    }
}
