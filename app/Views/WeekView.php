<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Models\Person;
use App\Models\Serving;
use App\Models\WeekChange;
use App\Pictures\JarPicture;
use App\Week\JarToCome;
use App\Week\KitchenWeek;
use Carbon\CarbonImmutable;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Intake\SodiumDay;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Plan\Conflict;
use Tempesal\Core\Plan\Suggestion;
use Tempesal\Core\Plan\WeekJar;
use Tempesal\Core\Plan\WeekServing;

/**
 * A week: everyone's salt lines, the jars at hand and how they run down, what is planned, and what does not go
 * together.
 */
final class WeekView
{
    /** @return array<string, mixed> */
    public static function of(KitchenWeek $week): array
    {
        $from = CarbonImmutable::parse($week->dates[0]);
        $changes = WeekChange::query()->where('week_on', $week->dates[0])->orderBy('number')->get();

        return [
            'from' => $week->dates[0],
            'today' => $week->household->today(),
            'before' => $from->subDays(7)->toDateString(),
            'after' => $from->addDays(7)->toDateString(),
            'dates' => $week->dates,
            'perDay' => $week->plan->perDay,
            'isBare' => $week->plan->isBare(),
            'undo' => $changes->whereNull('undone_at')->last()?->said(),
            'redo' => $changes->whereNotNull('undone_at')->first()?->said(),
            'people' => array_map(
                static fn(int $place): array => self::person($week, $place),
                array_keys($week->plan->eaters),
            ),
            'jars' => array_map(
                static fn(int $place): array => self::jar($week, $place),
                array_keys($week->plan->jars),
            ),
            'servings' => array_map(
                static fn(WeekServing $serving): array => self::serving($week, $serving),
                $week->plan->servings,
            ),
            'conflicts' => array_map(
                static fn(Conflict $conflict): array => self::conflict($week, $conflict),
                Conflict::all($week->plan, $week->dates),
            ),
            // A week in which nothing is planned yet brings nothing that is wanted: that need not be said.
            'unmet' => $week->plan->coming === [] ? [] : $week->rotation()->unmet($week->plan),
        ];
    }

    /** @return array<string, mixed> */
    private static function person(KitchenWeek $week, int $place): array
    {
        /** @var Person $person */
        $person = $week->people[$place];
        $days = [];
        foreach ($week->dates as $day => $date) {
            $eaten = $week->eaten->where('person_id', $person->id)->where('eaten_on', $date);
            $coming = $week->plan->on($place, $day);
            $parts = [
                ...array_values(
                    $eaten
                        ->map(
                            static fn(Serving $one): array => [
                                'source' => $one->batch_id,
                                'sodiumMg' => $one->sodium(),
                            ],
                        )
                        ->all(),
                ),
                ...array_map(
                    static fn(WeekServing $one): array => [
                        'source' => $week->plan->jars[$one->jar]->id,
                        'sodiumMg' => self::band($week, $one),
                    ],
                    $coming,
                ),
            ];
            $sum = new SodiumDay($person->targetOn($date)->target_sodium_mg, $week->rest->sum($person, $date), $parts);
            $total = $week->rest->total($person, $date, $sum->ferments());
            $live =
                $eaten->filter(static fn(Serving $one): bool => $one->is_live)->count() +
                count(array_filter($coming, static fn(WeekServing $one): bool => $week->plan->jars[$one->jar]->isLive));
            $days[] = [
                'date' => $date,
                'targetMg' => $person->targetOn($date)->target_sodium_mg,
                'restMg' => $week->rest->sum($person, $date),
                'ferments' => WireNumbers::sodium($sum->ferments()),
                'marginMg' => $sum->marginMg(),
                'total' => WireNumbers::total($total->all),
                'warning' => $person->warning($total, $date),
                'live' => $live,
                'eaten' => $eaten
                    ->map(
                        static fn(Serving $one): array => [
                            'id' => $one->id,
                            'batchId' => $one->batch_id,
                            'name' => $one->batch->name,
                            'colour' => $one->batch->colour,
                            'grams' => $one->grams,
                            'milligrams' => $one->sodium()->typical,
                        ],
                    )
                    ->values()
                    ->all(),
            ];
        }
        $kinds = [
            ...$week->eaten
                ->where('person_id', $person->id)
                ->where('is_live', true)
                ->map(static fn(Serving $one): string => $one->batch->likeness)
                ->all(),
            ...array_map(
                static fn(WeekServing $one): string => $week->plan->jars[$one->jar]->group,
                array_filter(
                    $week->plan->coming,
                    static fn(WeekServing $one): bool => $one->eater === $place && $week->plan->jars[$one->jar]->isLive,
                ),
            ),
        ];

        return [
            'id' => $person->id,
            'name' => $person->name,
            'targetMg' => $person->currentTarget()->target_sodium_mg,
            'isHard' => $person->limit_is_hard,
            'liveGoal' => $person->live_goal,
            'kinds' => count(array_unique($kinds)),
            'days' => $days,
        ];
    }

