<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\SeedFormulas;
use App\Actions\SeedPantry;
use App\Household\CurrentHousehold;
use App\Ledger\Snapshots;
use App\Models\Household;
use Illuminate\Console\Command;

/**
 * Gives kitchens that were opened earlier the foods and formulas that have come to Tempesal since, and forgets what an earlier
 * version computed.
 */
final class RestockCommand extends Command
{
    protected $signature = 'tempesal:restock';

    protected $description = 'Add foods and formulas that are new to every kitchen';

    public function handle(CurrentHousehold $current, SeedPantry $pantry, SeedFormulas $formulas): int
    {
        Snapshots::dropOutdated();
        foreach (Household::query()->get() as $household) {
            $current->during($household, static function () use ($pantry, $formulas): void {
                $pantry->foods();
                $formulas();
            });
        }

        return self::SUCCESS;
    }
}
