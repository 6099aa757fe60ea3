<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Models\Batch;
use App\Models\Ingredient;
use App\Models\Salt;
use App\Models\WeighedMeasure;
use RuntimeException;
use Tempesal\Core\Amount\FoodShelf;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\VolumeUnit;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltProduct;
use Tempesal\Core\Salt\StartingSalts;

/**
 * What foods weigh by the spoon, the cup and the piece: database/data/measures.csv, a source in every row, and the
 * densities of the pantry. Cups are US cups.
 *
 * @phpstan-type Measures array{cups: array<string, Band>, pieces: array<string, Band>}
 */
final class FoodMeasures
{
    /** How far off a density can be, by what it is; common practice, no source. */
    private const LIQUID = [0.98, 1.0, 1.02];

    private const POWDER = [0.86, 1.0, 1.16];

    private const LEAF = [0.55, 1.0, 1.5];

    /** Drained pieces in a cup, against the pieces themselves: USDA household weights of sauerkraut, from memory. */
    private const DRAINED = [0.48, 0.6, 0.78];

    /** @var array<string, Measures>|null */
    private static ?array $table = null;

    /** The foods and salts that every kitchen starts with. */
    public static function shelf(): FoodShelf
    {
        $foods = [MeasuredFood::water()];
        foreach (FoodTable::all() as $food) {
            $foods[] = self::measured(
                $food['key'],
                $food['name'],
                $food['also'],
                $food['use'] === 'vegetable',
                $food['density'],
                PieceShape::from($food['shape']),
                in_array(FoodTrait::Liquid->value, $food['traits'], true) || $food['water'] > 30.0,
            );
        }
        foreach (StartingSalts::all() as $salt) {
            $foods[] = self::salt($salt);
        }

        return new FoodShelf($foods);
    }

    /** The foods and salts of the current kitchen, by their key. */
    public static function ofKitchen(): FoodShelf
    {
        return new FoodShelf(self::allOfKitchen());
    }

    /** @return list<MeasuredFood> */
    public static function allOfKitchen(): array
    {
        $foods = [MeasuredFood::water()];
        foreach (Ingredient::query()->get() as $food) {
            $foods[] = self::ofFood($food);
        }
        foreach (Salt::query()->get() as $salt) {
            $foods[] = self::ofSalt($salt);
        }

        return $foods;
    }

    public static function ofFood(Ingredient $food): MeasuredFood
    {
        return self::measured(
            $food->key ?? '',
            $food->name,
            array_values(array_filter(array_map(trim(...), explode(',', $food->also)))),
            $food->use === 'vegetable',
            $food->density_g_per_ml,
            $food->shape,
            $food->water_g_per_100g > 30.0,
            $food->key,
        );
    }

    public static function ofSalt(Salt $salt): MeasuredFood
    {
        return self::salt($salt->product());
    }

    public static function salt(SaltProduct $salt): MeasuredFood
    {
        return new MeasuredFood(
            $salt->id,
            $salt->label(),
            [$salt->name, ...StartingSalts::ALSO[$salt->id] ?? []],
            $salt->gramsPerTablespoon->times(1.0 / VolumeUnit::UsTablespoon->millilitres()),
            PieceShape::Pulp,
            false,
            true,
        );
    }

    /** What is in a jar: a sauce pours, drained pieces lie in a spoon with air between them. */
    public static function ofProduct(string $name, float $density, PieceShape $shape): MeasuredFood
    {
        $isCut = $shape !== PieceShape::Pulp;

        return new MeasuredFood(
            '',
            Message::of('text.quoted', text: $name),
            [$name],
            self::around($density, self::LIQUID),
            $shape,
            $isCut,
            false,
            $isCut
                ? ['any' => self::around($density, self::DRAINED), 'chopped' => self::around($density, self::DRAINED)]
                : [],
        );
    }

    /**
     * What is served of a batch, with the forks and spoons that were weighed for that person or in this kitchen.
     *
     * @param  Served|null  $served  null: what such a batch is eaten as
     */
    public static function served(Batch $batch, ?Served $served = null, ?string $personId = null): MeasuredFood
    {
        $served ??= $batch->served ?? $batch->method->served();
        $food = self::ofProduct(
            $batch->name,
            $batch->density_g_per_ml,
            $served->phase() === Phase::Pieces ? $batch->shape : PieceShape::Pulp,
        );

        return $food->weighing(
            WeighedMeasure::of('forkful', $food->shape, $personId),
            WeighedMeasure::of('spoonful', $food->shape, $personId),
        );
    }

    public static function liquid(string $name, float $density): MeasuredFood
    {
        return self::ofProduct($name, $density, PieceShape::Pulp);
    }

    /** @param  array{float, float, float}  $factors */
    private static function around(float $typical, array $factors): Band
    {
        return Band::of(...array_map(static fn(float $factor): float => $factor * $typical, $factors));
    }

    /** @param  list<string>  $also */
    private static function measured(
        string $key,
        string $name,
        array $also,
        bool $isCut,
        float $density,
        PieceShape $shape,
        bool $isWet,
        ?string $id = null,
    ): MeasuredFood {
        $measures = self::table()[$key] ?? ['cups' => [], 'pieces' => []];

        return new MeasuredFood(
            $id ?? $key,
            LibraryName::food($key, $name),
            [$name, ...$also],
            self::around(
                $density,
                match (true) {
                    $shape === PieceShape::Leaves => self::LEAF,
                    $isWet => self::LIQUID,
                    default => self::POWDER,
                },
            ),
            $shape,
            $isCut,
            false,
            $measures['cups'],
            $measures['pieces'],
        );
    }

    /** @return array<string, Measures> */
    public static function table(): array
    {
        if (self::$table !== null) {
            return self::$table;
        }
        $file =
            fopen(dirname(__DIR__, 2) . '/database/data/measures.csv', 'r') ?:
            throw new RuntimeException('The table of measures is missing.');
        fgetcsv($file, escape: '');
        $table = [];
        while (($cells = fgetcsv($file, escape: '')) !== false) {
            [$key, $measure, $low, $typical, $high] = array_map(strval(...), $cells);
            $band = Band::of((float) $low, (float) $typical, (float) $high);
            $table[$key] ??= ['cups' => [], 'pieces' => []];
            if (str_starts_with($measure, 'cup ')) {
                $table[$key]['cups'][substr($measure, 4)] = $band->times(1.0 / VolumeUnit::UsCup->millilitres());
            } else {
                $table[$key]['pieces'][$measure] = $band;
            }
        }
        fclose($file);

        return self::$table = $table;
    }
}
