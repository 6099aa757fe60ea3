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
use Illuminate\Database\Eloquent\Relations\HasOne;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Making\Stage;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Method\Aim;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Method\Window;
use Tempesal\Core\Produce\PieceShape;

/**
 * A jar that was started. Its history is in its entries and is never edited.
 *
 * @property string|null $jar_id
 * @property string|null $cover  null: as jars of its kind have it
 * @property string|null $hold_down
 * @property bool $has_saucer
 * @property float|null $packed  share of the room that the food filled, where the cook's eyes said so
 * @property string $name
 * @property Method $method
 * @property PieceShape $shape
 * @property string $colour
 * @property Served|null $served  what is eaten of it; null: as by its method
 * @property bool $is_apart  whether it knows its kinds of pieces
 * @property float $density_g_per_ml
 * @property float $headspace_mm
 * @property float $weight_ml
 * @property float $serving_g
 * @property array<string, mixed> $bench_input  what was typed at the bench
 * @property array<string, float|null> $strengths
 * @property Place $place
 * @property Place $started_in
 * @property Aim|null $aim
 * @property string $likeness
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $emptied_at
 * @property string|null $use_by  the last day printed on a bought jar, YYYY-MM-DD
 * @property string|null $formula_version_id
 * @property Jar|null $jar
 * @property FormulaVersion|null $formulaVersion
 * @property Collection<int, BatchEntry> $entries
 * @property Collection<int, BatchEntry> $tending
 * @property Collection<int, BatchStep> $steps
 * @property Collection<int, ChoreMark> $choreMarks
 * @property Collection<int, Note> $notes
 * @property BatchSnapshot|null $snapshot
 * @property CarbonImmutable $created_at
 */
