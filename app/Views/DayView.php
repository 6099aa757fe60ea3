<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Intake\BackgroundIntake;
use App\Intake\ServingMoment;
use App\Language\StoredText;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Week\JarToCome;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Intake\SodiumDay;
use Tempesal\Core\Measure\Grams;

/**
 * One day: each person's salt line, and the jars at hand.
 *
 * @phpstan-type Planned array{id: string, sodium: array{typical: float, ...<string, mixed>}|null, ...<string, mixed>}
 */
final class DayView
{
    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $servings  of that day, not undone
     * @param  BackgroundIntake  $rest  of that day
     * @param  Collection<int, PlannedServing>  $planned  for that day, not eaten yet
     * @param  Collection<int, Batch>  $batches  at hand
     * @param  Collection<int, PlannedServing>  $around  planned for the days before, not eaten, and for the rest of the
     *     week
     * @return array<string, mixed>
     */
    public static function of(
        string $date,
        Household $household,
        Collection $people,
        Collection $servings,
        BackgroundIntake $rest,
        Collection $planned,
        Collection $batches,
        Collection $around,
    ): array {
        $eaters = $people
            ->map(
                static fn(Person $person): array => self::person(
                    $person,
                    $date,
                    $rest,
                    $servings->where('person_id', $person->id),
                    array_values(
                        $planned
                            ->where('person_id', $person->id)
                            ->map(
                                static fn(PlannedServing $one): array => self::planned(
                                    $one,
                                    $batches->firstWhere('id', $one->batch_id),
                                ),
                            )
                            ->all(),
                    ),
                    $around->where('person_id', $person->id),
                ),
            )
            ->values();
        $room = array_column($eaters->all(), 'roomMg', 'id');

        return [
            'date' => $date,
            'today' => $household->today(),
            'people' => $eaters->all(),
            'jars' => $batches
                ->map(
                    static fn(Batch $batch): array => BatchView::atHand(
                        $batch,
                        $household,
                        $people,
                        $room,
                        self::moment($batch, $date, $household),
                    ),
                )
                ->values()
                ->all(),
        ];
    }

    /**
     * The moment of a day that is over at which a portion of it left the jar, where no hour is said; null for today and
     * later.
     */
    private static function moment(Batch $batch, string $date, Household $household): ?CarbonImmutable
    {
        return $date >= $household->today() ? null : (new ServingMoment($date))->in($batch, $household);
    }

    /**
     * @param  Batch|null  $batch  null when it is no longer on the shelf
     * @return Planned
     */
    private static function planned(PlannedServing $planned, ?Batch $batch): array
    {
        $sodium = null;
        if ($batch !== null) {
            $ledger = Ledgers::of($batch);
            $served = BatchStatus::served($batch, $ledger->state());
            $grams = Grams::of($planned->grams);
            $sodium =
                $ledger->servingsLeft($served, $grams) > 0
                    ? $ledger->serving($planned->way->plate($served, $grams))->band
                    : null;
        }

        return [
            'id' => $planned->id,
            ...self::sign($planned),
            'grams' => $planned->grams,
            'way' => $planned->way->value,
            'wayLabel' => $planned->way->label(),
            'sodium' => $sodium === null ? null : WireNumbers::sodium($sodium),
        ];
    }

    /** @return array{batchId: string, batchName: string, isToStart: bool, colour: string} the jar that it is of */
    private static function sign(PlannedServing $planned): array
    {
        return [
            'batchId' => $planned->jarId(),
            'batchName' => $planned->jarName(),
            'isToStart' => $planned->batch === null,
            'colour' =>
                $planned->batch->colour ??
                ($planned->plannedBatch === null ? '' : JarToCome::colourOf($planned->plannedBatch)),
        ];
    }

    /**
     * @param  Collection<int, Serving>  $servings
     * @param  list<Planned>  $planned
     * @param  Collection<int, PlannedServing>  $around
     * @return array{id: string, roomMg: float, ...<string, mixed>}
     */
    private static function person(
        Person $person,
        string $date,
        BackgroundIntake $rest,
        Collection $servings,
        array $planned,
        Collection $around,
    ): array {
        $target = $person->targetOn($date);
        $day = new SodiumDay(
            $target->target_sodium_mg,
            $rest->sum($person, $date),
            array_values(
                $servings
                    ->map(
                        static fn(Serving $serving): array => [
                            'source' => $serving->batch_id,
                            'sodiumMg' => $serving->sodium(),
                        ],
                    )
                    ->all(),
            ),
        );

        $total = $rest->total($person, $date, $day->ferments());

        return [
            'id' => $person->id,
            'name' => $person->name,
            'targetMg' => $target->target_sodium_mg,
            'targetSource' => StoredText::read($target->target_source),
            'usualServingGrams' => $person->usual_serving_g,
            'meals' => $rest->meals($person, $date),
            'restMg' => $rest->estimate($person, $date),
            'writtenMg' => $rest->written($person, $date),
            'otherFoods' => array_map(IntakeView::food(...), $rest->foods($person, $date)),
            'ferments' => WireNumbers::sodium($day->ferments()),
            'marginMg' => $day->marginMg(),
            'isAway' => $person->isAwayOn($date),
            'chance' => $total->chanceInWords((float) $target->target_sodium_mg),
            'isWarned' => $person->warning($total, $date) !== null,
            'dietKnowledge' => $person->diet_knowledge->label(),
            'total' => WireNumbers::total($total->all),
            'roomMg' =>
                $day->marginMg() -
                array_sum(array_map(static fn(array $one): float => $one['sodium']['typical'] ?? 0.0, $planned)),
            'planned' => $planned,
            'missed' => $around
                ->where('planned_on', '<', $date)
                ->map(
                    static fn(PlannedServing $one): array => [
                        'id' => $one->id,
                        ...self::sign($one),
                        'date' => $one->planned_on,
                        'grams' => $one->grams,
                        'way' => $one->way->value,
                    ],
                )
                ->values()
                ->all(),
            'toCome' => [
                'servings' => $around->where('planned_on', '>', $date)->count(),
                'kinds' => $around
                    ->where('planned_on', '>', $date)
                    ->map(static fn(PlannedServing $one): string => $one->likeness())
                    ->unique()
                    ->count(),
            ],
            'servings' => $servings
                ->map(static fn(Serving $serving): array => ServingView::of($serving))
                ->values()
                ->all(),
        ];
    }
}
