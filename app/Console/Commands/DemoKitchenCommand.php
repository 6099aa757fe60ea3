<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoKitchen;
use Illuminate\Console\Command;

/**
 * Lays out the demo kitchen, and lays it out afresh when its days have passed.
 */
final class DemoKitchenCommand extends Command
{
    protected $signature = 'tempesal:demo-kitchen {--again : Clear it and lay it out again}';

    protected $description = 'Lay out the demo kitchen around today';

    public function handle(DemoKitchen $demo): int
    {
        $demo->layOut((bool) $this->option('again'));

        return self::SUCCESS;
    }
}
