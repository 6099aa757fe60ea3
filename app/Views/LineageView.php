<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Batch;
use App\Models\BatchEntry;
use Tempesal\Core\Ledger\Entry\Starter;

/**
 * Which jar fed which: every starter that came from another jar and was not taken back.
 */
final class LineageView
{
    /** @return array{batches: list<array{id: string, name: string}>, links: list<array<string, mixed>>} */
    public static function ofKitchen(): array
    {
        $links = [];
        foreach (
            BatchEntry::standing()->where('kind', Starter::kind())->orderBy('happened_at')->orderBy('id')->get()
            as $line
        ) {
            $starter = $line->read();
            if ($starter instanceof Starter && $starter->fromBatch !== null) {
                $links[] = [
                    'from' => $starter->fromBatch,
                    'to' => $line->batch_id,
                    'grams' => $starter->grams->value,
                    'sodiumMg' => ($starter->grams->value * $starter->liquid->sodiumPer100g->typical) / 100.0,
                    'isLive' => $starter->liquid->live,
                    'ph' => $starter->liquid->ph,
                    'happenedAt' => $line->happened_at->toIso8601String(),
                ];
            }
        }
        $ids = array_unique([...array_column($links, 'from'), ...array_column($links, 'to')]);

        return [
            'batches' => array_values(
                Batch::query()
                    ->whereIn('id', $ids)
                    ->get()
                    ->map(static fn(Batch $batch): array => ['id' => $batch->id, 'name' => $batch->name])
                    ->all(),
            ),
            'links' => $links,
        ];
    }
}
