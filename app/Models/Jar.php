<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use App\Household\HasVersion;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Tempesal\Core\Jar\Jar as Geometry;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;

/**
 * A size of jar that the kitchen owns, and how many of it.
 *
 * @property string $name
 * @property float $nominal_ml
 * @property float $mouth_mm
 * @property float $body_mm
 * @property string $cover
 * @property int $how_many
 * @property Collection<int, Batch> $batches
 */
final class Jar extends Model
{
    use BelongsToHousehold, CanBeRemoved, HasVersion;

    /** Columns whose change is none of the cook's. */
    private const UNCOUNTED = ['position', 'removed_at'];

    protected $guarded = [];

    public function geometry(): Geometry
    {
        return Geometry::of(
            Millilitres::of($this->nominal_ml),
            Millimetres::of($this->mouth_mm),
            Millimetres::of($this->body_mm),
        );
    }

    /** @return HasMany<Batch, $this> */
    public function batches(): HasMany
    {
        return $this->hasMany(Batch::class);
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'nominal_ml' => 'float',
            'mouth_mm' => 'float',
            'body_mm' => 'float',
            'how_many' => 'integer',
        ];
    }
}
