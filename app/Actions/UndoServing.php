<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\IdempotencyKey;
use App\Intake\EatenDays;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes a serving back: the ledger gets a reversal, the day no longer counts it. A dish is taken back whole, with all
 * its shares and what nobody ate. Twice is once.
 */
final readonly class UndoServing
{
    public function __construct(private LedgerWriter $ledger) {}

    public function __invoke(string $servingId): Serving
    {
        return DB::transaction(function () use ($servingId): Serving {
            // The jar first: two shares of one dish that are taken back at once wait for each other there.
            $batch = $this->ledger->lock(Serving::query()->findOrFail($servingId)->batch_id);
            $serving = Serving::query()->lockForUpdate()->findOrFail($servingId);
            if ($serving->undone_at !== null) {
                return $serving;
            }
            $now = CarbonImmutable::now();
            foreach ($this->lines($batch, $serving) as $line) {
                $this->ledger->reverse($batch, $line, $now);
            }
            $rows = Serving::query();
            $serving->dish_key === null
                ? $rows->where('id', $serving->id)
                : $rows->where('dish_key', $serving->dish_key);
            EatenDays::changed(...$rows->get(['person_id', 'eaten_on'])->all());
            $rows->update(['undone_at' => $now]);
            IdempotencyKey::spend($serving->dish_key ?? $serving->request_key);

            return $serving->refresh();
        });
    }

    /** @return list<BatchEntry> what it wrote */
    private function lines(Batch $batch, Serving $serving): array
    {
        if ($serving->dish_key === null) {
            return [$batch->entries->firstOrFail('id', $serving->batch_entry_id)];
        }
        $rows = Serving::query();
        $rows->where('dish_key', $serving->dish_key);
        $shares = $rows->pluck('batch_entry_id');

        return array_values(
            $batch->entries
                ->filter(
                    static fn(BatchEntry $line): bool => $shares->contains($line->id) ||
                        $line->request_key === $serving->dish_key,
                )
                ->all(),
        );
    }
}
