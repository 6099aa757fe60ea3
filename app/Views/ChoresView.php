<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
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

    /** Days before nobody is here on which it is told, and how long that may be. */
    private const AWAY_WITHIN_DAYS = 10;

    private const LONGEST_AWAY_DAYS = 60;

    /**
     * @param  Collection<int, Batch>  $batches  whole, on the shelf
     * @param  Collection<int, PlannedBatch>  $planned  to be started
     * @return array<string, mixed>
     */
    public static function of(Household $household, Collection $batches, Collection $planned): array
    {
        $now = $soon = $whileAway = [];
        $away = self::nobodyHere($household);
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
                if ($away !== null && $chore['dueOn'] <= $away['to']) {
                    $whileAway[] = $chore;
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
            'away' => $away === null ? null : [...$away, 'chores' => $whileAway],
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

    /**
     * The next days on which nobody eats here.
     *
     * @return array{from: string, to: string}|null first and last; null where none are near
     */
    private static function nobodyHere(Household $household): ?array
    {
        $people = Person::atTable();
        $today = CarbonImmutable::parse($household->today());
        $from = $to = null;
        for ($day = 0; $day < self::AWAY_WITHIN_DAYS + self::LONGEST_AWAY_DAYS; $day++) {
            $date = $today->addDays($day)->toDateString();
            $isEmpty = $people->isNotEmpty() && $people->every(static fn(Person $one): bool => $one->isAwayOn($date));
            if ($isEmpty && ($from !== null || $day <= self::AWAY_WITHIN_DAYS)) {
                $from ??= $date;
                $to = $date;
            } elseif ($from !== null) {
                break;
            }
        }

        return $from === null || $to === $from ? null : ['from' => $from, 'to' => (string) $to];
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
