<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\HoldDown;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Salt;
use App\Pantry\FoodTable;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Salt\StartingSalts;

/**
 * Gives the current household the salts, foods and jar sizes that a kitchen starts with.
 */
final readonly class SeedPantry
{
    /** name, ml, mouth mm, body mm, cover; widths are common practice, no source */
    public const JARS = [
        ['Pint jar', 473.176473, 76, 83, 'screw lid'],
        ['Quart jar', 946.352946, 76, 90, 'screw lid'],
        ['Half-gallon jar', 1892.705892, 76, 112, 'airlock'],
        ['Half-litre clamp jar', 500, 82, 92, 'clamp'],
        ['One-litre clamp jar', 1000, 82, 102, 'clamp'],
        ['Two-litre jar', 2000, 95, 122, 'airlock'],
        ['Five-litre crock', 5000, 180, 190, 'cloth'],
        ['Sauce bottle, 100 ml', 100, 24, 44, 'screw lid'],
        ['Sauce bottle, 150 ml', 150, 24, 50, 'screw lid'],
        ['Sauce bottle, 250 ml', 250, 28, 58, 'screw lid'],
        ['Bottle, 500 ml', 500, 28, 70, 'screw lid'],
        ['Bottle, 1 litre', 1000, 28, 88, 'screw lid'],
    ];

    /** name, ml, whether it is filled with brine; common practice, no source */
    public const HOLD_DOWNS = [
        ['Glass weight', 55, false],
        ['Small jar as a weight', 140, false],
        ['Folded leaf', 10, false],
        ['Brine-filled bag', 120, true],
    ];

    /** @param  array<int, int>  $jarCounts  how many of each of the sizes, by their place in JARS */
    public function __invoke(array $jarCounts): void
    {
        foreach (StartingSalts::all() as $position => $salt) {
            Salt::create([...Salt::columns($salt), 'position' => $position]);
        }
        $this->foods();
        foreach (self::JARS as $position => [$name, $ml, $mouth, $body, $cover]) {
            Jar::create([
                'name' => $name,
                'position' => $position,
                'nominal_ml' => $ml,
                'mouth_mm' => $mouth,
                'body_mm' => $body,
                'cover' => $cover,
                'how_many' => $jarCounts[$position] ?? 0,
            ]);
        }
        foreach (self::HOLD_DOWNS as [$name, $ml, $isBag]) {
            HoldDown::create(['name' => $name, 'volume_ml' => $ml, 'is_bag' => $isBag, 'how_many' => 2]);
        }
    }

    /** Adds the foods that are not there yet, and brings those up to date that the cook has not changed. */
    public function foods(): void
    {
        $there = Ingredient::query()->withoutGlobalScope('present')->get();
        $new = [];
        foreach (self::ingredients() as $row) {
            $known = $there->firstWhere('key', $row['key']);
            if ($known === null) {
                $new[] = $row;
            } elseif ($known->edited || $known->own) {
                // What else it is called is the library's to say; what it is, where nobody has said it.
                $known->update([
                    'also' => $row['also'],
                    ...$known->traits === null ? ['traits' => $row['traits']] : [],
                    'potassium_mg_per_100g' => $known->potassium_mg_per_100g ?? $row['potassium_mg_per_100g'],
                ]);
            } else {
                // What was corrected since reaches kitchens that stand; what was written with the old figures stays.
                $known->update($row);
            }
        }
        Ingredient::createMany($new);
    }

    /** @return list<non-empty-array<string, string|bool|float|list<string>|null>> rows of the ingredients table */
    public static function ingredients(): array
    {
        return array_map(
            static fn(array $food): array => [
                'key' => $food['key'],
                'name' => $food['name'],
                'use' => $food['use'],
                'colour' => $food['colour'],
                'source' => $food['source'],
                'water_g_per_100g' => $food['water'],
                ...Ingredient::sodium()->write(Band::of(...array_values($food['sodium']))),
                'potassium_mg_per_100g' => $food['potassium'],
                'density_g_per_ml' => $food['density'],
                'shape' => $food['shape'],
                'tissue' => $food['tissue'],
                'hollow' => $food['hollow'],
                'live' => $food['live'],
                'brine_floor_of_water' => $food['brineFloor'],
                'ph' => $food['ph'],
                'traits' => $food['traits'],
                'allergens' => $food['allergens'],
                'not_for' => $food['notFor'],
                'also' => implode(', ', $food['also']),
            ],
            FoodTable::all(),
        );
    }
}
