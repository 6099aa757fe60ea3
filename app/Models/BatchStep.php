<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Making\StepPlan;

/**
 * A step of making a jar: due, done or left out. What it does to the jar stands in the ledger once it is done, and only
 * then.
 *
 * @phpstan-import-type Bottling from \App\Actions\BlendSauce
 *
 * @property string $id
 * @property string $batch_id
 * @property int $position
 * @property StepKind $kind
 * @property array<string, mixed> $planned
 * @property CarbonImmutable $due_at
 * @property CarbonImmutable|null $done_at
 * @property CarbonImmutable|null $skipped_at
 * @property string|null $request_key
 * @property Bottling|null $bottling  into which bottles a sauce goes by it
 * @property Batch $batch
 */
final class BatchStep extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /**
     * The rows of a making that begins, all of them due one after the other.
     *
     * @return list<array{position: int, kind: StepKind, planned: array<string, mixed>, due_at: CarbonImmutable}>
     */
    public static function planned(StepPlan $plan, CarbonImmutable $begins): array
    {
        $due = $begins;
        $rows = [];
        foreach ($plan->steps as $i => $step) {
            $due = $due->addSeconds((int) round($step->after->value));
            $rows[] = ['position' => $i + 1, 'kind' => $step->kind, 'planned' => $step->toArray(), 'due_at' => $due];
        }

        return $rows;
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    public function step(): Step
    {
        return Step::read(Fields::of($this->planned));
    }

    public function isOpen(): bool
    {
        // A column in which nothing stands needs no reading.
        return !isset($this->attributes['done_at']) && !isset($this->attributes['skipped_at']);
    }

    /** When it was done or left out. */
    public function closedAt(): ?CarbonImmutable
    {
        return $this->done_at ?? $this->skipped_at;
    }

    /** Whether what is in the jar is no food before it, at a moment. */
    public function isWaitedFor(CarbonImmutable $at): bool
    {
        return $this->isOpen() && ($this->kind->isWaitedFor() || $this->due_at->isAfter($at));
    }

    protected function casts(): array
    {
        return [
            'kind' => StepKind::class,
            'planned' => 'array',
            'bottling' => 'array',
            'position' => 'integer',
            'due_at' => 'immutable_datetime',
            'done_at' => 'immutable_datetime',
            'skipped_at' => 'immutable_datetime',
        ];
    }
}
