<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Models\Serving;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Intake\SodiumDay;

/**
 * One day: each person's salt line, and the jars at hand.
 */
final class DayView
{
    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $servings  of that day, not undone
     * @param  Collection<int, Batch>  $batches  at hand
     * @return array<string, mixed>
     */
    public static function of(string $date, Household $household, Collection $people, Collection $servings, Collection $batches): array
    {
        return [
            'date' => $date,
            'today' => $household->today(),
            'people' => $people->map(static fn (Person $person): array => self::person(
                $person, $date, $servings->where('person_id', $person->id),
            ))->values()->all(),
            'jars' => $batches->map(static fn (Batch $batch): array => BatchView::atHand($batch, $household, $people))->values()->all(),
        ];
    }

    /**
     * @param  Collection<int, Serving>  $servings
     * @return array<string, mixed>
     */
    private static function person(Person $person, string $date, Collection $servings): array
    {
        $day = new SodiumDay($person->target_sodium_mg, $person->restOn($date), array_values($servings->map(
            static fn (Serving $serving): array => ['source' => $serving->batch_id, 'sodiumMg' => $serving->sodium()],
        )->all()));

        return [
            'id' => $person->id,
            'name' => $person->name,
            'targetMg' => $person->target_sodium_mg,
            'targetSource' => $person->target_source,
            'usualServingGrams' => $person->usual_serving_g,
            'restMg' => $person->restOn($date),
            'ferments' => Shown::sodium($day->ferments()),
            'marginMg' => $day->marginMg(),
            'servings' => $servings->map(static fn (Serving $serving): array => ServingView::of($serving))->values()->all(),
        ];
    }
}
