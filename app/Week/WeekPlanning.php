<?php

declare(strict_types=1);

namespace App\Week;

use App\Household\CurrentHousehold;
use App\Models\BatchEntry;
use App\Models\OtherFood;
use App\Models\Person;
use App\Models\PlannedBatch;
use App\Models\PlannedServing;
use App\Models\WeekChange;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\WeekFiller;
use Tempesal\Core\Plan\WeekPlan;
use Tempesal\Core\Plan\WeekServing;

/**
 * Plans a week. That may take seconds in a large household, in which nobody else is to wait: it goes on beside everything
 * else, tells how far it has come, can be stopped, and is put in place afterwards if nothing has changed by then.
 *
 * @phpstan-type Told array{objective: float, bound: float, servings: int}
 * @phpstan-type Found array{seen: string, servings: list<list<WeekServing>>}
 */
final readonly class WeekPlanning
{
    /** Planned in a row. */
    public const MOST_WEEKS = 4;

    private const KEPT_SECONDS = 300;

    public function __construct(private CurrentHousehold $current) {}

    /**
     * Plans a week, or some in a row, and remembers what was found.
     *
     * @param  string  $id  by which it is asked after
     * @return Told of the week that is farthest from the best
     */
    public function run(string $from, bool $isRest, string $id, int $weeks = 1): array
    {
        Cache::put($this->key($id, 'begun'), true, self::KEPT_SECONDS);
        $seen = self::seen();
        $found = $this->plan($from, $isRest, $weeks, function (array $told) use ($id): bool {
            Cache::put($this->key($id, 'told'), $told, self::KEPT_SECONDS);

            return Cache::get($this->key($id, 'stopped')) === null;
        });
        Cache::put(
            $this->key($id, 'found'),
            ['seen' => $seen, 'servings' => array_column($found, 'servings')],
            self::KEPT_SECONDS,
        );
        Cache::forget($this->key($id, 'told'));
        $told = array_column($found, 'told');
        usort($told, static fn(array $one, array $other): int => $other['servings'] <=> $one['servings']);

        return $told[0];
    }

    /**
     * @return Told|null how far it has come; null before its first word and after its last
     *
     * @throws NotFoundHttpException where it was not begun in this household
     */
    public function told(string $id): ?array
    {
        $this->mustBeBegun($id);
        /** @var Told|null $told */
        $told = Cache::get($this->key($id, 'told'));

        return $told;
    }

    /** @throws NotFoundHttpException where it was not begun in this household */
    public function stop(string $id): void
    {
        $this->mustBeBegun($id);
        Cache::put($this->key($id, 'stopped'), true, self::KEPT_SECONDS);
    }

    /**
     * What was found, where nothing has changed since; otherwise it is planned now.
     *
     * @param  string|null  $id  null: it was not planned before
     * @return list<list<WeekServing>> by week
     */
    public function servings(string $from, bool $isRest, ?string $id, int $weeks = 1): array
    {
        /** @var Found|null $found */
        $found = $id === null ? null : Cache::pull($this->key($id, 'found'));

        return $found !== null && $found['seen'] === self::seen() && count($found['servings']) === $weeks
            ? $found['servings']
            : array_column($this->plan($from, $isRest, $weeks, null), 'servings');
    }

    /**
     * Some weeks in a row: first each with what falls to it of the jars, so that the first does not eat all; then each once
     * more with what the others have left.
     *
     * @param  (Closure(Told): bool)|null  $goesOn
     * @return list<array{servings: list<WeekServing>, told: Told}>
     *
     * @throws ValidationException
     */
    private function plan(string $from, bool $isRest, int $weeks, ?Closure $goesOn): array
    {
        $household = $this->current->get();
        $dates = array_map(
            static fn(int $week): string => CarbonImmutable::parse($from)
                ->addDays($week * WeekPlan::DAYS)
                ->toDateString(),
            range(0, $weeks - 1),
        );
        $found = $meant = [];
        // What is to be planned anew is there for all of them.
        foreach ($weeks > 1 ? $dates : [] as $date) {
            $week = KitchenWeek::of($household, $date);
            $meant[$date] = self::meant($week, WeekFiller::kept($week->plan, $isRest));
        }
        foreach ($weeks > 1 ? [true, false] : [false] as $isSparing) {
            foreach ($dates as $n => $date) {
                $week = KitchenWeek::of($household, $date, array_diff_key($meant, [$date => 0]));
                self::check($week);
                $plan = isset($found[$n]) ? $week->plan->having($found[$n]['servings']) : $week->plan;
                $filled = WeekFiller::fill(
                    $plan,
                    $isRest || isset($found[$n]),
                    $week->rotation(),
                    $goesOn === null
                        ? null
                        : static fn(float $objective, float $bound): bool => $goesOn(
                            self::quality($week, $objective, $bound),
                        ),
                    $isSparing ? $weeks - $n : 1,
                );
                $found[$n] = [
                    'servings' => $filled['servings'],
                    'told' => self::quality($week, $filled['plan']->objective ?? 0.0, $filled['plan']->bound ?? 0.0),
                ];
                $meant[$date] = self::meant($week, $filled['servings']);
            }
        }

        return array_values($found);
    }

    /**
     * @param  list<WeekServing>  $servings
     * @return list<array{personId: string, jarId: string, date: string, grams: float}>
     */
    private static function meant(KitchenWeek $week, array $servings): array
    {
        return array_map(
            static fn(WeekServing $one): array => [
                'personId' => $week->plan->eaters[$one->eater]->id,
                'jarId' => $week->plan->jars[$one->jar]->id,
                'date' => $week->dates[$one->day],
                'grams' => $one->grams,
            ],
            $servings,
        );
    }

    /** @return Told how good a week is, what none can pass, and what that is at the most in live servings */
    private static function quality(KitchenWeek $week, float $objective, float $bound): array
    {
        return [
            'objective' => $objective,
            'bound' => $bound,
            'servings' => (int) ceil(max(0.0, $bound - $objective) / max(1.0, $week->plan->weights->short)),
        ];
    }

    /** @throws ValidationException */
    private static function check(KitchenWeek $week): void
    {
        if ($week->plan->jars === []) {
            throw ValidationException::withMessages(['week' => 'errors.week_no_jars']);
        }
        if ($week->plan->first() >= count($week->dates)) {
            throw ValidationException::withMessages(['week' => 'errors.week_over']);
        }
        if (
            count($week->plan->eaters) > PlanningProblem::MOST_EATERS ||
            count($week->plan->jars) > PlanningProblem::MOST_OFFERS
        ) {
            throw InvalidInput::at(
                'week',
                Message::of(
                    'errors.week_too_large',
                    mostPeople: PlanningProblem::MOST_EATERS,
                    mostJars: PlanningProblem::MOST_OFFERS,
                    people: count($week->plan->eaters),
                    jars: count($week->plan->jars),
                ),
            );
        }
    }

    /** Everything of this kitchen by which a plan could change, in one word. */
    private static function seen(): string
    {
        return hash(
            'xxh128',
            json_encode(
                [
                    WeekChange::query()->max('id'),
                    WeekChange::query()->whereNotNull('undone_at')->count(),
                    PlannedServing::query()->max('id'),
                    OtherFood::query()->max('id'),
                    OtherFood::query()->whereNotNull('undone_at')->count(),
                    // Servings, and what takes them back, are entries too; none is ever thrown away.
                    BatchEntry::query()->max('id'),
                    PlannedBatch::query()->max('updated_at'),
                    PlannedBatch::query()->count(),
                    Person::query()->sum('version'),
                    Person::query()->count(),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    private function mustBeBegun(string $id): void
    {
        Cache::get($this->key($id, 'begun')) === true ?: throw new NotFoundHttpException();
    }

    private function key(string $id, string $what): string
    {
        return "planning {$this->current->id()} {$id} {$what}";
    }
}
