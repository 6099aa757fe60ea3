<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use App\Language\ReaderLanguage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A batch that is to be started on a day, in a jar.
 *
 * @property string|null $request_key
 * @property string $formula_id
 * @property string|null $rotation_line_id
 * @property string $jar_id
 * @property string $start_on
 * @property float $share
 * @property string|null $batch_id
 * @property Formula $formula
 * @property Jar $jar
 */
final class PlannedBatch extends Model
{
    use BelongsToHousehold, CanBeRemoved;

    protected $guarded = [];

    /**
     * Those that were not begun yet, soonest first.
     *
     * @return Collection<int, self>
     */
    public static function toStart(): Collection
    {
        return self::query()
            ->with(['formula.newest', 'jar'])
            ->where('batch_id', null)
            ->orderBy('start_on')
            ->orderBy('id')
            ->get();
    }

    /** It is started, and what was planned of it is planned of the batch. */
    public function becomes(Batch $batch): void
    {
        $this->update(['batch_id' => $batch->id]);
        PlannedServing::query()
            ->where('planned_batch_id', $this->id)
            ->update(['batch_id' => $batch->id]);
    }

    /** Its formula's name, for the reader. */
    public function name(): string
    {
        return ReaderLanguage::say($this->formula->label());
    }

    /** Of the batch that it becomes. */
    public function likeness(): string
    {
        return "formula:{$this->formula_id}";
    }

    /** @return BelongsTo<Formula, $this> */
    public function formula(): BelongsTo
    {
        return $this->belongsTo(Formula::class);
    }

    /** @return BelongsTo<Jar, $this> */
    public function jar(): BelongsTo
    {
        $jar = $this->belongsTo(Jar::class);
        $jar->withoutGlobalScope('present');

        return $jar;
    }

    protected function casts(): array
    {
        return ['share' => 'float'];
    }
}
