<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\BenchFields;
use App\Bench\BenchOrder;
use App\Bench\ReadSheet;
use App\Household\OneAtATime;
use App\Models\Batch;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Formula\BenchAdvice;
use Tempesal\Core\Formula\IncompleteSheet;
use Tempesal\Core\Formula\Making;
use Tempesal\Core\Formula\Weight;
use Tempesal\Core\Salt\Basis;

/**
 * Turns what stands on the bench into a jar on the shelf.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final readonly class StartBatch
{
    public function __construct(private ReadSheet $readSheet, private KeepLedger $ledger, private OneAtATime $oneAtATime)
    {
    }

    /**
     * @param  Typed  $typed
     * @param  string  $requestKey  the same key never starts a second jar
     */
    public function __invoke(array $typed, string $name, string $place, string $requestKey, ?CarbonImmutable $startedAt = null): Batch
    {
        return ($this->oneAtATime)(function () use ($typed, $name, $place, $requestKey, $startedAt): Batch {
            $started = Batch::query()->where('request_key', $requestKey)->first();
            if ($started !== null) {
                return $started;
            }
            $lender = $typed['starterBatchId'] ?? null;
            if ($lender !== null && Batch::query()->whereKey($lender)->exists()) {
                $this->ledger->lock($lender);
            }
            $at = $startedAt ?? CarbonImmutable::now();
            $order = ($this->readSheet)($typed, $at);
            $making = self::workOut($order);
            self::refuseWhatCannotBe($making);

            return $this->write($order, $making, $typed, $name, $place, $requestKey, $at);
        });
    }

    /** @throws ValidationException */
    public static function workOut(BenchOrder $order): Making
    {
        try {
            return Making::from($order->sheet);
        } catch (IncompleteSheet $open) {
            throw ValidationException::withMessages([$open->field => $open->getMessage()]);
        }
    }

    /** @throws ValidationException */
    private static function refuseWhatCannotBe(Making $making): void
    {
        foreach (BenchAdvice::on($making) as $advice) {
            if ($advice->weight === Weight::Stop) {
                throw ValidationException::withMessages(['jarId' => $advice->text]);
            }
        }
    }

    /** @param  Typed  $typed */
    private function write(BenchOrder $order, Making $making, array $typed, string $name, string $place, string $requestKey, CarbonImmutable $at): Batch
    {
        $strengths = [];
        foreach (Basis::cases() as $basis) {
            $strengths[$basis->value] = $making->contents->shareOrNull($basis);
        }
        $batch = Batch::create([
            'jar_id' => $order->jar?->id,
            'name' => $name,
            'method' => $order->sheet->method,
            'shape' => $order->sheet->shape,
            'colour' => $order->vegetable->colour,
            'density_g_per_ml' => $order->sheet->vegetable->density,
            'headspace_mm' => $order->sheet->packing->headspace->value,
            'weight_ml' => $order->sheet->packing->weightVolume->value,
            'serving_g' => $order->sheet->serving->value,
            'sheet' => $typed,
            'strengths' => $strengths,
            'place' => $place,
            'started_at' => $at,
            'request_key' => $requestKey,
        ])->load(['entries', 'jar']);

        foreach ($making->ledger->entries() as $entry) {
            $this->ledger->append($batch, $at, $entry);
        }
        if ($order->starterBatch !== null && $order->sheet->starter !== null) {
            $this->ledger->lend($this->ledger->lock($order->starterBatch->id), $at, $order->sheet->starter->grams, $batch);
        }

        return $batch;
    }
}
