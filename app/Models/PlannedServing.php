<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tempesal\Core\Intake\ServingStyle;

/**
 * A serving that is meant for someone on a day. It is never changed: a change takes it away and puts another in its
 * place.
 *
 * @property string $person_id
 * @property string $batch_id
 * @property string $planned_on
 * @property float $grams
 * @property ServingStyle $way
 * @property bool $is_locked
 * @property string $added_by
 * @property string|null $removed_by
 * @property Batch $batch
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

        $rows = self::query()->with('batch');
        $rows->whereBetween('planned_on', [$from, $to]);

        return $rows
            ->get()
            ->filter(
                static fn(self $one): bool => !$undone->has($one->added_by) &&
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
