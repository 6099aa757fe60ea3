<?php

declare(strict_types=1);

namespace App\Household;

use App\Models\Household;
use App\Support\ReadOnce;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row of one household: it is found, made and changed only for the current household.
 *
 * @property string $id
 * @property string $household_id
 */
trait BelongsToHousehold
{
    use HasUlids;
    use ReadOnce;

    public static function bootBelongsToHousehold(): void
    {
        static::addGlobalScope('household', static function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('household_id'), app(CurrentHousehold::class)->id());
        });
        static::creating(static function (Model $row): void {
            $row->setAttribute('household_id', app(CurrentHousehold::class)->id());
        });
    }

    /** Its key is never counted up; it is asked at every column that is read. */
    public function getIncrementing(): bool
    {
        return false;
    }

    /**
     * Writes many rows of the current household at once.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    public static function createMany(array $rows): void
    {
        $household = app(CurrentHousehold::class)->id();
        $now = CarbonImmutable::now();
        $all = array_map(static function (array $row) use ($household, $now): array {
            $model = new self([...$row, 'household_id' => $household, 'created_at' => $now, 'updated_at' => $now]);
            $model->setAttribute('id', $row['id'] ?? $model->newUniqueId());

            return $model->getAttributes();
        }, $rows);
        if ($all !== []) {
            self::query()->insert($all);
        }
    }

    /** The place after the last one; 0 where there is none yet. For rows with a column "position". */
    public static function nextPosition(): int
    {
        $last = self::query()->withoutGlobalScope('present')->max('position');

        return is_numeric($last) ? 1 + (int) $last : 0;
    }

    /** @return BelongsTo<Household, $this> */
    public function household(): BelongsTo
    {
        return $this->belongsTo(Household::class);
    }
}
