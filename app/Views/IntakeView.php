<?php

declare(strict_types=1);

namespace App\Views;

use App\Language\StoredText;
use App\Models\Batch;
use App\Models\OtherFood;
use App\Models\Person;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Intake\CultureLog;
use Tempesal\Core\Intake\CultureThread;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Message;

/**
 * What someone took in over some days, beside a target that is theirs.
 */
final class IntakeView
{
    /** Milligrams of sodium in a millimole (IUPAC atomic weights). */
    private const MG_PER_MMOL = 22.98977;

    /**
     * @param  IntakePeriod|null  $beside  another period, or someone else's
     * @return array<string, mixed>
     */
    public static function of(
        Person $person,
        IntakePeriod $period,
        CultureLog $cultures,
        ?IntakePeriod $beside,
        ?Message $besideName,
    ): array {
        return [
            'person' => [
                'id' => $person->id,
                'name' => $person->name,
                'targetMg' => $person->currentTarget()->target_sodium_mg,
                'targetSource' => StoredText::read($person->currentTarget()->target_source),
                'liveGoal' => $person->live_goal,
            ],
            'days' => array_map(self::day(...), $period->days),
            'mean' => self::mean($period),
            'mean7' => self::mean($period->last(7)),
            'mean28' => self::mean($period->last(28)),
            ...self::sums($period),
            'byMeal' => $period->byMeal(),
            'targets' => KitchenView::targetsBefore($person),
            'cultures' => self::cultures($cultures, $person),
            'sources' => self::sources($period),
            'weeks' => array_map(
                static fn(array $days): array => self::week(new IntakePeriod($days, $period->known)),
                self::weeks($period),
            ),
            'beside' =>
                $beside === null
                    ? null
                    : [
                        'name' => $besideName,
                        'mean' => self::mean($beside),
                        'days' => array_map(self::day(...), $beside->days),
                        ...self::sums($beside),
                    ],
        ];
    }

    /** @return array<string, mixed> the kinds of cultures of the last weeks, whatever days are shown */
    private static function cultures(CultureLog $log, Person $person): array
    {
        return [
            'weeks' => $log->weeks,
            'kinds' => array_map(
                static fn(CultureThread $thread): array => [
                    'group' => $thread->group->value,
                    'label' => $thread->group->label(),
                    'family' => $thread->group->family(),
                    'names' => $thread->names(),
                    'weeks' => $thread->weeks(),
                    'lastOn' => $thread->lastOn(),
                    'isNew' => $thread->isNew,
                    'isMissed' => $thread->isMissed(),
                    'young' => $thread->young(),
                    'ripe' => $thread->ripe(),
                    'tolerance' => $person->toleranceOf($thread->group)?->value,
                ],
                $log->threads,
            ),
        ];
    }

    /** @return array<string, mixed> */
    public static function food(OtherFood $food): array
    {
        return [
            'id' => $food->id,
            'personId' => $food->person_id,
            'eatenOn' => $food->eaten_on,
            'name' => $food->name,
            'sodiumMg' => $food->sodium_mg,
            'insteadOf' => $food->instead_of,
            'how' => (object) $food->how,
            'isUndone' => $food->undone_at !== null,
        ];
    }

    /**
     * Foods that were written down before: what someone has most often first, then the last.
     *
     * @param  Collection<int, OtherFood>  $foods
     * @param  string|null  $personId  whose habits count; null: everybody's
     * @return list<array{name: string, how: object, sodiumMg: float, insteadOf: list<string>}>
     */
    public static function known(Collection $foods, ?string $personId = null): array
    {
        $times = $foods
            ->filter(static fn(OtherFood $food): bool => $personId === null || $food->person_id === $personId)
            ->countBy('name');

        return array_values(
            $foods
                ->sortByDesc('id')
                ->unique('name')
                ->sortBy(static fn(OtherFood $food): int => $personId === null ? 0 : -($times[$food->name] ?? 0))
                ->take(30)
                ->map(
                    static fn(OtherFood $food): array => [
                        'name' => $food->name,
                        'how' => (object) $food->how,
                        'sodiumMg' => $food->sodium_mg,
                        'insteadOf' => $food->instead_of,
                    ],
                )
                ->all(),
        );
    }

