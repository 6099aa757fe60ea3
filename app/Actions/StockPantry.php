<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Salt;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Salt\StartingSalts;

/**
 * Gives the current household the salts, foods and jar sizes that a kitchen starts with.
 */
final readonly class StockPantry
{
    /** One-sided 95 % of a normal distribution, so that the band covers about nine in ten. */
    private const DEVIATIONS = 1.645;

    /** Where the tables measured one region only, and so give no deviation: a guess. */
    private const UNMEASURED_SPREAD = 0.2;

    /** name, ml, mouth mm, body mm, cover; widths are common practice, no source */
    public const JARS = [
        ['Pint jar', 473.176473, 76, 83, 'screw lid'],
        ['Quart jar', 946.352946, 76, 90, 'screw lid'],
        ['Half-gallon jar', 1892.705892, 76, 112, 'airlock'],
        ['Half-litre clamp jar', 500, 82, 92, 'clamp'],
        ['One-litre clamp jar', 1000, 82, 102, 'clamp'],
        ['Two-litre jar', 2000, 95, 122, 'airlock'],
        ['Five-litre crock', 5000, 180, 190, 'cloth'],
    ];

    /** @param  array<int, int>  $jarCounts  how many of each of the sizes, by their place in JARS */
    public function __invoke(array $jarCounts): void
    {
        foreach (StartingSalts::all() as $position => $salt) {
            Salt::create([...Salt::columns($salt), 'position' => $position]);
        }
        foreach (self::ingredients() as $row) {
            Ingredient::create($row);
        }
        foreach (self::JARS as $position => [$name, $ml, $mouth, $body, $cover]) {
            Jar::create([
                'name' => $name, 'position' => $position, 'nominal_ml' => $ml, 'mouth_mm' => $mouth, 'body_mm' => $body,
                'cover' => $cover, 'how_many' => $jarCounts[$position] ?? 0,
            ]);
        }
    }

    /** @return list<array<string, mixed>> rows of the ingredients table */
    public static function ingredients(): array
    {
        /** @var array{ifct: list<array{string, string, string, float, float, float, float, string, bool, float, string}>, memory: list<array{string, string, string, float, float, float, float, float, string, bool, bool, float, string}>} $data */
        $data = require database_path('data/ingredients.php');
        $rows = [];
        foreach ($data['ifct'] as [$key, $name, $code, $water, $sodium, $deviation, $density, $shape, $hollow, $floor, $colour]) {
            $half = $deviation > 0.0 ? self::DEVIATIONS * $deviation : self::UNMEASURED_SPREAD * $sodium;
            $rows[] = self::row(
                [$key, $name, 'vegetable', $colour, "IFCT 2017, {$code}"],
                $water, Band::of(max(0.0, $sodium - $half), $sodium, $sodium + $half), $density, $shape, $hollow, false, $floor,
            );
        }
        foreach ($data['memory'] as [$key, $name, $use, $water, $low, $typical, $high, $density, $shape, $hollow, $live, $floor, $colour]) {
            $rows[] = self::row(
                [$key, $name, $use, $colour, 'USDA composition tables, from memory'],
                $water, Band::of($low, $typical, $high), $density, $shape, $hollow, $live, $floor,
            );
        }

        return $rows;
    }

    /**
     * @param  array{string, string, string, string, string}  $words  key, name, use, colour, source
     * @return array<string, mixed>
     */
    private static function row(array $words, float $water, Band $sodium, float $density, string $shape, bool $hollow, bool $live, float $floor): array
    {
        [$key, $name, $use, $colour, $source] = $words;

        return [
            'key' => $key, 'name' => $name, 'use' => $use, 'colour' => $colour, 'source' => $source,
            'water_g_per_100g' => $water, ...Ingredient::sodium()->write($sodium), 'density_g_per_ml' => $density,
            'shape' => $shape, 'hollow' => $hollow, 'live' => $live, 'brine_floor_of_water' => $floor,
        ];
    }
}
