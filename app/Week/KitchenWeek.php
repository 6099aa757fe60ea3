<?php

declare(strict_types=1);

namespace App\Week;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Intake\BackgroundIntake;
use App\Ledger\EntryReader;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Models\PlannedBatch;
use App\Models\PlannedServing;
use App\Models\RotationLine;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Tolerance;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Plan\Eater;
use Tempesal\Core\Plan\Rotation;
use Tempesal\Core\Plan\WeekJar;
use Tempesal\Core\Plan\WeekPlan;
use Tempesal\Core\Plan\WeekServing;
use Tempesal\Core\Produce\Allergen;

/**
 * A week of this kitchen, put together from its shelf, its people, what is planned and what was eaten.
 */
final readonly class KitchenWeek
{
    /** Weeks ahead and back that can be looked at. */
    private const FARTHEST_DAYS = 370;

    /** Days from today that never come. */
    private const NEVER = 100_000;

    /** Days after which something counts as new again. */
    private const REMEMBERED_DAYS = 60;

    /**
     * @param  list<string>  $dates  of its days, YYYY-MM-DD
     * @param  Collection<int, Person>  $people
     * @param  list<BatchStatus|JarToCome>  $status  the jars of the plan, in its order
     * @param  Collection<int, PlannedServing>  $planned  not eaten
     * @param  Collection<int, Serving>  $eaten  in this week
     */
    private function __construct(
        public Household $household,
        public array $dates,
        public Collection $people,
        public array $status,
        public Collection $planned,
        public Collection $eaten,
        public Planning $planning,
        public BackgroundIntake $rest,
        public WeekPlan $plan,
    ) {}

    /**
     * The first day of the week in which a day lies.
     *
     * @param  string  $date  YYYY-MM-DD, or "today"
     *
     * @throws ValidationException
     */
    public static function firstDayOf(Household $household, string $date): string
    {
        $date = $date === 'today' ? $household->today() : $date;
        if (
            !CarbonImmutable::canBeCreatedFromFormat($date, 'Y-m-d') ||
            abs(Household::daysBetween($household->today(), $date)) > self::FARTHEST_DAYS
        ) {
            throw ValidationException::withMessages(['date' => 'errors.week_date']);
        }
        $day = CarbonImmutable::parse($date);

        return $day->subDays(($day->isoWeekday() - $household->week_start + 7) % 7)->toDateString();
    }

    /**
     * @param  array<string, list<array{personId: string, jarId: string, date: string, grams: float}>>  $instead  by the
     *     first day of another week: what is to be planned in it, in the place of what is
     */
    public static function of(Household $household, string $from, array $instead = []): self
    {
        $dates = array_map(
            static fn(int $i): string => CarbonImmutable::parse($from)->addDays($i)->toDateString(),
            range(0, WeekPlan::DAYS - 1),
        );
        $to = $dates[WeekPlan::DAYS - 1];
        $people = Person::atTableOn($dates);
        $planned = PlannedServing::open($from, $to)
            ->whereIn('person_id', $people->pluck('id')->all())
            ->values();
        $eaten = Serving::query()
            ->with(['person', 'batch'])
            ->whereBetween('eaten_on', [$from, $to])
            ->whereNull('undone_at')
            ->orderBy('id')
            ->get();
        $batches = Batch::eatable()->orderBy('started_at')->orderBy('id')->get();
        $gone = $planned->pluck('batch_id')->filter()->diff($batches->pluck('id'))->unique()->all();
        if ($gone !== []) {
            $batches = $batches->concat(Batch::whole()->whereIn('id', $gone)->get());
        }
        $today = Household::daysBetween($from, $household->today());
        $elsewhere = $to < $household->today() ? [] : self::elsewhere($household, $from, $to, $instead);
        $noons = array_map($household->noonOf(...), $dates);
        $status = $jars = [];
        foreach ($batches as $batch) {
            $status[] = $one = BatchStatus::of($batch, Ledgers::of($batch), $household);
            $jars[] = self::jar($one, $people, $noons, $today, (float) ($elsewhere[$batch->id] ?? 0.0));
        }
        $meant = $planned->pluck('planned_batch_id')->filter();
        $pantry = null;
        foreach ($to < $household->today() ? [] : PlannedBatch::toStart() as $one) {
            $pantry ??= EntryReader::pantry();
            $toCome = JarToCome::of($household, $one, $pantry);
            if ($toCome->readyOn <= $to || $meant->contains($one->id)) {
                $status[] = $toCome;
                $jars[] = self::jarToCome($toCome, $people, $from, (float) ($elsewhere[$one->id] ?? 0.0));
            }
        }
        $rest = BackgroundIntake::between($from, $to);
        $planning = Planning::of($household->planning);
        $personPlace = $people->pluck('id')->flip();
        $jarPlace = array_flip(array_map(static fn(WeekJar $jar): string => $jar->id, $jars));
        $dayPlace = array_flip($dates);
        $had = [];
        foreach ($eaten as $serving) {
            if ($personPlace->has($serving->person_id) && isset($jarPlace[$serving->batch_id])) {
                $had[
                    "{$personPlace[$serving->person_id]} {$dayPlace[$serving->eaten_on]} {$jarPlace[$serving->batch_id]}"
                ] = true;
            }
        }

        foreach (self::onTheEve($from, $instead) as [$person, $jar]) {
            if ($personPlace->has($person) && isset($jarPlace[$jar])) {
                $had["{$personPlace[$person]} -1 {$jarPlace[$jar]}"] = true;
            }
        }

        return new self(
            $household,
            $dates,
            $people,
            $status,
            $planned,
            $eaten,
            $planning,
            $rest,
            new WeekPlan(
                self::eaters($people, $eaten, $rest, $dates),
                $jars,
                array_values(
                    $planned
                        ->map(
                            static fn(PlannedServing $one): WeekServing => new WeekServing(
                                $one->id,
                                (int) ($personPlace[$one->person_id] ?? 0),
                                $dayPlace[$one->planned_on],
                                $jarPlace[$one->jarId()],
                                $one->grams,
                                $one->way,
                                $one->is_locked,
                            ),
                        )
                        ->all(),
                ),
                $today,
                $planning->perDay,
                $planning->weights,
                $had,
                self::away($people, $dates),
            ),
        );
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  list<string>  $dates
     * @return array<string, true> by "eater day"
     */
    private static function away(Collection $people, array $dates): array
    {
        $away = [];
        foreach ($people->values() as $eater => $person) {
            foreach ($dates as $day => $date) {
                if ($person->isAwayOn($date)) {
                    $away["{$eater} {$day}"] = true;
                }
            }
        }

        return $away;
    }

    /** What the cook wants to come round in this week. */
    public function rotation(): Rotation
    {
        $lines = [];
        foreach (RotationLine::inOrder() as $line) {
            $days = array_map(
                fn(int $weekday): int => ($weekday - $this->household->week_start + 7) % 7,
                $line->weekdays,
            );
            $lines[] = [
                'name' => $line->name,
                'groups' => $line->groups(),
                'days' => $days,
                'times' => (int) round($line->times_a_week),
            ];
        }
        $last = [];
        $from = CarbonImmutable::parse($this->dates[0])->subDays(self::REMEMBERED_DAYS)->toDateString();
        $place = $this->people->pluck('id')->flip();
        foreach (
            Serving::query()
                ->with('batch')
                ->whereBetween('eaten_on', [$from, $this->dates[0]])
                ->whereNull('undone_at')
                ->get()
            as $serving
        ) {
            if ($place->has($serving->person_id)) {
                $key = "{$place[$serving->person_id]} {$serving->batch->likeness}";
                $last[$key] = min(
                    $last[$key] ?? PHP_INT_MAX,
                    Household::daysBetween($serving->eaten_on, $this->dates[0]),
                );
            }
        }

        return new Rotation($lines, $this->planning->hasNew, $last);
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $eaten
     * @param  list<string>  $dates
     * @return list<Eater>
     */
    private static function eaters(Collection $people, Collection $eaten, BackgroundIntake $rest, array $dates): array
    {
        return array_values(
            $people
                ->map(static function (Person $person) use ($eaten, $rest, $dates): Eater {
                    $allowance = $goal = [];
                    foreach ($dates as $date) {
                        $there = $eaten->where('person_id', $person->id)->where('eaten_on', $date);
                        $allowance[] =
                            $person->targetOn($date)->target_sodium_mg -
                            $rest->sum($person, $date) -
                            $there->sum(static fn(Serving $serving): float => $serving->sodium()->typical);
                        $goal[] = $person->isAwayOn($date)
                            ? 0
                            : max(
                                0,
                                $person->live_goal -
                                    $there->filter(static fn(Serving $serving): bool => $serving->is_live)->count(),
                            );
                    }

                    return new Eater(
                        $person->id,
                        $person->name,
                        (float) $person->currentTarget()->target_sodium_mg,
                        $allowance,
                        $person->limit_is_hard,
                        $goal,
                        $person->is_careful,
                    );
                })
                ->all(),
        );
    }

    /**
     * What is planned from each jar in other weeks and still to come: it is not there for this one.
     *
     * @param  array<string, list<array{personId: string, jarId: string, date: string, grams: float}>>  $instead
     * @return array<string, float> grams by batch, or planned batch
     */
    private static function elsewhere(Household $household, string $from, string $to, array $instead): array
    {
        $grams = [];
        $last = CarbonImmutable::parse($household->today())->addDays(self::FARTHEST_DAYS)->toDateString();
        foreach (PlannedServing::open($household->today(), $last) as $one) {
            if (
                ($one->planned_on < $from || $one->planned_on > $to) &&
                !isset($instead[self::firstDayOf($household, $one->planned_on)])
            ) {
                $grams[$one->jarId()] = ($grams[$one->jarId()] ?? 0.0) + $one->grams;
            }
        }
        foreach (array_merge(...array_values($instead)) as $one) {
            if ($one['date'] < $from || $one['date'] > $to) {
                $grams[$one['jarId']] = ($grams[$one['jarId']] ?? 0.0) + $one['grams'];
            }
        }

        return $grams;
    }

    /**
     * What everyone had, or is to have, on the day before a week.
     *
     * @param  array<string, list<array{personId: string, jarId: string, date: string, grams: float}>>  $instead
     * @return list<array{string, string}> person and jar
     */
    private static function onTheEve(string $from, array $instead): array
    {
        $day = CarbonImmutable::parse($from);
        $eve = $day->subDay()->toDateString();
        $had = [];
        foreach (Serving::query()->where('eaten_on', $eve)->whereNull('undone_at')->get() as $one) {
            $had[] = [$one->person_id, $one->batch_id];
        }
        $before = $instead[$day->subDays(WeekPlan::DAYS)->toDateString()] ?? null;
        foreach ($before === null ? PlannedServing::open($eve, $eve) : [] as $one) {
            $had[] = [$one->person_id, $one->jarId()];
        }
        foreach ($before ?? [] as $one) {
            if ($one['date'] === $eve) {
                $had[] = [$one['personId'], $one['jarId']];
            }
        }

        return $had;
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  non-empty-list<CarbonImmutable>  $noons  of the days of the week
     * @param  float  $elsewhere  grams that are planned in other weeks
     */
    private static function jar(
        BatchStatus $status,
        Collection $people,
        array $noons,
        int $today,
        float $elsewhere,
    ): WeekJar {
        $batch = $status->batch;
        $served = BatchStatus::served($batch, $status->state);
        $ahead = Ledgers::foreseen($batch);
        $now = CarbonImmutable::now();
        $states = array_map(
            static fn(CarbonImmutable $noon): BatchState => $noon->isBefore($now)
                ? Ledgers::of($batch)->state()
                : $ahead->asOf($batch->secondsSinceStart($noon))->state(),
            $noons,
        );
        $band = $status->gramsLeft() > 1.0 ? Ledgers::of($batch)->estimates()["{$served->value}Per100g"]->band : null;
        $group = LiveCulture::group($batch);

        return new WeekJar(
            $batch->id,
            $batch->name,
            // It is offered from the day on which it is ready; what counts is how far it will be then.
            LiveCulture::counts($batch, $states[array_key_last($states)]),
            $batch->likeness,
            $served,
            max(0.0, $status->gramsLeft() - $elsewhere),
            $today + ($status->readyIn() ?? self::NEVER),
            $today + ($status->keepsFor() ?? self::NEVER),
            $states,
            array_values(
                $people->map(static fn(Person $person): float => $batch->usualPortion($person, $served))->all(),
            ),
            self::notFor($people, $status->state->allergens(), self::disliked($batch, $people), $group),
            self::closed($status),
            $band === null || $band->typical <= 0.0 ? 1.0 : $band->low / $band->typical,
            $band === null || $band->typical <= 0.0 ? 1.0 : $band->high / $band->typical,
            $group,
        );
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  string  $from  the first day of the week, YYYY-MM-DD
     * @param  float  $elsewhere  grams that are planned in other weeks
     */
    private static function jarToCome(JarToCome $toCome, Collection $people, string $from, float $elsewhere): WeekJar
    {
        $answer = $toCome->answer;
        $read = $answer->formula;
        $served = $read->served();
        $band = $answer->ledger->estimates()["{$served->value}Per100g"]->band;
        $ready = Household::daysBetween($from, $toCome->readyOn);
        $keys = array_flip(Person::dislikedBy($people));
        $disliked = [];
        foreach ($answer->lines as $line) {
            if ($line->food !== null && isset($keys[$line->food->id])) {
                $disliked[$line->food->id] = LibraryName::food($line->food->id, $line->food->name);
            }
        }

        return new WeekJar(
            $toCome->planned->id,
            $toCome->planned->name(),
            $read->isLive && $toCome->culture()->counts(),
            $toCome->planned->likeness(),
            $served,
            max(0.0, $toCome->grams - $elsewhere),
            $ready,
            $ready + max(1, $toCome->keeps) - 1,
            array_fill(0, WeekPlan::DAYS, $answer->state),
            array_values(
                $people
                    ->map(
                        static fn(Person $person): float => $person->usualPortion(
                            $served,
                            $read->serving->grams->value,
                        ),
                    )
                    ->all(),
            ),
            self::notFor($people, $answer->allergens(), $disliked, $toCome->culture()),
            null,
            $band->typical <= 0.0 ? 1.0 : $band->low / $band->typical,
            $band->typical <= 0.0 ? 1.0 : $band->high / $band->typical,
            $toCome->culture(),
        );
    }

    /**
     * Why each of some people does not eat of a jar.
     *
     * @param  Collection<int, Person>  $people
     * @param  list<Allergen>  $allergens  in it
     * @param  array<string, Message>  $disliked  foods in it that somebody does not like, by key
     * @return list<Message|null>
     */
    private static function notFor(Collection $people, array $allergens, array $disliked, CultureGroup $group): array
    {
        $there = array_map(static fn(Allergen $one): string => $one->value, $allergens);

        return array_values(
            $people
                ->map(static function (Person $person) use ($there, $disliked, $group): ?Message {
                    $clash = array_values(array_intersect($there, $person->allergens));
                    $dislike = array_values(array_intersect_key($disliked, array_flip($person->dislikes)));

                    return match (true) {
                        $clash !== [] => Message::of(
                            'objection.allergen',
                            allergens: Listed::all(
                                array_map(static fn(string $one): Message => Message::of("allergen.{$one}"), $clash),
                            ),
                        ),
                        $dislike !== [] => Message::of('objection.dislike', foods: Listed::all($dislike)),
                        $person->toleranceOf($group) === Tolerance::NotNow => Message::of('objection.not_now'),
                        default => null,
                    };
                })
                ->all(),
        );
    }

    /** Why nobody eats from it, whatever the day. */
    private static function closed(BatchStatus $status): ?Message
    {
        return match (true) {
            $status->batch->emptied_at !== null => Message::of('objection.emptied'),
            $status->isSpokenAgainst() => Message::of('objection.check_failed'),
            default => null,
        };
    }

    /**
     * The foods in a batch that somebody does not like.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, Message> names by key
     */
    private static function disliked(Batch $batch, Collection $people): array
    {
        $keys = Person::dislikedBy($people);
        $names = [];
        foreach ($keys === [] ? [] : $batch->tended() as $line) {
            /** @var array{id?: string, name?: string}|null $food  as the ledger writes it */
            $food = $line->entry['ingredient'] ?? ($line->entry['food'] ?? null);
            if (in_array($food['id'] ?? '', $keys, true)) {
                $names[$food['id'] ?? ''] = LibraryName::food($food['id'] ?? '', $food['name'] ?? '');
            }
        }

        return $names;
    }
}
