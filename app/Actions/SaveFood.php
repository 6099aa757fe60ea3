<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Ingredient;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * Puts a food of the cook's own on the shelf, or other values beside one that Tempesal knows. Old jars keep what they
 * were made with.
 */
final readonly class SaveFood
{
    /**
     * @param  array<string, mixed>  $columns
     * @param  int|null  $version  that the cook had open; null: whatever it is
     */
    public function __invoke(?string $id, array $columns, ?int $version = null): Ingredient
    {
        return DB::transaction(static function () use ($id, $columns, $version): Ingredient {
            if ($id === null) {
                return Ingredient::create([
                    ...$columns,
                    'key' => 'own-' . Str::lower((string) Str::ulid()),
                    'own' => true,
                    'colour' => '#b9ab99',
                    'brine_floor_of_water' => Produce::USUAL_BRINE_FLOOR,
                    'also' => '',
                ]);
            }
            $food = Ingredient::query()->lockForUpdate()->findOrFail($id)->refuseUnless($version);
            $food->update([...$columns, 'edited' => !$food->own]);

            return $food;
        });
    }

    /** Goes back to the values of the table. */
    public function restore(string $id): Ingredient
    {
        return DB::transaction(static function () use ($id): Ingredient {
            $food = Ingredient::query()->lockForUpdate()->findOrFail($id);
            foreach (SeedPantry::ingredients() as $row) {
                if ($row['key'] === $food->key) {
                    $food->update([...$row, 'edited' => false, 'label_sodium_mg' => null, 'label_serving_g' => null]);
                }
            }

            return $food;
        });
    }
}
