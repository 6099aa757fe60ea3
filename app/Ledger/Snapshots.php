<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Batch;
use App\Models\BatchSnapshot;
use Illuminate\Database\QueryException;
use Tempesal\Core\Ledger\Checkpoint;
use Tempesal\Core\Ledger\CheckpointStore;
use Throwable;

/**
 * A batch's checkpoint as a row. Whether it still holds is for the ledger to say: it knows each line by all before it. What
 * cannot be read, or not be written just now, is computed.
 */
final readonly class Snapshots implements CheckpointStore
{
    public function __construct(private Batch $batch) {}

    public function find(): ?Checkpoint
    {
        $row = $this->batch->relationLoaded('snapshot')
            ? $this->batch->snapshot
            : BatchSnapshot::query()->find($this->batch->id);
        if ($row === null) {
            return null;
        }
        try {
            $kept = unserialize((string) gzinflate((string) base64_decode($row->state, true)));
        } catch (Throwable) {
            return null;
        }

        return $kept instanceof Checkpoint ? $kept : null;
    }

    public function keep(Checkpoint $checkpoint): void
    {
        $row = [
            'batch_id' => $this->batch->id,
            'household_id' => $this->batch->household_id,
            'state' => base64_encode((string) gzdeflate(serialize($checkpoint), 1)),
            'created_at' => now(),
        ];
        try {
            BatchSnapshot::query()->upsert([$row], ['batch_id'], ['state', 'created_at']);
        } catch (QueryException) {
            // Another request keeps the same just now, or the batch is gone.
        }
        $this->batch->unsetRelation('snapshot');
    }
}
