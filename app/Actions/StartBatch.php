<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\BenchFields;
use App\Bench\BenchParser;
use App\Bench\JarToBe;
use App\Bench\ParsedBench;
use App\Household\HouseholdTransaction;
use App\Language\Words;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Support\InvalidInput;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Advice\Severity;
use Tempesal\Core\Bench\BenchAdvice;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Bench\IncompleteBench;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;

/**
 * Turns what stands on the bench into jars on the shelf: one, or several filled from one bowl. A sauce is made of a
 * batch that is there, so that it goes on in that batch's own ledger.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final readonly class StartBatch
{
    /** Less brine than this is not kept by itself. */
    private const WORTH_KEEPING_G = 1.0;

    public function __construct(
        private BenchParser $readSheet,
        private LedgerWriter $ledger,
        private KeepSpareBrine $keep,
        private BeginMaking $make,
        private FillBottles $bottles,
        private RecordNote $note,
        private HouseholdTransaction $transaction,
    ) {}

    /**
     * @param  Typed  $typed
     * @param  string  $requestKey  the same key never starts a second jar
     * @param  float|null  $ph  of a sauce, as it was read before it was bottled
     * @param  Begin  $begin  whether all of it is done, its first steps now, or each at the counter
     * @return Batch the first of the jars
     */
    public function __invoke(
        array $typed,
        string $name,
        string $place,
        string $requestKey,
        ?CarbonImmutable $startedAt = null,
        Begin $begin = Begin::Now,
        bool $isSaltedTwice = false,
        ?float $ph = null,
    ): Batch {
        return ($this->transaction)(function () use (
            $typed,
            $name,
            $place,
            $requestKey,
            $startedAt,
            $begin,
            $isSaltedTwice,
            $ph,
        ): Batch {
            $started =
                Batch::query()->where('request_key', $requestKey)->first() ??
                BatchEntry::query()->where('request_key', $requestKey)->first()?->batch;
            if ($started !== null) {
                return $started;
            }
            foreach (array_filter([$typed['starterBatchId'] ?? null, $typed['sourceBatchId'] ?? null]) as $other) {
                if (Batch::query()->whereKey($other)->exists()) {
                    $this->ledger->lock($other);
                }
            }
            $at = $startedAt ?? WhenDone::now();
            $order = ($this->readSheet)($typed, $at);
            $solution = self::workOut($order);
            self::refuseWhatCannotBe($solution);
            if ($order->source !== null) {
                return $this->blend($order, $order->source, $solution, $name, $place, $requestKey, $at, $typed, $ph);
            }
            FillJars::claim($order->jars, $typed['hasOneMore'] ?? false);
            $jars = $order->jars === [] ? [null] : $order->jars;
            $toBe = new JarToBe($order, $solution, $typed, Place::from($place));
            foreach ($jars as $i => $jar) {
                $plan = $toBe->plan($i, $jar, $isSaltedTwice);
                $called =
                    count($jars) === 1
                        ? $name
                        : Words::here()->say(Message::of('batch.of_several', name: $name, number: $i + 1));
                $batch = Batch::create([
                    ...$toBe->attributes($jar),
                    'name' => $called,
                    'started_at' => $begin->of($at, $plan),
                    'request_key' => $i === 0 ? $requestKey : (string) Str::ulid(),
                ])->load(['entries', 'jar']);
                $this->make->begin($batch, $plan, $begin);
                $started ??= $batch;
            }
            if (($typed['keepsLeftOver'] ?? false) && $solution->leftOver()->value >= self::WORTH_KEEPING_G) {
                $this->keep->ofMix(
                    $started,
                    $name,
                    $solution->leftOver(),
                    $solution->salt->value / ($solution->salt->value + $solution->work->water->value),
                    $order->input->salt->product,
                    $at,
                );
            }

            return $started;
        });
    }

    /** @throws ValidationException */
    public static function workOut(ParsedBench $order): BenchSolution
    {
        try {
            $solution = BenchSolution::from($order->input);
        } catch (IncompleteBench $open) {
            throw InvalidInput::at($open->field, $open->explanation());
        }
        $wanted = $solution->work->starter->grams->value ?? 0.0;
        if ($order->lendable !== null && $wanted > $order->lendable * (1.0 + BatchState::ROUNDING)) {
            $left = ['grams' => (int) floor($order->lendable), 'name' => $order->lender->name ?? ''];
            throw InvalidInput::at(
                'starterAmount',
                $order->input->starter?->grams->isZero() === true
                    ? Message::of('errors.brine_left_jar', ...[...$left, 'wanted' => (int) ceil($wanted)])
                    : Message::of('errors.brine_left', ...$left),
            );
        }

        return $solution;
    }

    /** @throws ValidationException */
    private static function refuseWhatCannotBe(BenchSolution $solution): void
    {
        foreach (BenchAdvice::on($solution) as $advice) {
            if ($advice->severity === Severity::Stop) {
                throw InvalidInput::at('jarId', $advice->text);
            }
        }
    }

    /** @param  Typed  $typed */
    private function blend(
        ParsedBench $order,
        Batch $source,
        BenchSolution $solution,
        string $name,
        string $place,
        string $requestKey,
        CarbonImmutable $at,
        array $typed,
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
        if ($batch->place->value !== $place) {
            $this->ledger->append($batch, $at, MoveJar::standing(Place::from($place)));
        }
        $this->ledger->check($batch);
        $bottles = count($order->jars);
        $batch->update([
            'name' => $bottles > 1 ? $this->bottles->nameOf($name, 1) : $name,
            'method' => Method::Transform,
            'served' => null,
            'place' => $place,
            'serving_g' => $order->input->serving->value,
            'strengths' => JarToBe::strengths($solution),
            // It has left the jar in which it was made, into this one or into none yet.
            'jar_id' => $order->jars[0]->id ?? null,
            'cover' => $typed['cover'] ?? null,
            'hold_down' => null,
            'headspace_mm' => $order->input->packing->headspace->value,
            'weight_ml' => 0.0,
        ]);
        $all = [$batch, ...$bottles > 1 ? $this->bottles->fill($batch, $order->jars, $name, $at) : []];
        foreach ($ph === null ? [] : $all as $bottle) {
            // What is believed less, until the cook says in the log that it was a meter.
            ($this->note)($bottle->id, ['ph' => $ph, 'ph_by' => 'strips'], $at, (string) Str::ulid());
        }

        return $batch;
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
