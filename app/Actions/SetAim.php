<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Batch;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Method\Aim;

/**
 * Says how far a batch is to go; null: as the kitchen has it.
 */
final readonly class SetAim
{
    public function __invoke(string $batchId, ?Aim $aim): void
    {
        DB::transaction(
            static fn() => Batch::query()
                ->lockForUpdate()
                ->findOrFail($batchId)
                ->update(['aim' => $aim]),
        );
    }
}
