<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Care\RipeningWindows;
use App\Language\StoredText;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Note;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Care\BatchTemperature;
use Tempesal\Core\Ferment\PreferredRipeness;

/**
 * What was written down of a batch, and how it stands beside others of its kind.
 */
final class LogView
{
    /**
     * @param  Collection<int, Batch>  $alike  whole, this one among them
     * @return array<string, mixed>
     */
    public static function of(BatchStatus $status, Collection $alike): array
    {
        return [
            'notes' => $status->batch->notes
                ->reverse()
                ->map(static fn(Note $note): array => self::note($note, $status->household, $status->batch))
                ->values()
                ->all(),
            'marks' => Note::MARKS,
            'words' => Note::WORDS,
            'expectedPh' => $status->expectedPh(),
            'ownDays' => RipeningWindows::ownDays($status->batch),
            'tastingsNeeded' => max(
                0,
                PreferredRipeness::ENOUGH -
                    $alike->sum(
                        static fn(Batch $batch): int => $batch->notes
                            ->filter(static fn(Note $note): bool => isset($note->marks['liked']))
                            ->count(),
                    ),
            ),
            'alike' => $alike
                ->map(
                    static fn(Batch $batch): array => self::beside(
                        $batch,
                        $status->household,
                        $batch->id === $status->batch->id,
                    ),
                )
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    public static function note(Note $note, Household $household, Batch $batch): array
    {
        return [
            'id' => $note->id,
            'at' => $note->happened_at->utc()->toIso8601String(),
            'day' => Household::daysBetween(
                $household->dateOf($batch->started_at),
                $household->dateOf($note->happened_at),
            ),
            'marks' => (object) $note->marks,
            'smell' => $note->smell,
            'colour' => $note->colour,
            'bubbles' => $note->bubbles,
            'celsius' => $note->celsius,
            'ph' => $note->ph,
            'phBy' => $note->ph_by,
            'phMargin' => $note->ph_margin,
            'text' => $note->text === '' ? null : StoredText::read($note->text),
            'photo' => $note->photo === null ? null : "/api/notes/{$note->id}/photo?{$note->photo}",
            'verdict' => $note->verdict?->value,
            'verdictLabel' => $note->verdict?->label(),
            'because' => $note->because === null ? null : StoredText::read($note->because),
        ];
    }

    /** @return array<string, mixed> one batch of a kind, in the figures by which they are compared */
    private static function beside(Batch $batch, Household $household, bool $isThis): array
    {
        $until = $batch->emptied_at ?? CarbonImmutable::now();
        $basis = $batch->method->profile()->salting->basis;
        $share = $batch->strengths[$basis->value] ?? null;
        $marks = [];
        foreach (Note::MARKS as $mark) {
            $given = array_column($batch->notes->pluck('marks')->all(), $mark);
            $marks[$mark] = $given === [] ? null : array_sum($given) / count($given);
        }
        $warmUntil =
            collect($batch->stands())->first(static fn(array $stand): bool => !$stand[1]->isWarm())[0] ?? $until;

        return [
            'id' => $batch->id,
            'name' => $batch->name,
            'colour' => $batch->colour,
            'isThis' => $isThis,
            'startedOn' => $household->dateOf($batch->started_at),
            'emptiedOn' => $batch->emptied_at === null ? null : $household->dateOf($batch->emptied_at),
            'warmDays' => max(0.0, $batch->started_at->diffInDays($warmUntil)),
            'strengthPercent' => $share === null ? null : $share * 100.0,
            'strength' => $share === null ? null : $basis->strength(round($share * 100.0, 2)),
            'meanCelsius' => BatchTemperature::mean(Ledgers::history($batch), $batch->secondsSinceStart($warmUntil))
                ?->value,
            'ph' => $batch->notes->last(static fn(Note $note): bool => $note->ph !== null)?->ph,
            'marks' => (object) $marks,
            'tastings' => $batch->notes->filter(static fn(Note $note): bool => $note->marks !== [])->count(),
        ];
    }
}
