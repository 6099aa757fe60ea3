<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Care\MeantServing;
use App\Labels\LabelPrint;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Pantry\KnownPotassium;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Allergen;

/**
 * What a jar's label says: it stays on the jar, so that its sodium is that of a serving on the day on which it is meant
 * to be eaten.
 *
 * @phpstan-import-type Label from LabelPrint
 */
final class LabelView
{
    /**
     * @return Label
     */
    public static function of(Batch $batch, Household $household): array
    {
        $ledger = Ledgers::of($batch);
        $status = BatchStatus::of($batch, $ledger, $household);
        $summary = BatchSummary::of($status);
        $state = $status->state;
        $meant = MeantServing::of($status->batch, $status->forecast);

        return [
            'batchId' => $batch->id,
            'name' => $batch->name,
            'methodLabel' => $batch->method->label(),
            'colour' => $batch->colour,
            'startedOn' => $summary['startedOn'],
            'youngOn' => $summary['window']['youngOn'] ?? null,
            'readyOn' => $summary['window']['readyOn'] ?? null,
            'longOn' => $summary['window']['longOn'] ?? null,
            'strengthPercent' => $summary['strengthPercent'],
            'strength' => $summary['strength'],
            'servingGrams' => $batch->serving_g,
            'sodium' =>
                $meant === null
                    ? self::serving($ledger, BatchStatus::served($batch, $state), Grams::of($batch->serving_g))
                    : WireNumbers::sodium($meant->sodium->band),
            'sodiumOn' => $meant === null ? null : $status->household->dateOf($meant->on),
            'potassium' => KnownPotassium::said($ledger, BatchStatus::served($batch, $state), $batch->serving_g),
            'stageLabel' => $status->stage()->label(),
            'allergens' => array_map(static fn(Allergen $allergen): string => $allergen->value, $state->allergens()),
            'isLive' => LiveCulture::willCount($batch, $state),
            'isMade' => $batch->method->isMade(),
            'useBy' => self::useBy($status),
            'path' => "/shelf/{$batch->id}",
        ];
    }

    /** The last day on which it is eaten: as printed on a bought jar, otherwise as long as it keeps. */
    private static function useBy(BatchStatus $status): ?string
    {
        $days = $status->keepsFor();

        return $status->batch->use_by ??
            ($days === null || !$status->batch->method->isFood()
                ? null
                : Household::dayAfter($status->household->today(), $days));
    }

    /** @return array<string, float|int>|null null when less than a serving is left */
    private static function serving(Ledger $ledger, Served $served, Grams $grams): ?array
    {
        return $ledger->servingsLeft($served, $grams) < 1
            ? null
            : WireNumbers::sodium($ledger->serving(Serve::of($served, $grams))->band);
    }
}
