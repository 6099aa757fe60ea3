<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes a serving back: the ledger gets a reversal, the day no longer counts it. Twice is once.
 */
final readonly class UndoServing
{
    public function __construct(private KeepLedger $ledger)
    {
    }

    public function __invoke(string $servingId): Serving
    {
        return DB::transaction(function () use ($servingId): Serving {
            $serving = Serving::query()->lockForUpdate()->findOrFail($servingId);
            if ($serving->undone_at !== null) {
                return $serving;
            }
            $now = CarbonImmutable::now();
            $batch = $this->ledger->lock($serving->batch_id);
            $this->ledger->reverse($batch, $batch->entries->firstOrFail('id', $serving->batch_entry_id), $now);
            $serving->update(['undone_at' => $now]);

            return $serving;
        });
    }
}
