<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Formula\Window;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Line;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Produce\PieceShape;

/**
 * A jar that was started. Its history is in its entries and is never edited.
 *
 * @property string|null $jar_id
 * @property string $name
 * @property Method $method
 * @property PieceShape $shape
 * @property string $colour
 * @property float $density_g_per_ml
 * @property float $headspace_mm
 * @property float $weight_ml
 * @property float $serving_g
 * @property array<string, mixed> $sheet
 * @property array<string, float|null> $strengths
 * @property string $place
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $emptied_at
 * @property string|null $formula_version_id
 * @property Jar|null $jar
 * @property FormulaVersion|null $formulaVersion
 * @property Collection<int, BatchEntry> $entries
 */
final class Batch extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /**
     * Batches with all that the shelf shows of them.
     *
     * @return Builder<self>
     */
    public static function whole(): Builder
    {
        return self::query()->with(['jar', 'entries', 'formulaVersion']);
    }

    /** @return Builder<self> those that were not emptied */
    public static function onShelf(): Builder
    {
        return self::whole()->where('emptied_at', null);
    }

    /** @return BelongsTo<Jar, $this> */
    public function jar(): BelongsTo
    {
        $jar = $this->belongsTo(Jar::class);
        $jar->withoutGlobalScope('present');

        return $jar;
    }

    /** @return BelongsTo<FormulaVersion, $this> */
    public function formulaVersion(): BelongsTo
    {
        return $this->belongsTo(FormulaVersion::class);
    }

    /** @return HasMany<BatchEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(BatchEntry::class)->orderBy('position');
    }

    /** @return list<BatchEntry> lines that were not taken back, in the order in which things happened */
    public function standing(): array
    {
        $reversed = $this->entries->pluck('reverses_id')->filter()->flip();

        return array_values($this->entries
            ->filter(static fn (BatchEntry $entry): bool => $entry->reverses_id === null && ! $reversed->has($entry->id))
            ->sortBy([['happened_at', 'asc'], ['position', 'asc']])->all());
    }

    /** The whole history, in the order in which things happened, without entries that were reversed. */
    public function history(): Ledger
    {
        return new Ledger(array_map(
            fn (BatchEntry $entry): Line => new Line($entry->read(), $this->secondsSinceStart($entry->happened_at)), $this->standing(),
        ));
    }

    /** The batch as it is now, or was or will be at another moment. */
    public function ledger(?CarbonImmutable $at = null): Ledger
    {
        return $this->history()->asOf($this->secondsSinceStart($at ?? CarbonImmutable::now()));
    }

    public function secondsSinceStart(CarbonImmutable $moment): float
    {
        return max(0.0, $this->started_at->diffInSeconds($moment));
    }

    public function momentAt(float $secondsSinceStart): CarbonImmutable
    {
        return $this->started_at->addSeconds((int) round($secondsSinceStart));
    }

    /** The days by which it is young, ready and long: its formula's own, or those usual for its method. */
    public function window(): ?Window
    {
        return $this->formulaVersion === null ? $this->method->usualWindow()
            : Window::read(Fields::of($this->formulaVersion->document['window'] ?? [], 'window'));
    }

    /** What a person usually takes of it, in grams: a condiment by its own spoon, anything else by the person's fork. */
    public function usualPortion(Person $person, Phase $served): float
    {
        return $served === Phase::Sauce ? $this->serving_g : $person->usual_serving_g;
    }

    protected function casts(): array
    {
        return [
            'method' => Method::class, 'shape' => PieceShape::class, 'density_g_per_ml' => 'float', 'headspace_mm' => 'float',
            'weight_ml' => 'float', 'serving_g' => 'float', 'sheet' => 'array', 'strengths' => 'array', 'started_at' => 'immutable_datetime', 'emptied_at' => 'immutable_datetime',
        ];
    }
}
