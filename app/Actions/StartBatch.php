<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\BenchFields;
use App\Bench\BenchOrder;
use App\Bench\ReadSheet;
use App\Household\HouseholdTransaction;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Jar;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Advice\Severity;
use Tempesal\Core\Bench\BenchAdvice;
use Tempesal\Core\Bench\IncompleteSheet;
use Tempesal\Core\Bench\Making;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Salt\Basis;

/**
 * Turns what stands on the bench into jars on the shelf: one, or several filled from one bowl. A sauce is made of a batch
 * that is there, so that it goes on in that batch's own ledger.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final readonly class StartBatch
{
    public function __construct(private ReadSheet $readSheet, private KeepLedger $ledger, private HouseholdTransaction $transaction)
    {
    }

    /**
     * @param  Typed  $typed
     * @param  string  $requestKey  the same key never starts a second jar
     * @param  bool  $isPacked  whether salting, rinsing and dressing are done; otherwise they begin now
     * @return Batch the first of the jars
     */
    public function __invoke(array $typed, string $name, string $place, string $requestKey, ?CarbonImmutable $startedAt = null, bool $isPacked = false): Batch
    {
        return ($this->transaction)(function () use ($typed, $name, $place, $requestKey, $startedAt, $isPacked): Batch {
            $started = Batch::query()->where('request_key', $requestKey)->first()
                ?? BatchEntry::query()->where('request_key', $requestKey)->first()?->batch;
            if ($started !== null) {
                return $started;
            }
            foreach (array_filter([$typed['starterBatchId'] ?? null, $typed['sourceBatchId'] ?? null]) as $other) {
                if (Batch::query()->whereKey($other)->exists()) {
                    $this->ledger->lock($other);
                }
            }
            $at = $startedAt ?? CarbonImmutable::now();
            $order = ($this->readSheet)($typed, $at);
            $making = self::workOut($order);
            self::refuseWhatCannotBe($making);
            if ($order->source !== null) {
                return $this->blend($order, $order->source, $making, $name, $place, $requestKey, $at);
            }
            $jars = $order->jars === [] ? [null] : $order->jars;
            $begun = $isPacked ? $at->subSeconds((int) round($making->timetable()->seconds)) : $at;
            foreach ($jars as $i => $jar) {
                $called = count($jars) === 1 ? $name : sprintf('%s, jar %d', $name, $i + 1);
                $batch = $this->write($order, $making, $i, $jar, $typed, $called, $place, $i === 0 ? $requestKey : (string) Str::ulid(), $begun);
                $started ??= $batch;
            }

            return $started;
        });
    }

    /** @throws ValidationException */
    public static function workOut(BenchOrder $order): Making
    {
        try {
            $making = Making::from($order->sheet);
        } catch (IncompleteSheet $open) {
            throw ValidationException::withMessages([$open->field => $open->getMessage()]);
        }
        $wanted = $making->work->starter->grams->value ?? 0.0;
        if ($order->lendable !== null && $wanted > $order->lendable * (1.0 + BatchState::ROUNDING)) {
            throw ValidationException::withMessages(['starterAmount' => sprintf(
                'Only %d g of brine are left in %s%s.', (int) floor($order->lendable), $order->lender->name ?? '',
                $order->sheet->starter?->grams->isZero() === true ? sprintf('; the jar would take %d g. Say how much goes in', (int) ceil($wanted)) : '',
            )]);
        }

        return $making;
    }

    /** @throws ValidationException */
    private static function refuseWhatCannotBe(Making $making): void
    {
        foreach (BenchAdvice::on($making) as $advice) {
            if ($advice->severity === Severity::Stop) {
                throw ValidationException::withMessages(['jarId' => $advice->text]);
            }
        }
    }

    /** @param  Typed  $typed */
    private function write(BenchOrder $order, Making $making, int $number, ?Jar $jar, array $typed, string $name, string $place, string $requestKey, CarbonImmutable $at): Batch
    {
        $sheet = $order->sheet;
        $batch = Batch::create([
            'jar_id' => $jar?->id,
            'name' => $name,
            'method' => $sheet->method,
            'shape' => $sheet->vegetable->shape,
            'colour' => $order->colour,
            'density_g_per_ml' => $sheet->vegetable->density,
            'headspace_mm' => $sheet->packing->headspace->value,
            'weight_ml' => $sheet->packing->weightVolume->value,
            'serving_g' => $sheet->serving->value,
            'sheet' => $typed,
            'strengths' => self::strengths($making),
            'place' => $place,
            'started_in' => $place,
            'likeness' => "{$sheet->method->value}:".($typed['vegetableId'] ?? ''),
            'started_at' => $at,
            'request_key' => $requestKey,
        ])->load(['entries', 'jar']);

        foreach ($making->linesOf($number) as $line) {
            $moment = $at->addSeconds((int) round($line->at ?? 0.0));
            $this->ledger->append($batch, $moment, self::standing($line->entry, $place, $typed));
            if ($line->entry instanceof Starter && $order->lender !== null) {
                $this->ledger->lend($this->ledger->lock($order->lender->id), $moment, $line->entry->grams, $batch);
            }
        }

        return $batch;
    }

    /**
     * Left to itself a jar has the temperatures of its place, unless the cook said another for it.
     *
     * @param  Typed  $typed
     */
    private static function standing(Entry $entry, string $place, array $typed): Entry
    {
        return $entry instanceof Soak && $entry->duration === null && ! $entry->even && ($typed['roomCelsius'] ?? null) === null ? $entry->in($place) : $entry;
    }

    private function blend(BenchOrder $order, Batch $source, Making $making, string $name, string $place, string $requestKey, CarbonImmutable $at): Batch
    {
        $batch = $this->ledger->lock($source->id);
        foreach ($making->timetable()->lines as $line) {
            $this->ledger->append($batch, $at, $line->entry, $requestKey);
        }
        if ($batch->place->value !== $place) {
            $this->ledger->append($batch, $at, StandJar::standing(Place::from($place)));
        }
        $this->ledger->check($batch);
        $batch->update([
            'name' => $name, 'place' => $place, 'serving_g' => $order->sheet->serving->value, 'strengths' => self::strengths($making),
            ...($order->jars === [] ? [] : [
                'jar_id' => $order->jars[0]->id, 'headspace_mm' => $order->sheet->packing->headspace->value, 'weight_ml' => 0.0,
            ]),
        ]);

        return $batch;
    }

    /** @return array<string, float|null> shares of salt by basis, as made */
    private static function strengths(Making $making): array
    {
        $strengths = [];
        foreach (Basis::cases() as $basis) {
            $strengths[$basis->value] = $making->strength($basis);
        }

        return $strengths;
    }
}
