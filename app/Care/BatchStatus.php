<?php

declare(strict_types=1);

namespace App\Care;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\ChoreMark;
use App\Models\Household;
use App\Models\Note;
use Carbon\CarbonImmutable;
use Tempesal\Core\Care\AcidReading;
use Tempesal\Core\Care\CareContext;
use Tempesal\Core\Care\CareRecord;
use Tempesal\Core\Care\Chore;
use Tempesal\Core\Care\ChoreSchedule;
use Tempesal\Core\Care\DueChore;
use Tempesal\Core\Care\Recurrence;
use Tempesal\Core\Care\ReleaseCheck;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Care\RipenessForecast;
use Tempesal\Core\Care\RipeningDays;
use Tempesal\Core\Care\Task;
use Tempesal\Core\Check\CheckedJar;
use Tempesal\Core\Check\Looks;
use Tempesal\Core\Check\Verdict;
use Tempesal\Core\Ferment\ExpectedAcid;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Making\Stage;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Method\ShelfLife;
use Tempesal\Core\Salt\SaltBasis;

/**
 * A batch as its cook tends it: how far it is, what it asks for, what was read of it.
 */
final class BatchStatus
{
    /** Grams that one could not serve. */
    private const NOTHING_G = 2.0;

    /** Twice the time in which a ferment sours, at the reference temperature. */
    private const SOUR_BY_RIPENED_S = 14.0 * 86_400.0;

    /** What comes into a jar and makes an earlier reading of its acid void. */
    private const ADDITIONS = ['add', 'starter', 'top_up', 'freshen', 'leak', 'blend'];

    /** @param  list<DueChore>  $dues  soonest first */
    private function __construct(
        public readonly Batch $batch,
        public readonly Household $household,
        public readonly BatchState $state,
        public readonly ?RipenessForecast $forecast,
        public readonly int $day,
        public readonly Hazards $hazards,
        public readonly ShelfLife $shelfLife,
        public readonly array $dues,
        private readonly ?CarbonImmutable $chilledAt,
    ) {}

    /** @param  Batch  $batch  whole */
    public static function of(Batch $batch, Ledger $ledger, Household $household): self
    {
        $state = $ledger->state();
        $history = Ledgers::history($batch);
        $forecast = RipeningWindows::forecast($batch, $household);
        $began = $household->dateOf($batch->started_at);
        $day = static fn(CarbonImmutable $moment): int => Household::daysBetween($began, $household->dateOf($moment));
        $dayOf = static fn(?float $seconds): ?int => $seconds === null
            ? null
            : Household::daysBetween($began, $household->dateAt($batch->timestampAt($seconds)));
        $today = Household::daysBetween($began, $household->today());
        $hazards = Hazards::of($history, $batch->method);
        $shelfLife = ShelfLife::of($batch->method, $hazards, $batch->formulaKeepsDays());
        $chilledAt = self::chilledAt($batch);
        $condemned = self::condemnation($batch);
        $dues =
            $batch->emptied_at !== null
                ? []
                : ChoreSchedule::of(
                    new CareContext(
                        $batch->method,
                        $batch->cover(),
                        $today,
                        $batch->place->isWarm(),
                        new RipeningDays(
                            $dayOf($forecast?->young),
                            $dayOf($forecast?->ready),
                            $forecast?->ready,
                            $dayOf(RipenessForecast::whenRipened($history, Recurrence::LIVELY_RIPENED_DAYS)),
                        ),
                        $hazards,
                        $shelfLife,
                        $state->live,
                        self::gramsIn($batch, $state) <= self::NOTHING_G,
                        new CareRecord(
                            max(0, $day($batch->created_at)),
                            $chilledAt === null ? null : $day($chilledAt),
                            $condemned === null ? null : $day($condemned->happened_at),
                            self::done($batch, $day),
                        ),
                        $batch->use_by === null ? null : Household::daysBetween($began, $batch->use_by),
                    ),
                );

        $dues = self::withSteps($batch, $dues, $day);

        return new self($batch, $household, $state, $forecast, $today, $hazards, $shelfLife, $dues, $chilledAt);
    }

    /**
     * The next step of its making comes before what it asks for besides. As long as it is no food, nothing else is asked
     * for.
     *
     * @param  list<DueChore>  $dues
     * @param  callable(CarbonImmutable): int  $day
     * @return list<DueChore>
     */
    private static function withSteps(Batch $batch, array $dues, callable $day): array
    {
        $next = $batch->emptied_at === null ? $batch->nextStep() : null;
        if ($next === null) {
            return $dues;
        }
        $seconds = $batch->secondsSinceStart($next->due_at);
        $step = new DueChore(
            new Chore(Task::Step, 0, $day($next->due_at), null, $seconds),
            $day($next->due_at),
            $seconds,
            $next->kind,
        );

        return $next->isWaitedFor(CarbonImmutable::now())
            ? [$step]
            : [
                $step,
                ...array_values(
                    array_filter(
                        $dues,
                        static fn(DueChore $due): bool => $next->kind !== StepKind::Chill ||
                            $due->chore->task !== Task::ToFridge,
                    ),
                ),
            ];
    }

