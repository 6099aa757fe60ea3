<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Language\StoredText;
use App\Models\Batch;
use App\Models\Person;
use App\Models\PlannedBatch;
use App\Models\PlannedServing;
use App\Models\WeekChange;
use App\Week\KitchenWeek;
use App\Week\WeekPlanning;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Plan\WeekServing;

/**
 * Changes a week's plan: one step, that can be taken back. Twice with one key is once.
 *
 * What is meant is of a batch or of one that is planned, by its id.
 *
 * @phpstan-type Meant array{personId: string, batchId: string, date: string, grams: float, way: ServingStyle,
 *     isLocked: bool}
 */
final readonly class ChangeWeek
{
    /** Days for which a serving that was not eaten goes on. */
    public const GOES_ON_DAYS = 3;

    public function __construct(
        private CurrentHousehold $current,
        private HouseholdTransaction $transaction,
        private WeekPlanning $planning,
    ) {}

    /**
     * @param  string  $from  the first day of the week, YYYY-MM-DD
     * @param  list<Meant>  $added
     * @param  list<string>  $removed  ids; those that are gone already are passed over
     */
    public function __invoke(string $from, array $added, array $removed, string $requestKey): void
    {
        $this->step($from, $requestKey, static fn(): array => [self::named($added, $removed), $added, $removed]);
    }

    /**
     * The planner's week, or weeks in a row, around what stays.
     *
     * @param  bool  $isRest  whether everything that is there stays
     * @param  string|null  $planning  by which it was planned before
     */
    public function fill(string $from, bool $isRest, string $requestKey, ?string $planning = null, int $weeks = 1): void
    {
        ($this->transaction)(function () use ($from, $isRest, $requestKey, $planning, $weeks): void {
            if (WeekChange::query()->where('request_key', $requestKey)->exists()) {
                return;
            }
            foreach ($this->planning->servings($from, $isRest, $planning, $weeks) as $n => $filled) {
                $date = CarbonImmutable::parse($from)
                    ->addDays(7 * $n)
                    ->toDateString();
                $this->step(
                    $date,
                    $n === 0 ? $requestKey : IdempotencyKey::numbered($requestKey, $n),
                    fn(): array => $this->filled($date, $filled, $isRest),
                );
            }
        });
    }

    /**
     * @param  list<WeekServing>  $filled
     * @return array{Message, list<Meant>, list<string>}
     */
    private function filled(string $from, array $filled, bool $isRest): array
    {
        $week = KitchenWeek::of($this->current->get(), $from);
        $kept = array_filter(array_column($filled, 'id'));

        return [
            Message::of($isRest ? 'week_change.rest_filled' : 'week_change.filled'),
            array_values(
                array_map(
                    static fn(WeekServing $one): array => self::meant($week, $one),
                    array_filter($filled, static fn(WeekServing $one): bool => $one->id === ''),
                ),
            ),
            array_values(array_diff(self::ids($week->planned), array_map(strval(...), $kept))),
        ];
    }

    /** Everything that is not locked and still to come goes. */
    public function clear(string $from, string $requestKey): void
    {
        $this->step(
            $from,
            $requestKey,
            fn(): array => [
                Message::of('week_change.cleared'),
                [],
                self::ids(
                    KitchenWeek::of($this->current->get(), $from)->planned->reject(
                        fn(PlannedServing $one): bool => $one->is_locked ||
                            $one->planned_on < $this->current->get()->today(),
                    ),
                ),
            ],
        );
    }

    /** What was planned a week earlier, where the jar is still there; otherwise from another jar of its kind. */
    public function copyLast(string $from, string $requestKey): void
    {
        $this->step($from, $requestKey, function () use ($from): array {
            $back = CarbonImmutable::parse($from)->subDays(7);
            $here = PlannedServing::standing($from, CarbonImmutable::parse($from)->addDays(6)->toDateString());
            $shelf = Batch::eatable()->orderBy('started_at')->orderBy('id')->get()->concat(PlannedBatch::toStart());
            $added = [];
            foreach (PlannedServing::standing($back->toDateString(), $back->addDays(6)->toDateString()) as $one) {
                $date = CarbonImmutable::parse($one->planned_on)->addDays(7)->toDateString();
                $batch =
                    $shelf->firstWhere('id', $one->jarId()) ??
                    $shelf->first(
                        static fn(Batch|PlannedBatch $jar): bool => ($jar instanceof Batch
                            ? $jar->likeness
                            : $jar->likeness()) === $one->likeness(),
                    );
                $isThere = $here->contains(
                    static fn(PlannedServing $other): bool => $other->planned_on === $date &&
                        $other->person_id === $one->person_id &&
                        $other->jarId() === $batch?->id,
                );
                if (
                    $batch !== null &&
                    !$isThere &&
                    $date >= $this->current->get()->today() &&
                    Person::query()->find($one->person_id) !== null
                ) {
                    $added["{$one->person_id} {$date} {$batch->id}"] = [
                        'personId' => $one->person_id,
                        'batchId' => $batch->id,
                        'date' => $date,
                        'grams' => $one->grams,
                        'way' => $one->way,
                        'isLocked' => false,
                    ];
                }
            }
            if ($added === []) {
                throw ValidationException::withMessages(['week' => 'errors.week_nothing_to_copy']);
            }

            return [Message::of('week_change.copied'), array_values($added), []];
        });
    }

    /** Takes the last change back; with none left it does nothing. */
    public function undo(string $from): void
    {
        ($this->transaction)(static function () use ($from): void {
            $last = WeekChange::query()
                ->where('week_on', $from)
                ->whereNull('undone_at')
                ->orderByDesc('number')
                ->first();
            $last?->update(['undone_at' => CarbonImmutable::now()]);
        });
    }

    public function redo(string $from): void
    {
        ($this->transaction)(static function () use ($from): void {
            $next = WeekChange::query()->where('week_on', $from)->whereNotNull('undone_at')->orderBy('number')->first();
            $next?->update(['undone_at' => null]);
        });
    }

    /**
     * @param  Closure(): array{Message, list<Meant>, list<string>}  $change  what it is called, what comes, what goes
     */
    private function step(string $from, string $requestKey, Closure $change): void
    {
        ($this->transaction)(function () use ($from, $requestKey, $change): void {
            if (WeekChange::query()->where('request_key', $requestKey)->exists()) {
                return;
            }
            [$what, $added, $removed] = $change();
            $to = CarbonImmutable::parse($from)->addDays(6)->toDateString();
            $open = PlannedServing::open($from, $to)->keyBy('id');
            // What was not eaten at the end of the week before may go on into this one.
            $eve = CarbonImmutable::parse($from)->subDays(self::GOES_ON_DAYS)->toDateString();
            $going = PlannedServing::open($eve, $to)->keyBy('id')->only($removed);
            if ($added === [] && $going->isEmpty()) {
                return;
            }
            // What was undone cannot be done again after something else was done.
            WeekChange::query()->where('week_on', $from)->whereNotNull('undone_at')->delete();
            $made = WeekChange::create([
                'week_on' => $from,
                'number' => WeekChange::nextNumber($from),
                'what' => StoredText::of($what),
                'request_key' => $requestKey,
            ]);
            $going->each(static fn(PlannedServing $one) => $one->update(['removed_by' => $made->id]));
            $staying = $open->except($removed);
            foreach ($added as $i => $one) {
                self::check($one, $from, $to, $i);
                $isTwice = $staying->contains(
                    static fn(PlannedServing $other): bool => $other->person_id === $one['personId'] &&
                        $other->planned_on === $one['date'] &&
                        $other->jarId() === $one['batchId'],
                );
                if ($isTwice) {
                    throw ValidationException::withMessages(["put.{$i}.batchId" => 'errors.week_twice']);
                }
                $staying->push(
                    PlannedServing::create([
                        'person_id' => $one['personId'],
                        ...self::jar($one['batchId']),
                        'planned_on' => $one['date'],
                        'grams' => $one['grams'],
                        'way' => $one['way'],
                        'is_locked' => $one['isLocked'],
                        'added_by' => $made->id,
                    ]),
                );
            }
        });
    }

    /**
     * What a change is called: the serving that came or went, or how many.
     *
     * @param  list<Meant>  $added
     * @param  list<string>  $removed
     */
    private static function named(array $added, array $removed): Message
    {
        $gone = PlannedServing::query()->whereIn('id', $removed)->get();
        $one = $added[0] ?? null;
        $code = match (true) {
            $one === null => 'removed',
            $gone->isEmpty() => 'added',
            default => 'changed',
        };
        $batchId = $one['batchId'] ?? $gone->first()?->jarId();
        $personId = $one['personId'] ?? $gone->first()?->person_id;
        $jar =
            Batch::query()->find($batchId)->name ??
            PlannedBatch::query()->with('formula')->find($batchId)?->formula->label();
        $person = Person::query()->find($personId);
        if (max(count($added), $gone->count()) !== 1 || $jar === null || $person === null) {
            return Message::of('week_change.several', count: max(count($added), count($removed)));
        }

        return Message::of(
            "week_change.{$code}",
            jar: $jar,
            person: $person->name,
            day: new Day($one['date'] ?? (string) $gone->first()?->planned_on),
        );
    }

    /** @param  Meant  $one */
    private static function check(array $one, string $from, string $to, int $place): void
    {
        Person::query()->findOrFail($one['personId']);
        $jar = self::jar($one['batchId']);
        if (isset($jar['batch_id']) && !Batch::query()->findOrFail($jar['batch_id'])->method->isFood()) {
            throw ValidationException::withMessages(["put.{$place}.batchId" => 'errors.not_food']);
        }
        if ($one['date'] < $from || $one['date'] > $to) {
            throw ValidationException::withMessages(["put.{$place}.date" => 'errors.week_other_day']);
        }
    }

    /** @return array{batch_id: string}|array{planned_batch_id: string} by which of the two a serving is of it */
    private static function jar(string $id): array
    {
        return Batch::query()->find($id) === null
            ? [
                'planned_batch_id' => PlannedBatch::query()
                    ->where('batch_id', null)
                    ->findOr($id, static fn(): Batch => Batch::query()->findOrFail($id))->id,
            ]
            : ['batch_id' => $id];
    }

    /** @return Meant */
    private static function meant(KitchenWeek $week, WeekServing $one): array
    {
        return [
            'personId' => $week->plan->eaters[$one->eater]->id,
            'batchId' => $week->plan->jars[$one->jar]->id,
            'date' => $week->dates[$one->day],
            'grams' => $one->grams,
            'way' => $one->way,
            'isLocked' => $one->isLocked,
        ];
    }

    /**
     * @param  iterable<PlannedServing>  $servings
     * @return list<string>
     */
    private static function ids(iterable $servings): array
    {
        $ids = [];
        foreach ($servings as $one) {
            $ids[] = $one->id;
        }

        return $ids;
    }
}
