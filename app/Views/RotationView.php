<?php

declare(strict_types=1);

namespace App\Views;

use App\Language\ReaderLanguage;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Household;
use App\Models\RotationLine;
use App\Week\Planning;

/**
 * What comes round in this kitchen, and what could.
 */
final class RotationView
{
    /** @return array<string, mixed> */
    public static function of(Household $household): array
    {
        $planning = Planning::of($household->planning);

        return [
            'lines' => RotationLine::inOrder()
                ->map(
                    static fn(RotationLine $line): array => [
                        'id' => $line->id,
                        'name' => $line->name,
                        'formulaId' => $line->formula_id,
                        'likenesses' => $line->likenesses,
                        'weekdays' => $line->weekdays,
                        'timesAWeek' => $line->times_a_week,
                        'months' => $line->months,
                    ],
                )
                ->values()
                ->all(),
            'perDay' => $planning->perDay,
            'hasNew' => $planning->hasNew,
            'weights' => get_object_vars($planning->weights),
            'weekStart' => $household->week_start,
            'formulas' => Formula::query()
                ->where('archived_at', null)
                ->orderByRaw('natural_sort_key(name)')
                ->get()
                ->map(
                    static fn(Formula $formula): array => [
                        'id' => $formula->id,
                        'name' => ReaderLanguage::say($formula->label()),
                    ],
                )
                ->values()
                ->all(),
            'kinds' => Batch::query()
                ->where('likeness', '!=', '')
                ->get()
                ->sortByDesc('started_at')
                ->unique('likeness')
                ->map(static fn(Batch $batch): array => ['likeness' => $batch->likeness, 'name' => $batch->name])
                ->values()
                ->all(),
        ];
    }
}
