<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use Carbon\CarbonImmutable;
use Tempesal\Core\Care\DueChore;
use Tempesal\Core\Care\Task;
use Tempesal\Core\Ledger\RunningStrength;
use Tempesal\Core\Message\Message;

/**
 * A batch's life: what was done to it, and what is to come.
 */
final class BatchHistory
{
    private const MILESTONES = ['youngOn' => 'young', 'readyOn' => 'ready', 'longOn' => 'long'];

    /** Chores that say the same as a milestone. */
    private const SAID_BY = ['young' => Task::Taste, 'ready' => Task::ToFridge];

    /** How many entries, and how many servings, a jar's page begins with. */
    public const LATEST = 100;

    /**
     * @param  int|null  $latest  how many of the last ones; null: all
     * @return list<array<string, mixed>> entries in the order in which they happened
     */
    public static function entries(Batch $batch, CarbonImmutable $now, ?int $latest = null): array
    {
        $basis = $batch->method->profile()->salting->basis;
        $running = RunningStrength::of(Ledgers::history($batch), $basis);
        $standing = array_map(static fn(BatchEntry $entry): string => $entry->id, $batch->standing());
        $strengths = [];
        foreach ($running as $place => $share) {
            $strengths[$standing[$place]] = Message::of(
                'entry.so_far',
                strength: $basis->strength(round($share * 100.0, 2)),
            );
        }

        $reversed = $batch->entries->pluck('reverses_id')->filter()->flip();
        $inOrder = Batch::inOrder($batch->entries->all());

        return array_map(
            static fn(BatchEntry $entry): array => [
                'id' => $entry->id,
                'position' => $entry->position,
                'kind' => $entry->kind,
                'happenedAt' => $entry->happened_at->toIso8601String(),
                'isComing' => $entry->happened_at->greaterThan($now),
                'text' => EntryMessage::of($entry),
                'running' => $strengths[$entry->id] ?? null,
                'reversesId' => $entry->reverses_id,
                'isReversed' => $reversed->has($entry->id),
            ],
            $latest === null ? $inOrder : array_slice($inOrder, -$latest),
        );
    }

    /**
     * Chores and milestones from today on, soonest first; chores that are late stand on today.
     *
     * @param  array{youngOn: string|null, readyOn: string|null, longOn: string|null}|null  $window
     * @return list<array{code: string, text: Message, on: string, until: string|null, every: int|null}>
     */
    public static function coming(BatchStatus $status, ?array $window): array
    {
        $today = $status->household->today();
        $began = CarbonImmutable::parse($status->household->dateOf($status->batch->started_at));
        $coming = array_map(
            static fn(DueChore $due): array => [
                'code' => $due->chore->task->value,
                'text' => $due->text(),
                'on' => max($today, $status->dateOf($due)),
                'until' =>
                    $due->chore->last === null || $due->chore->every === 0
                        ? null
                        : $began->addDays($due->chore->last)->toDateString(),
                'every' => $due->chore->every === 0 ? null : $due->chore->every,
            ],
            $status->dues,
        );
        $tasks = array_map(static fn(DueChore $due): Task => $due->chore->task, $status->dues);
        foreach ($status->batch->emptied_at === null ? self::MILESTONES : [] as $key => $code) {
            $on = $window[$key] ?? null;
            if ($on !== null && $on >= $today && !in_array(self::SAID_BY[$code] ?? null, $tasks, true)) {
                $coming[] = [
                    'code' => $code,
                    'text' => Message::of("ripeness.{$code}"),
                    'on' => $on,
                    'until' => null,
                    'every' => null,
                ];
            }
        }
        usort($coming, static fn(array $one, array $other): int => $one['on'] <=> $other['on']);

        return $coming;
    }
}
