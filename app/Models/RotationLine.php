<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that comes round: a kind of ferment, on which days or how often it is eaten, and in which months it is
 * made.
 *
 * @property int $position
 * @property string $name
 * @property string|null $formula_id
 * @property list<string> $likenesses
 * @property list<int> $weekdays
 * @property float $times_a_week
 * @property list<int> $months
 * @property Formula|null $formula
 */
final class RotationLine extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /**
     * In the cook's order.
     *
     * @return Collection<int, self>
     */
    public static function inOrder(): Collection
    {
        return self::query()->orderBy('position')->orderBy('id')->get();
    }

    /** @return BelongsTo<Formula, $this> */
    public function formula(): BelongsTo
    {
        return $this->belongsTo(Formula::class);
    }

    /** @return list<string> of the batches that count as it, those of its own formula among them */
    public function groups(): array
    {
        return array_values(
            array_unique([...$this->likenesses, ...$this->formula_id === null ? [] : ["formula:{$this->formula_id}"]]),
        );
    }

    protected function casts(): array
    {
        return [
            'position' => 'integer',
            'likenesses' => 'array',
            'weekdays' => 'array',
            'times_a_week' => 'float',
            'months' => 'array',
        ];
    }
}
