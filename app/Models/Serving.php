<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Intake\EatenDays;
use App\Support\BandColumns;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;

/**
 * Something a person ate from a batch, with the sodium it had at that moment.
 *
 * @property string $person_id
 * @property string $batch_id
 * @property string $batch_entry_id
 * @property string $eaten_on
 * @property string|null $planned_serving_id
 * @property string|null $dish_key  shares of one dish name the same
 * @property float|null $dish_g  of the jar in the whole dish
 * @property bool $is_live  at the moment at which it was eaten
 * @property bool $is_cooked  nothing in it was live when it was eaten
 * @property Served $phase
 * @property float $grams
 * @property string|null $request_key
 * @property array<string, mixed>|null $booked_before  what was booked before it was brought up to date
 * @property CarbonImmutable|null $undone_at
 * @property CarbonImmutable $created_at
 * @property Batch $batch
 * @property Person $person
 * @property BatchEntry $entry
 */
final class Serving extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected static function booted(): void
    {
        static::saved(EatenDays::changed(...));
    }

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

    /** @return BelongsTo<BatchEntry, $this> its line in the jar's ledger */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(BatchEntry::class, 'batch_entry_id');
    }

    public function way(): ServingStyle
    {
        $entry = $this->entry->read();

        return $entry instanceof Serve ? ServingStyle::ofPlate($entry) : ServingStyle::Drained;
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
        return [
            'phase' => Served::class,
            'grams' => 'float',
            'dish_g' => 'float',
            'is_live' => 'boolean',
            'is_cooked' => 'boolean',
            'booked_before' => 'array',
            'undone_at' => 'immutable_datetime',
        ];
    }
}
