<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Jar;
use App\Week\FirstWeek;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Restock\WayInChoice;

/**
 * A way into the first weeks: what to start today, in which jar, and when it is ready.
 */
final class FirstWeekView
{
    /** @return array<string, mixed> */
    public static function of(FirstWeek $way): array
    {
        $jars = Jar::query()->pluck('name', 'id');

        return [
            'timesAWeek' => $way->timesAWeek(),
            'choices' => array_map(
                static fn(WayInChoice $choice): array => [
                    'formulaId' => $choice->candidate->id,
                    'name' => $way->makeable->formulas[$choice->candidate->id]->name,
                    'colour' => $way->makeable->formulas[$choice->candidate->id]->colour(),
                    'isLive' => $choice->candidate->isLive,
                    'readyOn' => $way->makeable->readyOn($choice->candidate),
                    'readyHours' => $choice->candidate->readyDays * 24.0,
                    'jarName' => $jars[$choice->jar->size] ?? '',
                    'grams' => $choice->candidate->gramsIn[$choice->jar->size],
                    'servingGrams' => $way->makeable->formulas[$choice->candidate->id]->serving->grams->value,
                    'servingMg' => LabelRounding::milligrams(
                        $way->makeable->answers[$choice->candidate->id]->typicalServingMg(),
                    ),
                    'why' => $choice->why,
                ],
                $way->choices,
            ),
        ];
    }
}
