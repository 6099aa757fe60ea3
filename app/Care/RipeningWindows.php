<?php

declare(strict_types=1);

namespace App\Care;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use Tempesal\Core\Care\RipenessForecast;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
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
        return self::usual($batch)?->aimedAt($batch->aim ?? $household->aim, self::ownDays($batch));
    }

    /** When it will be ripe, made as planned; null for what does not ripen. */
    public static function forecast(Batch $batch, Household $household): ?RipenessForecast
    {
        $window = self::of($batch, $household);

        return $window === null ? null : RipenessForecast::of(Ledgers::foreseen($batch), $window);
    }

    /** From the bench an egg mayonnaise is ready after hours, and what is sweet takes longer than milk. */
    public static function usual(Batch $batch): ?Window
    {
        if ($batch->formulaVersion !== null || !$batch->method->isMixed()) {
            return $batch->usualWindow();
        }
        $hazards = Hazards::of(Ledgers::foreseen($batch), $batch->method);

        return match (true) {
            $batch->method === Method::CulturedCondiment && $hazards->hasEgg => Window::ofEmulsion(),
            $batch->method === Method::MilkAndSweet && !$hazards->isMilk => Window::ofSweetCulture(),
            default => $batch->usualWindow(),
        };
    }

    /** Days, at the temperature at which its window is said, at which this kitchen has liked batches like it best. */
    public static function ownDays(Batch $batch): ?float
    {
        $window = self::usual($batch);

        return $window === null ? null : app(TastingHistory::class)->daysOf($batch->likeness, $window->temperature);
    }
}