    /** How far it is. */
    public function stage(): Stage
    {
        return $this->batch->stage($this->forecast === null || ($this->daysSince($this->forecast->ready) ?? -1) >= 0);
    }

    /** Whether what is in it can be offered. */
    public function isFood(): bool
    {
        return $this->batch->isFoodAt(CarbonImmutable::now());
    }

    /** What is served from it: a jar that was blended is a sauce, whatever it began as. */
    public static function served(Batch $batch, BatchState $state): Served
    {
        return $batch->served($state);
    }

    public function gramsLeft(): float
    {
        return self::gramsIn($this->batch, $this->state);
    }

    /** What there will be of it once it is made; of what is food now, what there is. */
    public function gramsAhead(): float
    {
        if ($this->isFood()) {
            return $this->gramsLeft();
        }
        $then = Ledgers::foreseen($this->batch)->state();

        return max(0.0, self::served($this->batch, $then)->in($then)->weightG());
    }

    public function isNothing(): bool
    {
        return $this->gramsLeft() <= self::NOTHING_G;
    }

    /** @return list<DueChore> what it asks for by now, put off or not asked for in quiet hours left out */
    public function dueNow(): array
    {
        $now = CarbonImmutable::now();

        return array_values(
            array_filter(
                $this->dues,
                fn(DueChore $due): bool => $this->snoozedUntil($due)?->isAfter($now) !== true &&
                    ($due->at === null ? $due->day <= $this->day : !$this->callAt($due)->isAfter($now)),
            ),
        );
    }

    /** Until when a chore was put off; null when it was not. */
    public function snoozedUntil(DueChore $due): ?CarbonImmutable
    {
        return $this->batch->choreMarks->firstWhere('task', $due->chore->task)?->snoozed_until;
    }

    /** The day of a chore, as YYYY-MM-DD in the kitchen's calendar. */
    public function dateOf(DueChore $due): string
    {
        return Household::dayAfter($this->household->dateOf($this->batch->started_at), $due->day);
    }

    /** The moment at which to call for a chore that is due at an hour, outside the kitchen's quiet hours. */
    public function callAt(DueChore $due): CarbonImmutable
    {
        $quiet = $this->household->quietHours();
        $moment = $this->batch
            ->momentAt($due->at ?? 0.0)
            ->setTimezone($this->household->time_zone)
            ->toDateTimeImmutable();

        // What has stood for its hours goes cold before the night; a soak goes on until the morning.
        return CarbonImmutable::instance(
            $due->step === null || $due->step === StepKind::Chill
                ? $quiet->callFor($moment)
                : $quiet->callAfter($moment),
        );
    }

    /** The day of a moment of its life, as YYYY-MM-DD. */
    public function on(?float $seconds): ?string
    {
        return $seconds === null ? null : $this->household->dateAt($this->batch->timestampAt($seconds));
    }

    /** Whole days since a moment of its life, negative before it. */
    public function daysSince(?float $seconds): ?int
    {
        $on = $this->on($seconds);

        return $on === null ? null : Household::daysBetween($on, $this->household->today());
    }

    /** Days from today until it is ready, negative when it is since; null when it never is where it stands. */
    public function readyIn(): ?int
    {
        if ($this->forecast === null) {
            return 0;
        }
        $since = $this->daysSince($this->forecast->ready);

        return $since === null ? null : -$since;
    }

    /** Days from today for which it keeps, if it goes into the fridge when it is ready; null when it never is ready. */
    public function keepsFor(): ?int
    {
        $from =
            $this->chilledAt === null
                ? max(0, $this->readyIn() ?? PHP_INT_MAX)
                : Household::daysBetween($this->household->today(), $this->household->dateOf($this->chilledAt));

        if ($from === PHP_INT_MAX) {
            return null;
        }
        $printed =
            $this->batch->use_by === null
                ? PHP_INT_MAX
                : Household::daysBetween($this->household->today(), $this->batch->use_by);

        // What is thrown out on a day is not eaten on it, and counts from the day on which it was made.
        return min(
            $printed,
            $this->shelfLife->isStrict ? $this->shelfLife->days - 1 - $this->day : $from + $this->shelfLife->days,
        );
    }

    /**
     * The last day of its best time, as YYYY-MM-DD: by its window while it ripens, by its keeping once it is cold; null
     * for what does not ripen, or never gets there.
     */
    public function longOn(): ?string
    {
        if ($this->forecast === null) {
            return null;
        }
        $keeps = $this->batch->place->isWarm() ? null : $this->keepsFor();

        return $keeps === null
            ? $this->on($this->forecast->long)
            : Household::dayAfter($this->household->today(), $keeps);
    }

    /** Whole days since its best time ended, negative before; null where it never does. */
    public function longSince(): ?int
    {
        $on = $this->longOn();

        return $on === null ? null : Household::daysBetween($on, $this->household->today());
    }

    /** The last reading of its acid. */
    public function reading(): ?Note
    {
        return $this->batch->notes->last(static fn(Note $note): bool => $note->ph !== null);
    }

