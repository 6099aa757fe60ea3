<?php

declare(strict_types=1);

namespace App\Care;

use App\Models\Batch;
use App\Models\Household;
use Tempesal\Core\Method\Window;

/**
 * When batches are young, ready and long, as the cook wants them.
 */
final class RipeningWindows
{
    /**
     * The batch's usual window as the cook wants it: by what was chosen for it or the kitchen, and by what was liked
     * before.
     */
    public static function of(Batch $batch, Household $household): ?Window
    {
        return $batch->usualWindow()?->aimedAt($batch->aim ?? $household->aim, self::ownDays($batch));
    }

    /** Days, at the temperature at which its window is said, at which this kitchen has liked batches like it best. */
    public static function ownDays(Batch $batch): ?float
    {
        $window = $batch->usualWindow();

        return $window === null ? null : app(TastingHistory::class)->daysOf($batch->likeness, $window->temperature);
    }
}
