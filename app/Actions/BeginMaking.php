<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Batch;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Making\StepPlan;

/**
 * Writes down how a jar is made, and what of it is done already.
 */
final readonly class BeginMaking
{
    public function __construct(private StepWriter $steps, private LedgerWriter $ledger) {}

    /** @throws NotEnough */
    public function begin(Batch $batch, StepPlan $plan, Begin $begin): void
    {
        $rows = $this->steps->plan($batch, $plan, $batch->started_at);
        $done = $begin->doneOf($plan);
        $at = $batch->started_at;
        foreach (array_slice($rows, 0, $done) as $i => $row) {
            $at = $begin === Begin::Packed ? $row->due_at : $at;
            $this->steps->do($batch, $row, $at);
        }
        $this->ledger->check($batch);
    }
}
