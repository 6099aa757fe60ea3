<?php

declare(strict_types=1);

namespace App\Intake;

use App\Household\CurrentHousehold;
use App\Models\EatenDay;
use App\Models\Household;
use App\Models\Person;
use App\Models\Serving;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/**
 * What someone ate from the jars, a row for each day instead of one for each serving. A day has a version, which every change of
 * a serving of that day counts up in the same transaction, and which lets go of what was kept. What is read anew is kept only
 * as long as the version is still the one from before it was read: a change that comes in between is waited for, and wins.
 */
final class EatenDays
{
    /**
     * @param  string  $from  YYYY-MM-DD
     * @param  string  $to  the last day
     * @return array<string, list<EatenPortion>> by day, oldest first; days on which nothing was eaten are left out
     */
    public static function of(Person $person, string $from, string $to): array
    {
        $rows = self::rows($person, $from, $to);
        $days = $missing = [];
        for ($day = $from; $day <= $to; $day = Household::dayAfter($day, 1)) {
            $portions = $rows->get($day)?->portions;
            if ($portions === null) {
                $missing[$day] = $rows->get($day)->version ?? 0;
            }
            $days[$day] = array_map(EatenPortion::read(...), $portions ?? []);
        }
        if ($missing !== []) {
            $days = [...$days, ...self::readAnew($person, $missing)];
        }

        return array_filter($days);
    }

    /**
     * The days of which something is kept, as it is kept.
     *
     * @return array<string, list<EatenPortion>>
     */
    public static function kept(Person $person, string $from, string $to): array
    {
        return self::rows($person, $from, $to)
            ->filter(static fn(EatenDay $day): bool => $day->portions !== null)
            ->map(static fn(EatenDay $day): array => array_map(EatenPortion::read(...), $day->portions ?? []))
            ->all();
    }

    /** @return Collection<string, EatenDay> by day */
    private static function rows(Person $person, string $from, string $to): Collection
    {
        return EatenDay::query()
            ->where('person_id', $person->id)
            ->whereBetween('eaten_on', [$from, $to])
            ->get()
            ->keyBy('eaten_on');
    }

    /**
     * The same from the servings alone, whatever was kept.
     *
     * @return array<string, list<EatenPortion>>
     */
    public static function asWritten(Person $person, string $from, string $to): array
    {
        $days = [];
        foreach (Intakes::servings($from, $to, $person)->load('entry:id,household_id,happened_at') as $serving) {
            $days[$serving->eaten_on][] = EatenPortion::of($serving);
        }

        return $days;
    }

    /**
     * Lets go of what was kept of the days of some servings; in the transaction in which these change, and for several of
     * them before the first does.
     */
    public static function changed(Serving ...$servings): void
    {
        $days = array_map(static fn(Serving $one): array => [$one->person_id, $one->eaten_on], $servings);
        // Always in the same order: whoever changes several at once waits for another, and not in a ring.
        sort($days);
        foreach ($days as [$person, $day]) {
            EatenDay::query()->upsert(
                [
                    [
                        'household_id' => app(CurrentHousehold::class)->id(),
                        'person_id' => $person,
                        'eaten_on' => $day,
                        'version' => 1,
                    ],
                ],
                ['household_id', 'person_id', 'eaten_on'],
                ['version' => DB::raw('version + 1'), 'portions' => null],
            );
        }
    }

    /**
     * @param  non-empty-array<string, int>  $missing  days of which nothing is kept, and their versions
     * @return array<string, list<EatenPortion>>
     */
    private static function readAnew(Person $person, array $missing): array
    {
        $written = self::asWritten($person, min(array_keys($missing)), max(array_keys($missing)));
        $days = [];
        $rows = [];
        foreach ($missing as $day => $version) {
            $days[$day] = $written[$day] ?? [];
            $rows[] = [
                'household_id' => $person->household_id,
                'person_id' => $person->id,
                'eaten_on' => $day,
                'version' => $version,
                'portions' => json_encode(
                    array_map(static fn(EatenPortion $one): array => $one->toKeep(), $days[$day]),
                    JSON_THROW_ON_ERROR,
                ),
            ];
        }
        try {
            EatenDay::query()->upsert(
                $rows,
                ['household_id', 'person_id', 'eaten_on'],
                ['portions' => DB::raw('if(version = values(version), values(portions), portions)')],
            );
        } catch (QueryException) {
            // Another request keeps the same just now.
        }

        return $days;
    }
}
