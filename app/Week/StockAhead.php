<?php

declare(strict_types=1);

namespace App\Week;

use App\Actions\StartFromFormula;
use App\Care\BatchStatus;
use App\Climate\RoomClimates;
use App\Ledger\EntryReader;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Jar;
use App\Models\Person;
use App\Models\PlannedBatch;
use App\Models\PlannedServing;
use App\Models\RotationLine;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Plan\WeekPlan;
use Tempesal\Core\Restock\FreeJar;
use Tempesal\Core\Restock\Product;
use Tempesal\Core\Restock\RestockPlanner;
use Tempesal\Core\Restock\RestockProblem;
use Tempesal\Core\Restock\ScheduledBatch;
use Tempesal\Core\Restock\StockForecast;

/**
 * What this kitchen's shelf holds in the weeks ahead: from its rotation, batches, plans, free jars and temperatures.
 */
final readonly class StockAhead
{
    /** Nine weeks: eight that are looked at, and one more so that the eighth is not the edge. */
    public const DAYS = 63;

    /** Times by which a formula is scaled at most, up and down. */
    private const SCALES = [0.02, 50.0];

    /** Days of eating from which the use of what does not come round is taken. */
    private const LATELY_DAYS = 14;

    /**
     * @param  array<string, RotationLine>  $lines  by kind
     * @param  array<string, FormulaAnswer>  $answers  by kind, where a formula says how it is made
     * @param  array<string, BatchStatus>  $status  standing batches by id
     * @param  Collection<int, PlannedBatch>  $planned
     * @param  array<string, JarToCome>  $beside  planned batches that do not come round, by id
     * @param  array<string, array<int, float>>  $meant  grams planned for someone, by batch and day
     */
    private function __construct(
        public Household $household,
        public array $lines,
        public array $answers,
        public array $status,
        public Collection $planned,
        public StockForecast $forecast,
        public array $beside,
        private array $meant,
    ) {}

    /**
     * What is left of a jar after each day on which something of it is planned for someone.
     *
     * @return list<array{day: int, grams: float}> days counted from today
     */
    public function levels(string $batch, float $grams): array
    {
        $levels = [];
        foreach ($this->meant[$batch] ?? [] as $day => $taken) {
            $grams = max(0.0, $grams - $taken);
            $levels[] = ['day' => $day, 'grams' => $grams];
        }

        return $levels;
    }

    /** @return array<string, array<int, float>> grams that are planned for someone, by batch and day from today */
    private static function meant(Household $household): array
    {
        $today = CarbonImmutable::parse($household->today());
        $meant = [];
        foreach (
            PlannedServing::open($today->toDateString(), $today->addDays(self::DAYS - 1)->toDateString())->sortBy(
                'planned_on',
            )
            as $one
        ) {
            $day = Household::daysBetween($household->today(), $one->planned_on);
            $meant[$one->jarId()][$day] = ($meant[$one->jarId()][$day] ?? 0.0) + $one->grams;
        }

        return $meant;
    }

    /**
     * Days from today to the end of the last week in a row in which something is planned.
     *
     * @param  array<string, array<int, float>>  $meant
     */
    private static function plannedDays(Household $household, array $meant): int
    {
        $to = Household::daysBetween(KitchenWeek::firstDayOf($household, 'today'), $household->today());
        $weeks = [];
        foreach ($meant as $days) {
            foreach (array_keys($days) as $day) {
                $weeks[intdiv($day + $to, WeekPlan::DAYS)] = true;
            }
        }
        for ($week = 0; isset($weeks[$week]); $week++);

        return max(0, $week * WeekPlan::DAYS - $to);
    }

    /**
     * @param  string|null  $extraJar  id of a size of which there is one more
     * @param  float  $warmer  degrees by which the warm places are warmer than known
     */
    public static function of(Household $household, ?string $extraJar = null, float $warmer = 0.0): self
    {
        $faster = Ripening::Q10 ** ($warmer / 10.0);
        $people = Person::atTable();
        $meant = self::meant($household);
        $plannedDays = self::plannedDays($household, $meant);
        $jars = Jar::query()->orderBy('position')->orderBy('id')->get();
        $vessels = [];
        foreach ($jars as $jar) {
            for ($i = 1; $i <= $jar->how_many + ($jar->id === $extraJar ? 1 : 0); $i++) {
                $vessels[] = new FreeJar("{$jar->id} {$i}", $jar->id);
            }
        }
        $lines = $answers = $kinds = $groups = [];
        $pantry = EntryReader::pantry();
        foreach (RotationLine::inOrder()->load('formula.newest') as $line) {
            $lines[$line->id] = $line;
            $groups[$line->id] = $line->groups();
            $read = $line->formula === null ? null : StartFromFormula::read($line->formula->newest, $pantry);
            if ($read !== null) {
                $answers[$line->id] = FormulaAnswer::of($read);
            }
            $kinds[$line->id] = self::kind(
                $household,
                $line,
                $answers[$line->id] ?? null,
                $people,
                $jars,
                $faster,
                $plannedDays,
            );
        }
        $lots = $status = $others = [];
        $lately = self::eatenLately($household);
        $taken = [];
        foreach (Batch::food()->orderBy('started_at')->orderBy('id')->get() as $batch) {
            $status[$batch->id] = $one = BatchStatus::of($batch, Ledgers::of($batch), $household);
            $kind =
                array_key_first(
                    array_filter($groups, static fn(array $group): bool => in_array($batch->likeness, $group, true)),
                ) ?? "batch {$batch->id}";
            if (!isset($kinds[$kind])) {
                $others[$kind] = new Product(
                    $kind,
                    $batch->name,
                    self::usedADay($lately[$batch->id] ?? 0.0, $meant[$batch->id] ?? []),
                    [],
                    [],
                    1,
                    [],
                    $plannedDays,
                );
            }
            $lots[] = self::standing(
                $one,
                $kind,
                self::vessel($vessels, $batch->jar_id, $taken),
                $batch->place->isWarm() ? $faster : 1.0,
                $meant[$batch->id] ?? [],
            );
        }
        $planned = PlannedBatch::toStart();
        $beside = [];
        foreach ($planned as $one) {
            $kind =
                $one->rotation_line_id !== null && isset($kinds[$one->rotation_line_id])
                    ? $one->rotation_line_id
                    : array_key_first(
                        array_filter(
                            $lines,
                            static fn(RotationLine $line): bool => $line->formula_id === $one->formula_id,
                        ),
                    );
            $start = max(0, Household::daysBetween($household->today(), $one->start_on));
            if ($kind === null) {
                // It does not come round: it is eaten as it is planned.
                $kind = "planned {$one->id}";
                $beside[$one->id] = $toCome = JarToCome::of($household, $one, $pantry);
                $others[$kind] = new Product($kind, $one->name(), 0.0, [], [], 1, [], $plannedDays);
                $ready = Household::daysBetween($household->today(), $toCome->readyOn);
                [$grams, $keeps] = [$toCome->grams, max(1, $toCome->keeps)];
            } elseif (isset($kinds[$kind]->gramsIn[$one->jar_id], $kinds[$kind]->leadDays[$start])) {
                $ready = $start + $kinds[$kind]->leadDays[$start];
                [$grams, $keeps] = [$kinds[$kind]->gramsIn[$one->jar_id] * $one->share, $kinds[$kind]->keeps];
            } else {
                continue;
            }
            $lots[] = new ScheduledBatch(
                $one->id,
                $kind,
                self::vessel($vessels, $one->jar_id, $taken),
                $start,
                $ready,
                $grams,
                $ready + $keeps - 1,
                $one->jar_id,
                $one->share,
                $meant[$one->id] ?? [],
            );
        }

        return new self(
            $household,
            $lines,
            $answers,
            $status,
            $planned,
            RestockPlanner::plan(
                new RestockProblem(self::DAYS, array_values([...$kinds, ...$others]), $vessels, $lots),
            ),
            $beside,
            $meant,
        );
    }

    /** The date of a day, counted from today. */
    public function date(int $day): string
    {
        return Household::dayAfter($this->household->today(), $day);
    }

    /** @return list<Product> those that come round */
    public function kinds(): array
    {
        return array_values(
            array_filter($this->forecast->shelf->kinds, fn(Product $kind): bool => isset($this->lines[$kind->id])),
        );
    }

    /** Days without any of what comes round. */
    public function gapDays(): int
    {
        return array_sum(
            array_map(fn(Product $kind): int => count($this->forecast->runs[$kind->id]->gaps), $this->kinds()),
        );
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Jar>  $jars
     */
    private static function kind(
        Household $household,
        RotationLine $line,
        ?FormulaAnswer $answer,
        Collection $people,
        Collection $jars,
        float $faster,
        int $plannedDays,
    ): Product {
        if ($answer === null) {
            return new Product(
                $line->id,
                $line->name,
                ($line->times_a_week / 7.0) *
                    $people->sum(static fn(Person $person): float => $person->usual_serving_g),
                [],
                [],
                1,
                [],
                $plannedDays,
            );
        }
        $read = $answer->formula;
        $gramsIn = self::gramsIn($answer, $jars);
        $perWeek =
            $people
                ->filter(static fn(Person $person): bool => $person->eats($answer))
                ->sum(
                    static fn(Person $person): float => $read->served() === Served::Sauce
                        ? $read->serving->grams->value
                        : $person->usual_serving_g,
                ) * $line->times_a_week;
        $keeps = $answer->shelfLife()->days;
        $today = CarbonImmutable::parse($household->today());
        $mayStart = array_map(
            static fn(int $day): bool => $line->months === [] ||
                in_array($today->addDays($day)->month, $line->months, true),
            range(0, self::DAYS - 1),
        );

        return new Product(
            $line->id,
            $line->name,
            $perWeek / 7.0,
            self::leadDays($household, $read, $faster),
            $gramsIn,
            max(1, $keeps),
            $mayStart,
            $plannedDays,
        );
    }

    /**
     * What is eaten of a full jar of a formula; jars that do not suit it are left out.
     *
     * @param  Collection<int, Jar>  $jars
     * @return array<string, float> grams by jar
     */
    public static function gramsIn(FormulaAnswer $answer, Collection $jars): array
    {
        $gramsIn = [];
        foreach ($jars as $jar) {
            $factor = $answer->factorForJar($jar->geometry());
            if ($factor >= self::SCALES[0] && $factor <= self::SCALES[1]) {
                $gramsIn[$jar->id] = $answer->makesG() * $factor;
            }
        }

        return $gramsIn;
    }

    /** Days until a formula that is started now, or then, is ready, at the temperatures that are expected. */
    public static function leadTime(Household $household, Read $read, ?CarbonImmutable $start = null): float
    {
        return self::daysUntilReady($household, $read, 1.0, $start ?? CarbonImmutable::now()) ?? self::DAYS * 100.0;
    }

    private static function daysUntilReady(
        Household $household,
        Read $read,
        float $faster,
        CarbonImmutable $start,
    ): ?float {
        $window = $read->window->aimedAt($household->aim);
        $place = Place::near($window->temperature);
        $ripened =
            ($window->readyDays * 86_400.0 * Ripening::factor($window->temperature)) /
            ($place->isWarm() ? $faster : 1.0);
        if ($ripened <= 0.0) {
            return 0.0;
        }
        $seconds = app(RoomClimates::class)
            ->from($place, $start->utc())
            ->whenReaches($ripened, 0.0, Ripening::factor(...));

        return $seconds === null ? null : $seconds / 86_400.0;
    }

    /**
     * @return list<int> days until it is ready, by the day on which it is started, at the temperatures that are
     *     expected
     */
    private static function leadDays(Household $household, Read $read, float $faster): array
    {
        $noon = CarbonImmutable::parse($household->today() . ' 12:00', $household->time_zone);
        $days = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            $until = self::daysUntilReady($household, $read, $faster, $noon->addDays($day));
            $days[] = $until === null ? self::DAYS * 100 : (int) ceil($until - 1e-6);
        }

        return $days;
    }

    /** @param  array<int, float>  $meant */
    private static function standing(
        BatchStatus $status,
        string $kind,
        ?string $vessel,
        float $faster,
        array $meant,
    ): ScheduledBatch {
        $never = self::DAYS * 100;
        $in = $status->readyIn() ?? $never;
        $ready = $in <= 0 ? 0 : (int) ceil($in / $faster);

        return new ScheduledBatch(
            $status->batch->id,
            $kind,
            $vessel,
            min(-1, -$status->day),
            $ready,
            $status->isSpokenAgainst() ? 0.0 : $status->gramsAhead(),
            $status->keepsFor() ?? $never,
            $status->batch->jar_id ?? '',
            meant: $meant,
        );
    }

    /**
     * One of the jars of a size that nothing has taken yet.
     *
     * @param  list<FreeJar>  $vessels
     * @param  array<string, true>  $taken
     */
    private static function vessel(array $vessels, ?string $size, array &$taken): ?string
    {
        $last = null;
        foreach ($vessels as $vessel) {
            if ($vessel->size === $size) {
                $last = $vessel->id;
                if (!isset($taken[$vessel->id])) {
                    $taken[$vessel->id] = true;

                    return $vessel->id;
                }
            }
        }

        return $last;
    }

    /**
     * Grams a day that are eaten of a batch which does not come round: as planned for the days ahead, or as lately.
     *
     * @param  float  $lately  grams that were eaten of it
     * @param  array<int, float>  $meant  grams planned for someone, by day
     */
    private static function usedADay(float $lately, array $meant): float
    {
        $planned = array_sum(array_filter($meant, static fn(int $day): bool => $day < 7, ARRAY_FILTER_USE_KEY));

        return $planned > 0.0 ? $planned / 7.0 : $lately / self::LATELY_DAYS;
    }

    /** @return array<string, float> grams that were eaten of each batch in the last days */
    private static function eatenLately(Household $household): array
    {
        $from = CarbonImmutable::parse($household->today())->subDays(self::LATELY_DAYS);
        $rows = Serving::query()->where('undone_at', null)->where('eaten_on', '>', $from->toDateString());

        /** @var array<string, float> $grams */
        $grams = $rows
            ->groupBy('batch_id')
            ->selectRaw('batch_id, sum(grams) as grams')
            ->pluck('grams', 'batch_id')
            ->all();

        return $grams;
    }
}
