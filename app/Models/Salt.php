<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use App\Household\HasVersion;
use App\Support\BandColumns;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Salt\SaltProduct;

/**
 * A salt in the cupboard.
 *
 * @property string $key
 * @property string $name
 * @property int $position
 * @property float $water_g_per_100g
 * @property bool $iodised
 * @property bool $anti_caking
 * @property bool $potassium
 * @property bool $calibrated
 * @property bool $own
 */
final class Salt extends Model
{
    use BelongsToHousehold, CanBeRemoved, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $guarded = [];

    public function product(): SaltProduct
    {
        return new SaltProduct(
            $this->key,
            $this->name,
            self::density()->read($this),
            self::sodium()->read($this),
            $this->water_g_per_100g,
            $this->iodised,
            $this->anti_caking,
            $this->potassium,
            $this->calibrated,
        );
    }

    /** @return array<string, mixed> the columns of a product */
    public static function columns(SaltProduct $product): array
    {
        return [
            'key' => $product->id,
            'name' => $product->name,
            ...self::density()->write($product->gramsPerTablespoon),
            ...self::sodium()->write($product->sodiumPer100g),
            'water_g_per_100g' => $product->waterPer100g,
            'iodised' => $product->iodised,
            'anti_caking' => $product->antiCaking,
            'potassium' => $product->potassium,
            'calibrated' => $product->calibrated,
        ];
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'water_g_per_100g' => 'float',
            'iodised' => 'boolean',
            'anti_caking' => 'boolean',
            'potassium' => 'boolean',
            'calibrated' => 'boolean',
            'own' => 'boolean',
        ];
    }

    public static function density(): BandColumns
    {
        return BandColumns::named('density_%s_g_per_us_tbsp');
    }

    public static function sodium(): BandColumns
    {
        return BandColumns::named('sodium_%s_mg_per_100g');
    }
}
