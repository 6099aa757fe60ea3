<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Household;
use Carbon\CarbonImmutable;
use Tempesal\Core\Care\Chore;
use Tempesal\Core\Care\Rhythm;
use Tempesal\Core\Ledger\RunningStrength;

/**
 * A batch's life: what was done to it, and what is to come.
 */
final class BatchLife
{
    private const MILESTONES = [
        'youngOn' => ['young', 'Young: taste it for the first time'],
        'readyOn' => ['ready', 'Ready to eat'],
        'longOn' => ['long', 'Its window ends; softer and sourer from here'],
    ];

    /** @return list<array<string, mixed>> entries in the order in which they happened */
    public static function entries(Batch $batch, CarbonImmutable $now): array
    {
        $basis = $batch->method->usualBasis();
        $running = RunningStrength::of($batch->history(), $basis);
        $standing = array_map(static fn (BatchEntry $entry): string => $entry->id, $batch->standing());
        $strengths = [];
        foreach ($running as $place => $share) {
            $strengths[$standing[$place]] = sprintf('%s %% %s so far', round($share * 100.0, 2), $basis->label());
        }

        return array_values($batch->entries->sortBy([['happened_at', 'asc'], ['position', 'asc']])->map(static fn (BatchEntry $entry): array => [
            'id' => $entry->id,
            'position' => $entry->position,
            'kind' => $entry->kind,
            'happenedAt' => $entry->happened_at->toIso8601String(),
            'isComing' => $entry->happened_at->greaterThan($now),
            'text' => EntrySentence::of($entry),
            'running' => $strengths[$entry->id] ?? null,
            'reversesId' => $entry->reverses_id,
            'isReversed' => $batch->entries->contains('reverses_id', $entry->id),
        ])->all());
    }

    /**
     * Chores and milestones from today on, soonest first.
     *
     * @param  array{youngOn: string|null, readyOn: string|null, longOn: string|null}|null  $window
     * @return list<array{code: string, text: string, on: string, until: string|null, every: int|null}>
     */
    public static function coming(Batch $batch, Household $household, ?array $window): array
    {
        if ($batch->emptied_at !== null) {
            return [];
        }
        $began = CarbonImmutable::parse($household->dateOf($batch->started_at));
        $today = BatchSummary::day($batch, $household);
        $chores = $batch->jar === null || $batch->place === 'fridge' ? [] : Rhythm::of($batch->method, $batch->jar->cover);
        $coming = [];
        foreach ($chores as $chore) {
            $next = $chore->nextFrom($today);
            if ($next !== null) {
                $coming[] = [
                    'code' => $chore->code, 'text' => $chore->text, 'on' => $began->addDays($next)->toDateString(),
                    'until' => self::lastDay($chore, $began), 'every' => $chore->every,
                ];
            }
        }
        foreach (self::MILESTONES as $key => [$code, $text]) {
            $on = $window[$key] ?? null;
            if ($on !== null && $on >= $household->today()) {
                $coming[] = ['code' => $code, 'text' => $text, 'on' => $on, 'until' => null, 'every' => null];
            }
        }
        usort($coming, static fn (array $one, array $other): int => $one['on'] <=> $other['on']);

        return $coming;
    }

    private static function lastDay(Chore $chore, CarbonImmutable $began): ?string
    {
        return $chore->last === null ? null : $began->addDays($chore->last)->toDateString();
    }
}