    /**
     * @return array{
     *     days: int, sodium: array<string, float|int>, jars: array<string, float|int>, rest: array<string, float|int>,
     *     mmol: float, saltGrams: float, targetMg: float, percent: float,
     * }
     */
    private static function mean(IntakePeriod $period): array
    {
        $mean = $period->mean();

        return [
            'days' => count($period->days),
            'sodium' => WireNumbers::total($mean),
            'jars' => WireNumbers::sodium($period->ferments()),
            'rest' => WireNumbers::total($period->rest()),
            'mmol' => $mean->typical / self::MG_PER_MMOL,
            'saltGrams' => SodiumChloride::gramsFor($mean->typical),
            'targetMg' => $period->meanTarget(),
            'percent' => ($mean->typical / max(1.0, $period->meanTarget())) * 100.0,
        ];
    }

    /** @return array<string, mixed> */
    private static function day(IntakeDay $day): array
    {
        return [
            'date' => $day->date,
            'targetMg' => $day->targetMg,
            'estimateMg' => $day->estimateMg,
            'writtenMg' => $day->writtenMg,
            'fermentsMg' => $day->of(false),
            'condimentsMg' => $day->of(true),
            'ferments' => WireNumbers::sodium($day->ferments()),
            'totalMg' => $day->totalMg(),
            'live' => $day->live(),
            'byJarMg' => (object) (new IntakePeriod([$day]))->meanBySource(),
        ];
    }

    /** @return array<string, mixed> */
    private static function sums(IntakePeriod $period): array
    {
        return [
            'shares' => $period->shares(),
            'spread' => $period->spread(),
            'daysWritten' => $period->daysWritten(),
            'daysPast' => $period->daysPast(),
            'live' => $period->live(),
            'kinds' => $period->kinds(),
            'without' => $period->without(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function sources(IntakePeriod $period): array
    {
        /** @var array<string, string> $colours */
        $colours = Batch::query()->whereIn('id', array_keys($period->sources()))->pluck('colour', 'id')->all();

        return array_map(
            static fn(string $id, array $one): array => [
                'batchId' => $id,
                ...$one,
                'colour' => $colours[$id] ?? '#b9ab99',
            ],
            array_keys($period->sources()),
            array_values($period->sources()),
        );
    }

    /** @return list<non-empty-list<IntakeDay>> whole weeks back from the last day, oldest first */
    private static function weeks(IntakePeriod $period): array
    {
        $weeks = [];
        for ($end = count($period->days); $end > 0; $end -= 7) {
            $week = array_slice($period->days, max(0, $end - 7), min(7, $end));
            if ($week !== []) {
                array_unshift($weeks, $week);
            }
        }

        return $weeks;
    }

    /** @return array<string, mixed> the mean of its days */
    private static function week(IntakePeriod $week): array
    {
        $count = count($week->days);
        $shares = $week->shares();
        $mean = $week->mean();

        return [
            'date' => $week->days[0]->date,
            'to' => $week->days[$count - 1]->date,
            'targetMg' => $week->meanTarget(),
            'estimateMg' => $shares['estimate'] / $count,
            'writtenMg' => $shares['written'] / $count,
            'fermentsMg' => $shares['ferments'] / $count,
            'condimentsMg' => $shares['condiments'] / $count,
            'ferments' => WireNumbers::sodium($week->ferments()),
            'byJarMg' => (object) $week->meanBySource(),
            'totalMg' => $mean->typical,
            'mean' => WireNumbers::total($mean),
            'live' => $week->live(),
            'kinds' => $week->kinds(),
        ];
    }
}
