<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Support\BandColumns;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Ledger\Phase;

/**
 * Something a person ate from a batch, with the sodium it had at that moment.
 *
 * @property string $person_id
 * @property string $batch_id
 * @property string $batch_entry_id
 * @property string $eaten_on
 * @property string|null $planned_serving_id
 * @property Phase $phase
 * @property float $grams
 * @property CarbonImmutable|null $undone_at
 * @property CarbonImmutable $created_at
 * @property Batch $batch
 * @property Person $person
 */
final class Serving extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        $person = $this->belongsTo(Person::class);
        $person->withoutGlobalScope('present');

        return $person;
    }

    public function sodium(): Band
    {
        return self::sodiumColumns()->read($this);
    }

    public static function sodiumColumns(): BandColumns
    {
        return BandColumns::named('sodium_%s_mg');
    }

    protected function casts(): array
    {
        return ['phase' => Phase::class, 'grams' => 'float', 'undone_at' => 'immutable_datetime'];
    }
}
