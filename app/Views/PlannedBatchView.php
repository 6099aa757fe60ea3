<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\PlannedBatch;

/**
 * A batch that is to be started.
 */
final class PlannedBatchView
{
    /** @return array{id: string, formulaId: string, name: string, jarId: string, jarName: string, startOn: string} */
    public static function of(PlannedBatch $one): array
    {
        return [
            'id' => $one->id,
            'formulaId' => $one->formula_id,
            'name' => $one->name(),
            'jarId' => $one->jar_id,
            'jarName' => $one->jar->name,
            'startOn' => $one->start_on,
        ];
    }
}
