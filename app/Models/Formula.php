<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;

/**
 * A formula of the kitchen. What it says is in its versions, of which the newest counts; batches keep theirs.
 *
 * @property string|null $key
 * @property string $name
 * @property int $version
 * @property CarbonImmutable|null $archived_at
 * @property FormulaVersion $newest
 * @property Collection<int, FormulaVersion> $versions
 */
final class Formula extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /** @return HasMany<FormulaVersion, $this> */
    public function versions(): HasMany
    {
        $versions = $this->hasMany(FormulaVersion::class);
        $versions->orderBy('number');

        return $versions;
    }

    /** @return HasOne<FormulaVersion, $this> */
    public function newest(): HasOne
    {
        return $this->hasOne(FormulaVersion::class)->ofMany('number', 'max');
    }

    /** Its name for the reader. */
    public function label(): Message
    {
        return LibraryName::formula($this->key, $this->name);
    }

    protected function casts(): array
    {
        return ['version' => 'integer', 'archived_at' => 'immutable_datetime'];
    }
}
