<?php

declare(strict_types=1);

namespace App\Actions;

use App\Ledger\Ledgers;
use App\Models\Batch;

/**
 * More is known of how warm a place was: what was written down of the jars on the shelf was written at another
 * ripeness.
 */
final readonly class RecomputeNoteRipeness
{
    public function __invoke(): void
    {
        foreach (Batch::onShelf()->whereHas('notes')->get() as $batch) {
            foreach ($batch->notes as $note) {
                $note->update(['ripened_s' => Ledgers::of($batch, $note->happened_at)->state()->ripened]);
            }
        }
    }
}
