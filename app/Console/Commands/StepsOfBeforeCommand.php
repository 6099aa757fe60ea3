<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\StepsOfBefore;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * Gives jars that were begun before there were steps theirs: what had come by now is done, what was written ahead is due.
 * A jar that has steps stays as it is.
 */
final class StepsOfBeforeCommand extends Command
{
    protected $signature = 'tempesal:steps-of-before';

    protected $description = 'Give jars of before the steps in which they are made';

    public function handle(): int
    {
        $now = CarbonImmutable::now();
        DB::transaction(static function () use ($now): void {
            $batches = DB::table('batches')
                ->whereNotIn('id', DB::table('batch_steps')->select('batch_id'))
                ->orderBy('id')
                ->get();
            foreach ($batches as $batch) {
                $entries = DB::table('batch_entries')->where('batch_id', $batch->id)->orderBy('position')->get();
                $upgraded = StepsOfBefore::of(
                    (array) $batch,
                    array_values($entries->map(static fn(object $row): array => (array) $row)->all()),
                    $now,
                );
                foreach ($upgraded['steps'] as $step) {
                    DB::table('batch_steps')->insert([...$step, 'household_id' => $batch->household_id]);
                }
                foreach ($upgraded['wrote'] as $entry => $step) {
                    DB::table('batch_entries')
                        ->where('id', $entry)
                        ->update(['batch_step_id' => $step]);
                }
                DB::table('batch_entries')->whereIn('id', $upgraded['ahead'])->delete();
            }
        });

        return self::SUCCESS;
    }
}
