<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\KitchenFile;
use App\Care\RipeningWindows;
use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Intake\EatenDays;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use LogicException;
use Throwable;

/**
 * Reads every kitchen once as it is read by the screens, and says of each what it holds: as a hash over all of its rows, by
 * which two databases can be held side by side.
 */
final class CheckCommand extends Command
{
    protected $signature = 'tempesal:check';

    protected $description = 'Read every kitchen once; ends non-zero where something does not hold together';

    public function handle(CurrentHousehold $current): int
    {
        $wrong = 0;
        foreach (Household::query()->orderBy('id')->lazy() as $household) {
            try {
                $hash = $current->during($household, static fn(): string => self::read($household));
                $this->line("{$household->id}  {$hash}");
            } catch (Throwable $trouble) {
                $wrong++;
                $this->error("{$household->id}  {$trouble->getMessage()}");
            }
        }
        $this->line($wrong === 0 ? 'Everything holds together.' : "Kitchens that do not hold together: {$wrong}.");

        return $wrong === 0 ? self::SUCCESS : self::FAILURE;
    }

    private static function read(Household $household): string
    {
        foreach (Batch::whole()->lazy() as $batch) {
            RipeningWindows::of($batch, $household);
            $now = $batch->secondsSinceStart(CarbonImmutable::now());
            $kept = Ledgers::history($batch)->asOf($now)->estimates();
            unset($kept['servings']);
            $replayed = Ledgers::replayed($batch)->asOf($now)->estimates();
            foreach ($kept as $what => $estimate) {
                if (!$estimate->isSameAs($replayed[$what])) {
                    throw new LogicException("What is kept of {$batch->name} is not what its entries come to.");
                }
            }
        }

        foreach (Person::query()->withoutGlobalScope('present')->get() as $person) {
            $all = ['1000-01-01', '9999-12-31'];
            $written = EatenDays::asWritten($person, ...$all);
            foreach (EatenDays::kept($person, ...$all) as $day => $portions) {
                if ($portions != ($written[$day] ?? [])) {
                    throw new LogicException("What is kept of {$person->name}'s {$day} is not what was eaten.");
                }
            }
        }

        return KitchenFile::hash($household);
    }
}