    /** The last reading, unless something was put in since. */
    public function standingReading(): ?Note
    {
        $reading = $this->reading();
        $since = collect($this->batch->tended())->last(
            static fn(BatchEntry $line): bool => in_array($line->kind, self::ADDITIONS, true) &&
                !$line->happened_at->isFuture(),
        );

        return $reading === null || ($since !== null && $since->happened_at->isAfter($reading->happened_at))
            ? null
            : $reading;
    }

    /**
     * The acid it is likely to have; a reading is where it goes on from. What is stirred of vinegar, tomato or egg begins
     * anywhere, so that nothing is said of it before a reading.
     */
    public function expectedPh(): ?float
    {
        if (!LiveCulture::works($this->batch, $this->state) || !$this->batch->method->isMade()) {
            return null;
        }
        $strength = Strength::of($this->state)->share(SaltBasis::BrineStrength) ?? 0.0;
        $reading = $this->standingReading();

        if ($reading?->ph === null && $this->batch->method->isMixed()) {
            return null;
        }

        return $reading?->ph === null
            ? ExpectedAcid::ph($this->state->ripened, $strength)
            : ExpectedAcid::after($reading->ph, max(0.0, $this->state->ripened - $reading->ripened_s), $strength);
    }

    /** Whether the last check said that nothing is to be eaten from it, or not yet. */
    public function isSpokenAgainst(): bool
    {
        return in_array(self::lastCheck($this->batch)?->verdict, [Verdict::Wait, Verdict::DoNotEat], true);
    }

    public function gate(ReleasePurpose $purpose): ReleaseCheck
    {
        return ReleaseCheck::of(
            $purpose,
            $this->acidReading(),
            $this->hazards,
            $this->state->live,
            $this->isSpokenAgainst(),
        );
    }

    private function acidReading(): ?AcidReading
    {
        $note = $this->standingReading();

        return $note?->ph === null
            ? null
            : new AcidReading(
                $note->ph,
                $note->ph_by === 'meter',
                $note->ph_margin ?? AcidReading::METER_MARGIN,
                Household::daysBetween($this->household->dateOf($note->happened_at), $this->household->today()),
            );
    }

    /** What matters when one looks into it. */
    public function situation(): CheckedJar
    {
        return new CheckedJar(
            $this->batch->method,
            $this->batch->cover(),
            $this->day,
            $this->state->ripened / 86_400.0,
            $this->batch->place->isWarm(),
            $this->state->isOnePhase(),
            $this->state->live,
            $this->hazards,
            $this->shelfLife,
            $this->standingReading()?->ph,
            $this->warmHours(),
            $this->hasSoured(),
            Looks::in(Ledgers::history($this->batch)),
        );
    }

    /** What was seen, smelled and tasted before says of its souring: a sign of it; or late and not sour; or nothing. */
    private function hasSoured(): ?bool
    {
        $late = $this->batch->notes->last(
            static fn(Note $note): bool => isset($note->marks['sour']) && $note->ripened_s >= self::SOUR_BY_RIPENED_S,
        );

        return match (true) {
            $late !== null && $late->marks['sour'] <= 1 => false,
            $this->batch->notes->contains(static fn(Note $note): bool => $note->showsSouring()) => true,
            default => null,
        };
    }

    private function warmHours(): float
    {
        $hours = 0.0;
        $stands = $this->batch->stands();
        foreach ($stands as $i => [$since, $place]) {
            $until = $stands[$i + 1][0] ?? CarbonImmutable::now();
            $hours += $place->isWarm() ? max(0.0, $since->diffInHours($until)) : 0.0;
        }

        return $hours;
    }

    private static function gramsIn(Batch $batch, BatchState $state): float
    {
        return max(0.0, self::served($batch, $state)->in($state)->weightG());
    }

    private static function chilledAt(Batch $batch): ?CarbonImmutable
    {
        $stands = $batch->stands();
        [$since, $place] = $stands[count($stands) - 1];

        return $place === Place::Fridge ? $since : null;
    }

    private static function lastCheck(Batch $batch): ?Note
    {
        return $batch->notes->last(static fn(Note $note): bool => $note->verdict !== null);
    }

    /** The last check, where it said that the jar is not to be eaten. */
    private static function condemnation(Batch $batch): ?Note
    {
        $last = self::lastCheck($batch);

        return $last?->verdict === Verdict::DoNotEat ? $last : null;
    }

    /**
     * @param  callable(CarbonImmutable): int  $day
     * @return array<string, int> the day on which each task was last done
     */
    private static function done(Batch $batch, callable $day): array
    {
        $done = [];
        $note = static function (Task $task, CarbonImmutable $moment) use (&$done, $day): void {
            $done[$task->value] = max($done[$task->value] ?? 0, $day($moment));
        };
        foreach ($batch->choreMarks as $mark) {
            if ($mark->done_at !== null) {
                $note($mark->task, $mark->done_at);
            }
        }
        foreach ($batch->notes as $one) {
            if ($one->marks !== []) {
                $note(Task::Taste, $one->happened_at);
            }
            if ($one->ph !== null) {
                $note(Task::MeasurePh, $one->happened_at);
            }
        }

        return $done;
    }
}
