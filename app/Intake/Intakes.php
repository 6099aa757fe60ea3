<?php

declare(strict_types=1);

namespace App\Intake;

use App\Care\LiveCulture;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\OtherFood;
use App\Models\Person;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Intake\IntakeDay;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Intake\Meal;

/**
 * What someone took in over some days. Days before anything was kept of them are left out: nobody knows what they ate
 * then.
 */
final class Intakes
{
    /** @return IntakePeriod|null null where nothing was kept of them yet */
    public static function of(Person $person, string $from, string $to): ?IntakePeriod
    {
        $from = max($from, self::since($person));
        $rest = BackgroundIntake::between($from, $to, $person);
        $kitchen = app(CurrentHousehold::class)->get();
        $portions = EatenDays::of($person, $from, $to);
        $eaten = $groups = [];
        $batches = self::batches($portions);
        foreach ($portions as $date => $ofDay) {
            foreach ($ofDay as $one) {
                $batch = $batches[$one->batchId];
                $eaten[$date][] = [
                    'source' => $one->batchId,
                    'name' => $batch->name,
                    'group' => ($groups[$one->batchId] ??= LiveCulture::group($batch)->value),
                    'isCondiment' => $one->isCondiment,
                    'isLive' => $one->isLive,
                    'sodiumMg' => $one->sodiumMg,
                    'meal' => Meal::at($kitchen->timeAt($one->at)),
                ];
            }
        }
        $days = [];
        for (
            $day = CarbonImmutable::parse($from), $last = CarbonImmutable::parse($to);
            $day->lessThanOrEqualTo($last);
            $day = $day->addDay()
        ) {
            $date = $day->toDateString();
            $days[] = new IntakeDay(
                $date,
                (float) $person->targetOn($date)->target_sodium_mg,
                $rest->estimate($person, $date),
                $rest->written($person, $date),
                $eaten[$date] ?? [],
                $rest->byMeal($person, $date),
                array_map(
                    static fn(OtherFood $food): array => ['name' => $food->name, 'milligrams' => $food->sodium_mg],
                    $rest->foods($person, $date),
                ),
            );
        }

        return $days === [] ? null : new IntakePeriod($days, $person->diet_knowledge);
    }

    /**
     * @param  array<string, array<EatenPortion>>  $portions
     * @param  Builder<Batch>|null  $rows  with what is wanted of them; null: themselves
     * @return array<string, Batch> the jars that they are of, by id
     */
    public static function batches(array $portions, ?Builder $rows = null): array
    {
        $ids = array_map(
            static fn(EatenPortion $one): string => $one->batchId,
            array_merge(...array_values($portions)),
        );

        return ($rows ?? Batch::query())->whereIn('id', array_unique($ids))->get()->keyBy('id')->all();
    }

    /** The first day of which something is kept: they came to the table, or something of theirs was written down. */
    private static function since(Person $person): string
    {
        $since = app(CurrentHousehold::class)->get()->dateOf($person->created_at);
        foreach ([Serving::query(), OtherFood::query()] as $rows) {
            $first = $rows->where('person_id', $person->id)->where('undone_at', null)->min('eaten_on');
            $since = is_string($first) ? min($since, $first) : $since;
        }

        return $since;
    }

    /** @return Collection<int, Serving> that stand, oldest first; of everyone, or of one */
    public static function servings(string $from, string $to, ?Person $of = null): Collection
    {
        $rows = Serving::query()->with(['person', 'batch']);
        $rows->whereBetween('eaten_on', [$from, $to])->where('undone_at', null);
        if ($of !== null) {
            $rows->where('person_id', $of->id);
        }

        return $rows->orderBy('eaten_on')->orderBy('id')->get();
    }
}