final class Batch extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['is_apart' => true];

    /** @var array{int, list<BatchEntry>}|null its standing lines, and of how many entries */
    private ?array $stood = null;

    /** @var array{int, list<BatchEntry>}|null those of them that are no servings, and of how many entries */
    private ?array $tended = null;

    /** @var array{int, list<array{CarbonImmutable, Place}>}|null where it was put, and of how many entries */
    private ?array $moved = null;

    /**
     * Batches with all that there is of them.
     *
     * @return Builder<self>
     */
    public static function whole(): Builder
    {
        return self::query()->with(['jar', 'entries', 'steps', 'formulaVersion', 'choreMarks', 'notes', 'snapshot']);
    }

    /**
     * Batches with all that one sees of them from before the shelf: without what was eaten of them, of which there is more
     * every day.
     *
     * @return Builder<self>
     */
    public static function inShort(): Builder
    {
        return self::query()
            ->with(['jar', 'tending', 'steps', 'formulaVersion', 'choreMarks', 'notes', 'snapshot'])
            ->addSelect([
                'batches.*',
                'last_position' => BatchEntry::query()
                    ->select('position')
                    ->whereColumn('batch_id', 'batches.id')
                    ->orderByDesc('position')
                    ->limit(1),
            ]);
    }

    /** @return Builder<self> those that were not emptied */
    public static function onShelf(): Builder
    {
        return self::inShort()->where('emptied_at', null);
    }

    /** @return Builder<self> those that hold food or will: brine kept for other jars is none */
    public static function food(): Builder
    {
        return self::onShelf()->where('method', '!=', Method::SpareBrine);
    }

    /** @return Builder<self> those that hold food now: what is in its soak, or has not been started, is none yet */
    public static function eatable(): Builder
    {
        $waits = array_filter(StepKind::cases(), static fn(StepKind $kind): bool => $kind->isWaitedFor());

        return self::food()->whereDoesntHave(
            'steps',
            static fn(Builder $steps) => $steps
                ->where('done_at', null)
                ->where('skipped_at', null)
                ->where(
                    static fn(Builder $either) => $either
                        ->whereIn('kind', $waits)
                        ->orWhere('due_at', '>', CarbonImmutable::now()),
                ),
        );
    }

    /** Whether it holds food, by its steps. */
    public function isFoodAt(CarbonImmutable $at): bool
    {
        foreach ($this->steps as $step) {
            if ($step->isWaitedFor($at)) {
                return false;
            }
        }

        return $this->method->isFood();
    }

    /** The next thing to be done in making it. */
    public function nextStep(): ?BatchStep
    {
        return $this->openSteps()[0] ?? null;
    }

    /** @return list<BatchStep> what is still to be done in making it */
    public function openSteps(): array
    {
        $open = [];
        foreach ($this->steps as $step) {
            if ($step->isOpen()) {
                $open[] = $step;
            }
        }

        return $open;
    }

    /** How far it is, by the steps that were done and where it stands. */
    public function stage(bool $isReady): Stage
    {
        if ($this->emptied_at !== null) {
            return Stage::Empty;
        }
        $last = $this->steps
            ->last(static fn(BatchStep $step): bool => $step->done_at !== null)
            ?->kind->stageBy($this->method);
        if ($this->nextStep()?->isWaitedFor(CarbonImmutable::now()) === true) {
            return $last ?? Stage::Begun;
        }

        return match (true) {
            $last === Stage::Bottled, $last === Stage::Blended => $last,
            $this->place === Place::Fridge => Stage::Cold,
            $isReady => Stage::Ready,
            default => Stage::Working,
        };
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

    /** @return HasMany<BatchEntry, $this> entries that are no servings */
    public function tending(): HasMany
    {
        return $this->entries()->where('kind', '!=', Serve::kind());
    }

    /** @return HasOne<BatchSnapshot, $this> */
    public function snapshot(): HasOne
    {
        return $this->hasOne(BatchSnapshot::class);
    }

    /** @return HasMany<BatchStep, $this> in the order in which it is made */
    public function steps(): HasMany
    {
        return $this->hasMany(BatchStep::class)->orderBy('position');
    }

    /**
     * One for each task that was marked: when it was done last, and until when it was put off last. Of marks that stand; a jar
     * that is fed every day has hundreds.
     *
     * @return HasMany<ChoreMark, $this>
     */
    public function choreMarks(): HasMany
    {
        $marks = $this->hasMany(ChoreMark::class);
        $marks
            ->where('undone_at', null)
            ->groupBy('household_id', 'batch_id', 'task')
            ->selectRaw(
                'household_id, batch_id, task, max(done_at) as done_at, substr(max(if(done_at is null, ' .
                    "concat(date_format(created_at, '%Y%m%d%H%i%s'), id, snoozed_until), null)), 41) as snoozed_until",
            );

        return $marks;
    }

    /** @return HasMany<Note, $this> oldest first */
    public function notes(): HasMany
    {
        $notes = $this->hasMany(Note::class);
        $notes->orderBy('happened_at')->orderBy('id');

        return $notes;
    }

    /** @return list<BatchEntry> lines that were not taken back, in the order in which things happened */
    public function standing(): array
    {
        $count = count($this->loadMissing('entries')->entries);
        if ($this->stood === null || $this->stood[0] !== $count) {
            $this->stood = [$count, self::standingOf($this->entries->all())];
        }

        return $this->stood[1];
    }

    /** @return list<BatchEntry> the same without servings */
    public function tended(): array
    {
        $lines = $this->relationLoaded('entries') ? $this->entries : $this->loadMissing('tending')->tending;
        $count = count($lines);
        if ($this->tended === null || $this->tended[0] !== $count) {
            $others = array_filter($lines->all(), static fn(BatchEntry $entry): bool => $entry->kind !== Serve::kind());
            $this->tended = [$count, self::standingOf($others)];
        }

        return $this->tended[1];
    }

    /**
     * Entries that were written after the one at a position.
     *
     * @return list<BatchEntry>
     */
    public function entriesAfter(int $position): array
    {
        if (!$this->relationLoaded('entries')) {
            $last = $this->getAttributes()['last_position'] ?? null;

            return is_numeric($last) && $last <= $position
                ? []
                : array_values($this->entries()->where('position', '>', $position)->get()->all());
        }
        $after = [];
        foreach ($this->entries->reverse() as $entry) {
            if ($entry->position <= $position) {
                break;
            }
            array_unshift($after, $entry);
        }

        return $after;
    }

    /**
     * @param  array<BatchEntry>  $entries
     * @return list<BatchEntry> those that were not taken back, in the order in which things happened
     */
    private static function standingOf(array $entries): array
    {
        $gone = [];
        foreach ($entries as $entry) {
            if ($entry->reverses_id !== null) {
                $gone[$entry->id] = $gone[$entry->reverses_id] = true;
            }
        }

        return self::inOrder(
            $gone === []
                ? $entries
                : array_filter($entries, static fn(BatchEntry $entry): bool => !isset($gone[$entry->id])),
        );
    }

    /**
     * @param  array<BatchEntry>  $entries
     * @return list<BatchEntry> in the order in which they happened
     */
    public static function inOrder(array $entries): array
    {
        // As the table has them, moments are texts that come in their own order. Most are written as they happen.
        $moments = $positions = [];
        $last = ['', -1];
        $isSorted = true;
        foreach ($entries as $entry) {
            $moment = $entry->getAttributes()['happened_at'] ?? '';
            $now = [is_string($moment) ? $moment : '', $entry->position];
            [$moments[], $positions[]] = $now;
            $isSorted = $isSorted && $last <= $now;
            $last = $now;
        }
        if (!$isSorted) {
            array_multisort($moments, SORT_STRING, $positions, $entries);
        }

        return array_values($entries);
    }

    /**
     * Where it stood since when, oldest first; moves to come are left out.
     *
     * @return non-empty-list<array{CarbonImmutable, Place}>
     */
    public function stands(): array
    {
        $stands = [[$this->started_at, $this->started_in]];
        foreach ($this->moves() as [$moment, $place]) {
            if ($place !== $stands[count($stands) - 1][1] && !$moment->isFuture()) {
                $stands[] = [$moment, $place];
            }
        }

        return $stands;
    }

    /** @return list<array{CarbonImmutable, Place}> entries that say where it stands, as long as none comes to them */
    private function moves(): array
    {
        $lines = $this->tended();
        $count = $this->tended[0] ?? 0;
        if ($this->moved === null || $this->moved[0] !== $count) {
            $moves = [];
            foreach ($lines as $line) {
                // Few do, and the rest need not be read for it.
                $written = $line->getAttributes()['entry'] ?? '';
                $room = is_string($written) && str_contains($written, '"room"') ? $line->entry['room'] ?? null : null;
                $place = is_string($room) ? Place::tryFrom($room) : null;
                if ($place !== null) {
                    $moves[] = [$line->happened_at, $place];
                }
            }
            $this->moved = [$count, $moves];
        }

        return $this->moved[1];
    }

    public function secondsSinceStart(CarbonImmutable $moment): float
    {
        $start = $this->started_at;

        return max(0.0, $moment->getTimestamp() - $start->getTimestamp() + ($moment->micro - $start->micro) / 1e6);
    }

    public function momentAt(float $secondsSinceStart): CarbonImmutable
    {
        return $this->started_at->setTimestamp($this->timestampAt($secondsSinceStart));
    }

    /** The same, in whole seconds since 1970. */
    public function timestampAt(float $secondsSinceStart): int
    {
        return $this->started_at->getTimestamp() + (int) round($secondsSinceStart);
    }

    public function cover(): ?Cover
    {
        return Cover::tryFrom($this->cover ?? ($this->jar->cover ?? ''));
    }

    /** Days for which its formula says that it keeps; null where it says nothing. */
    public function formulaKeepsDays(): ?float
    {
        $keeping = $this->formulaVersion->document['keeping'] ?? null;
        $days = is_array($keeping) ? $keeping['days'] ?? null : null;

        return is_numeric($days) ? (float) $days : null;
    }

    /** The days by which it is young, ready and long: its formula's own, or those usual for its method. */
    public function usualWindow(): ?Window
    {
        return $this->formulaVersion === null
            ? $this->method->profile()->eaten->window
            : Window::read(Fields::of($this->formulaVersion->document['window'] ?? [], 'window'));
    }

    /** What is eaten of it: a jar that was blended is a sauce, whatever it began as. */
    public function served(BatchState $state): Served
    {
        return $state->isOnePhase() ? Served::Sauce : $this->served ?? $this->method->served();
    }

    /** What a person usually takes of it, in grams. */
    public function usualPortion(Person $person, Served $served): float
    {
        return $person->usualPortion($served, $this->serving_g);
    }

    protected function casts(): array
    {
        return [
            'place' => Place::class,
            'started_in' => Place::class,
            'aim' => Aim::class,
            'created_at' => 'immutable_datetime',
            'method' => Method::class,
            'shape' => PieceShape::class,
            'served' => Served::class,
            'is_apart' => 'boolean',
            'density_g_per_ml' => 'float',
            'headspace_mm' => 'float',
            'has_saucer' => 'boolean',
            'packed' => 'float',
            'weight_ml' => 'float',
            'serving_g' => 'float',
            'bench_input' => 'array',
            'strengths' => 'array',
            'started_at' => 'immutable_datetime',
            'emptied_at' => 'immutable_datetime',
        ];
    }
}
