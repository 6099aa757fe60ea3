<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\EntryKinds;

/**
 * One line of a batch's ledger. Lines are added, never changed; a reversal names the line it takes back.
 *
 * @property string $batch_id
 * @property int $position
 * @property string $kind
 * @property array<string, mixed>|null $entry
 * @property string|null $reverses_id
 * @property CarbonImmutable $happened_at
 * @property string|null $request_key
 * @property Batch $batch
 */
final class BatchEntry extends Model
{
    use BelongsToHousehold;

    public const REVERSAL = 'reversal';

    protected $guarded = [];

    /**
     * Lines that were not taken back.
     *
     * @return Builder<self>
     */
    public static function standing(): Builder
    {
        return self::query()->where(
            static fn(Builder $query) => $query->whereNotIn(
                'id',
                self::query()->where('reverses_id', '!=', null)->getQuery()->select('reverses_id'),
            ),
        );
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    public function read(): Entry
    {
        return EntryKinds::read(Fields::of($this->entry));
    }

    protected static function booted(): void
    {
        self::updating(static fn() => throw new LogicException('A ledger line is never changed; reverse it.'));
    }

    protected function casts(): array
    {
        return ['entry' => 'array', 'position' => 'integer', 'happened_at' => 'immutable_datetime'];
    }
}
