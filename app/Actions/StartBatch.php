<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\BenchFields;
use App\Bench\BenchParser;
use App\Bench\JarToBe;
use App\Bench\ParsedBench;
use App\Household\HouseholdTransaction;
use App\Language\Words;
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
        private BlendSauce $blend,
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
                return $begin === Begin::Counter
                    ? $this->blend->atTheCounter($order, $order->source, $solution, $typed, $name, $place, $at)
                    : $this->blend->now(
                        $order,
                        $order->source,
                        $solution,
                        $typed,
                        $name,
                        $place,
                        $requestKey,
                        $at,
                        $ph,
                    );
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
}