    /** @return array<string, mixed> */
    private static function jar(KitchenWeek $week, int $place): array
    {
        $jar = $week->plan->jars[$place];
        $short = $week->plan->runsShortOn($place);
        $status = $week->status[$place];

        return [
            ...self::sign($status),
            'startOn' => $status instanceof JarToCome ? $status->planned->start_on : null,
            'isLive' => $jar->isLive,
            'grams' => $status instanceof JarToCome ? $status->grams : $status->gramsLeft(),
            'left' => $week->plan->left($place),
            'shortOn' => $short === null ? null : $week->dates[$short],
            'readyOn' => match (true) {
                $status instanceof JarToCome => $status->readyOn,
                default => $status->forecast === null ? null : $status->on($status->forecast->ready),
            },
            'closed' => $jar->closed,
            'portions' => array_map(
                static fn(int $eater): array => [
                    'personId' => $week->plan->eaters[$eater]->id,
                    'grams' => $jar->portions[$eater],
                    'notFor' => $jar->notFor[$eater],
                    'days' => array_map(
                        static fn(int $day): array => [
                            'milligrams' => $week->plan->typical($week->plan->usual($eater, $day, $place)),
                            'objection' => $jar->objection($eater, $day),
                        ],
                        array_keys($week->dates),
                    ),
                ],
                array_keys($week->plan->eaters),
            ),
            'ways' => array_map(
                static fn(ServingStyle $way): array => ['way' => $way->value, 'label' => $way->label()],
                $jar->ways(),
            ),
        ];
    }

    /** @return array<string, mixed> a jar as it is drawn small */
    private static function sign(BatchStatus|JarToCome $status): array
    {
        if ($status instanceof JarToCome) {
            return [
                'id' => $status->planned->id,
                'name' => $status->planned->name(),
                'colour' => $status->colour(),
                'place' => $status->place()->value,
                'jar' => JarPicture::empty($status->planned->jar),
            ];
        }
        $summary = BatchSummary::of($status);

        return [
            'id' => $summary['id'],
            'name' => $summary['name'],
            'colour' => $summary['colour'],
            'place' => $summary['place'],
            'jar' => $summary['jar'],
        ];
    }

    /** @return array<string, mixed> */
    private static function serving(KitchenWeek $week, WeekServing $serving): array
    {
        $jar = $week->plan->jars[$serving->jar];

        return [
            'id' => $serving->id,
            'personId' => $week->plan->eaters[$serving->eater]->id,
            'date' => $week->dates[$serving->day],
            'batchId' => $jar->id,
            'name' => $jar->name,
            'grams' => $serving->grams,
            'way' => $serving->way->value,
            'wayLabel' => $serving->way->label(),
            'sodium' => WireNumbers::sodium(self::band($week, $serving)),
            'isLocked' => $serving->isLocked,
            'isLive' => $jar->isLive,
            'isOver' => $serving->day < $week->plan->today,
        ];
    }

    private static function band(KitchenWeek $week, WeekServing $serving): Band
    {
        $jar = $week->plan->jars[$serving->jar];
        $typical = $week->plan->typical($serving);

        return Band::of($typical * $jar->low, $typical, $typical * $jar->high);
    }

    /** @return array<string, mixed> */
    private static function conflict(KitchenWeek $week, Conflict $conflict): array
    {
        $jar = static fn(WeekServing $one): WeekJar => $week->plan->jars[$one->jar];

        return [
            'code' => $conflict->code,
            'text' => $conflict->text,
            'personId' => $conflict->eater === null ? null : $week->plan->eaters[$conflict->eater]->id,
            'date' => $conflict->day === null ? null : $week->dates[$conflict->day] ?? null,
            'batchId' => $conflict->jar === null ? null : $week->plan->jars[$conflict->jar]->id,
            'servings' => $conflict->servings,
            'levers' => array_map(
                static fn(Suggestion $lever): array => [
                    'kind' => $lever->kind->value,
                    'text' => Message::of(
                        'week.suggestion',
                        jar: $jar($lever->serving)->name,
                        suggestion: $lever->text,
                    ),
                    'cost' => $lever->kind->cost(),
                    'savesMg' => $lever->savesMg,
                    'isEnough' => $lever->isEnough,
                    'servingId' => $lever->serving->id,
                    'instead' =>
                        $lever->instead === null
                            ? null
                            : [
                                'personId' => $week->plan->eaters[$lever->instead->eater]->id,
                                'date' => $week->dates[$lever->instead->day],
                                'batchId' => $jar($lever->instead)->id,
                                'grams' => $lever->instead->grams,
                                'way' => $lever->instead->way->value,
                                'isLocked' => $lever->instead->isLocked,
                            ],
                ],
                $conflict->suggestions,
            ),
        ];
    }
}
