<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\PlannedBatch;
use App\Pictures\JarPicture;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Care\DueChore;

/**
 * What the kitchen's jars ask for today, and in the days to come.
 */
final class ChoresView
{
    /** Days that are looked ahead. */
    private const AHEAD_DAYS = 7;

    /**
     * @param  Collection<int, Batch>  $batches  whole, on the shelf
     * @param  Collection<int, PlannedBatch>  $planned  to be started
     * @return array<string, mixed>
     */
    public static function of(Household $household, Collection $batches, Collection $planned): array
    {
        $now = $soon = [];
        foreach ($batches as $batch) {
            $status = BatchStatus::of($batch, Ledgers::of($batch), $household);
            $due = $status->dueNow();
            foreach ($status->dues as $one) {
                $chore = self::chore($status, $one);
                if (in_array($one, $due, true)) {
                    $now[] = $chore;
                } elseif ($one->day <= $status->day + self::AHEAD_DAYS) {
                    $soon[] = $chore;
                }
            }
        }
        $order = static fn(array $one, array $other): int => [
            $one['task'] !== 'discard',
            $one['dueOn'],
            $one['at'] ?? '',
        ] <=> [$other['task'] !== 'discard', $other['dueOn'], $other['at'] ?? ''];
        usort($now, $order);
        usort(
            $soon,
            static fn(array $one, array $other): int => [$one['dueOn'], $one['at'] ?? ''] <=> [
                $other['dueOn'],
                $other['at'] ?? '',
            ],
        );

        return [
            'today' => $household->today(),
            'isQuiet' => $household
                ->quietHours()
                ->cover(CarbonImmutable::now($household->time_zone)->toDateTimeImmutable()),
            'now' => $now,
            'soon' => $soon,
            'toStart' => $planned
                ->map(
                    static fn(PlannedBatch $one): array => [
                        ...PlannedBatchView::of($one),
                        'lateDays' => Household::daysBetween($one->start_on, $household->today()),
                    ],
                )
                ->where('lateDays', '>=', -self::AHEAD_DAYS)
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function chore(BatchStatus $status, DueChore $due): array
    {
        $task = $due->chore->task;
        $late = $due->at === null ? $due->lateOn($status->day) : 0;

        return [
            'id' => "{$status->batch->id} {$task->value}",
            'batchId' => $status->batch->id,
            'batchName' => $status->batch->name,
            'colour' => $status->batch->colour,
            'jar' => JarPicture::ofBatch($status->batch, $status->state),
            'task' => $task->value,
            'text' => $due->text(),
            'dueOn' => $status->dateOf($due),
            'dueAt' => $due->at === null ? null : $status->batch->momentAt($due->at)->utc()->toIso8601String(),
            'at' => $due->at === null ? null : $status->callAt($due)->utc()->toIso8601String(),
            'lateDays' => $late,
            'whenLate' => $late === 0 ? null : $task->whenLate($late),
            'doneBy' => $task->doneBy(),
            'snoozedUntil' => $status->snoozedUntil($due)?->utc()->toIso8601String(),
        ];
    }
}
