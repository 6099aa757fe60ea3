<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use App\Household\HasVersion;
use App\Support\BandColumns;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\Ingredient as Produce;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Uptake\Tissue;

/**
 * A food in the kitchen's table.
 *
 * @property string $key
 * @property string $name
 * @property string $use
 * @property float $water_g_per_100g
 * @property float|null $potassium_mg_per_100g  null where nobody knows
 * @property float $density_g_per_ml
 * @property PieceShape $shape
 * @property bool $hollow
 * @property bool $live
 * @property float $brine_floor_of_water
 * @property string $colour
 * @property string $source
 * @property Tissue $tissue
 * @property float|null $ph
 * @property list<string>|null $traits  null: nothing was said, so that its name and use tell
 * @property list<string> $allergens
 * @property list<string> $not_for
 * @property string $also
 * @property bool $own
 * @property bool $edited
 * @property float|null $label_sodium_mg
 * @property float|null $label_serving_g
 */
final class Ingredient extends Model
{
    use BelongsToHousehold, CanBeRemoved, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $guarded = [];

    public function produce(): Produce
    {
        return new Produce(
            $this->key,
            $this->name,
            $this->water_g_per_100g,
            self::sodium()->read($this),
            $this->density_g_per_ml,
            $this->shape,
            $this->hollow,
            $this->live,
            $this->brine_floor_of_water,
            $this->tissue,
            array_map(Allergen::from(...), $this->allergens),
            $this->ph,
            $this->traits(),
        );
    }

    /**
     * @return list<FoodTrait> what was said of it, or what its name and use say; a vegetable is low in acid unless it
     *     is sweet
     */
    public function traits(): array
    {
        if ($this->traits !== null) {
            return array_map(FoodTrait::from(...), $this->traits);
        }
        $traits = FoodTrait::ofName($this->name);

        return $traits === [] && $this->use === 'vegetable' ? [FoodTrait::LowAcidPlant] : $traits;
    }

    public static function sodium(): BandColumns
    {
        return BandColumns::named('sodium_%s_mg_per_100g');
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'water_g_per_100g' => 'float',
            'potassium_mg_per_100g' => 'float',
            'density_g_per_ml' => 'float',
            'brine_floor_of_water' => 'float',
            'shape' => PieceShape::class,
            'hollow' => 'boolean',
            'live' => 'boolean',
            'tissue' => Tissue::class,
            'ph' => 'float',
            'traits' => 'array',
            'allergens' => 'array',
            'not_for' => 'array',
            'own' => 'boolean',
            'edited' => 'boolean',
            'label_sodium_mg' => 'float',
            'label_serving_g' => 'float',
        ];
    }
}
