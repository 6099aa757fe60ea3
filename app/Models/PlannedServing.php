<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;
use Tempesal\Core\Intake\ServingStyle;

/**
 * A serving that is meant for someone on a day, of a batch or of one that is planned. It is never changed: a change takes it
 * away and puts another in its place; only what is planned becomes a batch when it is started.
 *
 * @property string $person_id
 * @property string|null $batch_id  null until it is started
 * @property string|null $planned_batch_id  null where it was a batch from the first
 * @property string $planned_on
 * @property float $grams
 * @property ServingStyle $way
 * @property bool $is_locked
 * @property string $added_by
 * @property string|null $removed_by
 * @property Batch|null $batch
 * @property PlannedBatch|null $plannedBatch  null where it is not to be started any more
 */
final class PlannedServing extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /**
     * Those that stand from one day to another, both as YYYY-MM-DD.
     *
     * @return Collection<int, self>
     */
    public static function standing(string $from, string $to): Collection
    {
        $undone = WeekChange::query()->whereNotNull('undone_at')->pluck('id')->flip();

        $rows = self::query()->with(['batch', 'plannedBatch.formula.newest', 'plannedBatch.jar']);
        $rows->whereBetween('planned_on', [$from, $to]);

        return $rows
            ->get()
            ->filter(
                static fn(self $one): bool => ($one->batch !== null || $one->plannedBatch !== null) &&
                    !$undone->has($one->added_by) &&
                    ($one->removed_by === null || $undone->has($one->removed_by)),
            )
            ->sortBy('id')
            ->values();
    }

    /**
     * The same without those that were eaten.
     *
     * @return Collection<int, self>
     */
    public static function open(string $from, string $to): Collection
    {
        $standing = self::standing($from, $to);
        $eaten = Serving::query()
            ->whereIn('planned_serving_id', $standing->pluck('id')->all())
            ->whereNull('undone_at')
            ->pluck('planned_serving_id')
            ->flip();

        return $standing->reject(static fn(self $one): bool => $eaten->has($one->id))->values();
    }

    /** The jar that it is of: a batch, or one that is planned. */
    public function jarId(): string
    {
        return (string) ($this->batch_id ?? $this->planned_batch_id);
    }

    public function jarName(): string
    {
        return $this->batch->name ?? self::neverNull($this->plannedBatch)->name();
    }

    public function likeness(): string
    {
        return $this->batch->likeness ?? self::neverNull($this->plannedBatch)->likeness();
    }

    private static function neverNull(?PlannedBatch $planned): PlannedBatch
    {
        return $planned ?? throw new LogicException('A planned serving is of a batch, or of one that is planned.');
    }

    /** @return BelongsTo<PlannedBatch, $this> */
    public function plannedBatch(): BelongsTo
    {
        return $this->belongsTo(PlannedBatch::class);
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    protected function casts(): array
    {
        return ['grams' => 'float', 'way' => ServingStyle::class, 'is_locked' => 'boolean'];
    }
}
