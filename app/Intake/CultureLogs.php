<?php

declare(strict_types=1);

namespace App\Intake;

use App\Care\LiveCulture;
use App\Care\RipeningWindows;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Tempesal\Core\Intake\CultureLog;

/**
 * The kinds of cultures that someone ate lately, from what was written down.
 */
final class CultureLogs
{
    public static function of(Person $person, Household $household): CultureLog
    {
        $today = $household->today();
        $from = CarbonImmutable::parse($today)
            ->subDays(7 * CultureLog::WEEKS - 1)
            ->toDateString();
        $eaten = [];
        $ready = [];
        $days = array_map(
            static fn(array $portions): array => array_filter(
                $portions,
                static fn(EatenPortion $one): bool => $one->isLive,
            ),
            EatenDays::of($person, $from, $today),
        );
        $batches = Intakes::batches($days, Batch::inShort());
        foreach ($days as $date => $portions) {
            foreach ($portions as $one) {
                $batch = $batches[$one->batchId];
                $ready[$batch->id] ??= self::readyOn($batch, $household);
                $eaten[] = [
                    'date' => $date,
                    'group' => LiveCulture::group($batch),
                    'name' => $batch->name,
                    'grams' => $one->grams,
                    'isYoung' => $ready[$batch->id] === '' ? null : $date < $ready[$batch->id],
                ];
            }
        }

        return CultureLog::of($eaten, self::first($person), $today);
    }

    /** @return array<string, string> the first day on which they ate each kind, by the group's value */
    private static function first(Person $person): array
    {
        $rows = Serving::query()->where('person_id', $person->id);
        $rows->where('is_live', true)->where('undone_at', null);
        /** @var array<string, string> $ofBatch */
        $ofBatch = $rows
            ->groupBy('batch_id')
            ->selectRaw('batch_id, min(eaten_on) as first')
            ->pluck('first', 'batch_id')
            ->all();
        $first = [];
        foreach (Batch::query()->whereIn('id', array_keys($ofBatch))->get() as $batch) {
            $group = LiveCulture::group($batch)->value;
            $first[$group] = min($first[$group] ?? '9999', $ofBatch[$batch->id]);
        }

        return $first;
    }

    /** The day on which it is or was ready; an empty string where nothing ripens, or never will. */
    private static function readyOn(Batch $batch, Household $household): string
    {
        $ready = RipeningWindows::forecast($batch, $household)?->ready;

        return $ready === null ? '' : $household->dateOf($batch->started_at->addSeconds((int) $ready));
    }
}
