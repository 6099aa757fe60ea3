<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\JarToBe;
use App\Bench\ParsedBench;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchStep;
use App\Models\Jar;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;

/**
 * A batch becomes a sauce, in its own ledger: all at once, or step by step at the counter, where its last step fills the
 * bottles. Inside the caller's transaction.
 *
 * @phpstan-import-type Typed from \App\Bench\BenchFields
 * @phpstan-type Bottling array{jarIds: list<string>, name: string, place: string, cover: string|null,
 *     headspaceMm: float, servingGrams: float, strengths: array<string, float|null>, isFilled: bool,
 *     before: array{name: string, method: string, served: string|null, serving_g: float,
 *     strengths: array<string, float|null>}}
 */
final readonly class BlendSauce
{
    /** Less brine than this is not kept by itself. */
    private const WORTH_KEEPING_G = 1.0;

    public function __construct(
        private LedgerWriter $ledger,
        private KeepSpareBrine $keep,
        private FillBottles $bottles,
        private RecordNote $note,
    ) {}

    /**
     * All of it is done.
     *
     * @param  Typed  $typed
     * @param  float|null  $ph  as it was read before it was bottled
     *
     * @throws NotEnough
     */
    public function now(
        ParsedBench $order,
        Batch $source,
        BenchSolution $solution,
        array $typed,
        string $name,
        string $place,
        string $requestKey,
        CarbonImmutable $at,
        ?float $ph,
    ): Batch {
        $batch = $this->ledger->lock($source->id);
        FillJars::claim($order->jars, $typed['hasOneMore'] ?? false, except: $batch->id);
        if ($typed['keepsLeftOver'] ?? false) {
            $this->keepWhatRunsOff($batch, $solution, $at);
        }
        foreach ($solution->timetable()->lines as $line) {
            $this->ledger->append($batch, $at, $line->entry, $requestKey);
        }
        $bottling = self::bottling($batch, $order, $solution, $typed, $name, $place);
        self::becomes($batch, $bottling);
        $all = $this->bottle($batch, $bottling, $at);
        foreach ($ph === null ? [] : $all as $bottle) {
            // What is believed less, until the cook says in the log that it was a meter.
            ($this->note)($bottle->id, ['ph' => $ph, 'ph_by' => 'strips'], $at, (string) Str::ulid());
        }

        return $batch;
    }

    /**
     * Each step is done at the counter; until then the batch is what it was.
     *
     * @param  Typed  $typed
     */
    public function atTheCounter(
        ParsedBench $order,
        Batch $source,
        BenchSolution $solution,
        array $typed,
        string $name,
        string $place,
        CarbonImmutable $at,
    ): Batch {
        $batch = $this->ledger->lock($source->id);
        $batch->load('steps');
        FillJars::claim($order->jars, $typed['hasOneMore'] ?? false, except: $batch->id);
        foreach ($batch->steps as $step) {
            if ($step->isOpen()) {
                $step->update(['skipped_at' => $at]);
            }
        }
        $last = $batch->steps->last()->position ?? 0;
        foreach (BatchStep::planned($solution->work->steps(), $at) as $row) {
            BatchStep::create([
                ...$row,
                'batch_id' => $batch->id,
                'position' => $last + $row['position'],
                'bottling' =>
                    $row['kind'] === StepKind::Bottle
                        ? self::bottling($batch, $order, $solution, $typed, $name, $place)
                        : null,
            ]);
        }

        return $batch;
    }

    /** A step at the counter was done: by its blending a batch becomes the sauce, by its bottling the bottles are full. */
    public function done(Batch $batch, BatchStep $step, CarbonImmutable $at): void
    {
        $bottling = self::bottlingOf($batch);
        if ($bottling === null || $bottling['isFilled']) {
            return;
        }
        if ($step->kind === StepKind::Blend) {
            self::becomes($batch, $bottling);
        }
        if ($step->bottling !== null) {
            $this->bottle($batch, $bottling, $at);
            $step->update(['bottling' => [...$bottling, 'isFilled' => true]]);
        }
    }

    /** It was not done after all: what was not blended is what it was. */
    public function undone(Batch $batch, BatchStep $step): void
    {
        $bottling = $step->kind === StepKind::Blend ? self::bottlingOf($batch) : null;
        if ($bottling !== null) {
            $batch->update($bottling['before']);
        }
    }

    /** Whether a sauce is in the bottles for which a making at the counter was begun. */
    public static function isFilled(Batch $batch): bool
    {
        return self::bottlingOf($batch)['isFilled'] ?? false;
    }

    /** @return Bottling|null of the last making */
    private static function bottlingOf(Batch $batch): ?array
    {
        return $batch->steps->last(static fn(BatchStep $step): bool => $step->bottling !== null)?->bottling;
    }

    /** @param  Bottling  $bottling */
    private static function becomes(Batch $batch, array $bottling): void
    {
        $batch->update([
            'name' => $bottling['name'],
            'method' => Method::Transform,
            'served' => null,
            'serving_g' => $bottling['servingGrams'],
            'strengths' => $bottling['strengths'],
        ]);
    }

    /**
     * @param  Bottling  $bottling
     * @return non-empty-list<Batch> what is in each of the bottles
     *
     * @throws NotEnough
     */
    private function bottle(Batch $batch, array $bottling, CarbonImmutable $at): array
    {
        $place = Place::from($bottling['place']);
        if ($batch->place !== $place) {
            $this->ledger->append($batch, $at, MoveJar::standing($place));
        }
        $this->ledger->check($batch);
        $there = Jar::query()->findMany($bottling['jarIds'])->keyBy('id');
        // The same jar may be meant several times: so many of its kind.
        $jars = array_values(array_filter(array_map($there->get(...), $bottling['jarIds'])));
        $batch->update([
            'name' => count($jars) > 1 ? $this->bottles->nameOf($bottling['name'], 1) : $bottling['name'],
            'place' => $place,
            // It has left the jar in which it was made, into this one or into none yet.
            'jar_id' => $jars[0]->id ?? null,
            'cover' => $bottling['cover'],
            'hold_down' => null,
            'headspace_mm' => $bottling['headspaceMm'],
            'weight_ml' => 0.0,
        ]);

        return [$batch, ...count($jars) > 1 ? $this->bottles->fill($batch, $jars, $bottling['name'], $at) : []];
    }

    /**
     * @param  Typed  $typed
     * @return Bottling
     */
    private static function bottling(
        Batch $batch,
        ParsedBench $order,
        BenchSolution $solution,
        array $typed,
        string $name,
        string $place,
    ): array {
        return [
            'jarIds' => array_map(static fn(Jar $jar): string => $jar->id, $order->jars),
            'name' => $name,
            'place' => $place,
            'cover' => $typed['cover'] ?? null,
            'headspaceMm' => $order->input->packing->headspace->value,
            'servingGrams' => $order->input->serving->value,
            'strengths' => JarToBe::strengths($solution),
            'isFilled' => false,
            'before' => [
                'name' => $batch->name,
                'method' => $batch->method->value,
                'served' => $batch->served?->value,
                'serving_g' => $batch->serving_g,
                'strengths' => $batch->strengths,
            ],
        ];
    }

    /** What is strained off and not blended in. */
    private function keepWhatRunsOff(Batch $batch, BenchSolution $solution, CarbonImmutable $at): void
    {
        $kept = $solution->input->source?->keptBrine;
        $state = Ledgers::of($batch, $at)->state();
        $clings = ClingingBrine::drained()->typical * $state->phase(Phase::Pieces)->weightG();
        $runsOff = $state->phase(Phase::Brine)->weightG() - max($kept->value ?? INF, $clings);
        if ($runsOff >= self::WORTH_KEEPING_G) {
            $this->keep->ofLocked($batch, Grams::of($runsOff), $at);
        }
    }
}
