<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\CanBeRemoved;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tempesal\Core\Care\ReleaseCheck;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Check\Verdict;

/**
 * What a cook tasted, read, saw or found in a jar at a moment.
 *
 * @property string $batch_id
 * @property CarbonImmutable $happened_at
 * @property float $ripened_s
 * @property array<string, int> $marks
 * @property string|null $smell
 * @property string|null $colour
 * @property string|null $bubbles
 * @property float|null $celsius
 * @property float|null $ph
 * @property string|null $ph_by  meter or strips; null where nobody said
 * @property float|null $ph_margin  of the meter
 * @property string $text
 * @property string|null $photo
 * @property list<string>|null $found
 * @property Verdict|null $verdict
 * @property string|null $because
 * @property string|null $request_key
 * @property Batch $batch
 */
final class Note extends Model
{
    use BelongsToHousehold;
    use CanBeRemoved;

    /** What is marked from 1 to 5. */
    public const MARKS = ['salty', 'sour', 'crunch', 'heat', 'funk', 'liked'];

    /** What may be said of each in a word. */
    public const WORDS = [
        'smell' => ['fresh', 'sour', 'garlicky', 'funky', 'yeasty', 'sharp', 'off'],
        'colour' => ['bright', 'duller', 'olive', 'deeper', 'browned'],
        'bubbles' => ['none', 'few', 'lively'],
    ];

    protected $guarded = [];

    /** Whether it tells of a jar that sours: gas, a sour smell or taste, or a reading. */
    public function showsSouring(): bool
    {
        return in_array($this->bubbles, ['few', 'lively'], true) ||
            in_array($this->smell, ['sour', 'funky', 'sharp'], true) ||
            ($this->marks['sour'] ?? 0) > 1 ||
            ($this->ph !== null && $this->ph <= ReleaseCheck::LINE_PH) ||
            array_intersect($this->found ?? [], array_column(Finding::ofLife(), 'value')) !== [];
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    protected function casts(): array
    {
        return [
            'happened_at' => 'immutable_datetime',
            'ripened_s' => 'float',
            'marks' => 'array',
            'celsius' => 'float',
            'ph' => 'float',
            'ph_margin' => 'float',
            'found' => 'array',
            'verdict' => Verdict::class,
            'removed_at' => 'immutable_datetime',
        ];
    }
}
