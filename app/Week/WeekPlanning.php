<?php

declare(strict_types=1);

namespace App\Week;

use App\Household\CurrentHousehold;
use App\Models\BatchEntry;
use App\Models\OtherFood;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Models\WeekChange;
use App\Support\InvalidInput;
use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Plan\PlanningProblem;
use Tempesal\Core\Plan\WeekFiller;
use Tempesal\Core\Plan\WeekServing;

/**
 * Plans a week. That may take seconds in a large household, in which nobody else is to wait: it goes on beside everything
 * else, tells how far it has come, can be stopped, and is put in place afterwards if nothing has changed by then.
 *
 * @phpstan-type Told array{objective: float, bound: float, servings: int}
 * @phpstan-type Found array{seen: string, servings: list<WeekServing>}
 */
final readonly class WeekPlanning
{
    private const KEPT_SECONDS = 300;

    public function __construct(private CurrentHousehold $current) {}

    /**
     * Plans, and remembers what was found.
     *
     * @param  string  $id  by which it is asked after
     * @return Told
     */
    public function run(string $from, bool $isRest, string $id): array
    {
        Cache::put($this->key($id, 'begun'), true, self::KEPT_SECONDS);
        $seen = self::seen();
        $week = KitchenWeek::of($this->current->get(), $from);
        [$servings, $told] = $this->plan($week, $isRest, function (float $objective, float $bound) use (
            $id,
            $week,
        ): bool {
            Cache::put($this->key($id, 'told'), self::quality($week, $objective, $bound), self::KEPT_SECONDS);

            return Cache::get($this->key($id, 'stopped')) === null;
        });
        Cache::put($this->key($id, 'found'), ['seen' => $seen, 'servings' => $servings], self::KEPT_SECONDS);
        Cache::forget($this->key($id, 'told'));

        return $told;
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
     * @return list<WeekServing>
     */
    public function servings(KitchenWeek $week, bool $isRest, ?string $id): array
    {
        /** @var Found|null $found */
        $found = $id === null ? null : Cache::pull($this->key($id, 'found'));

        return $found !== null && $found['seen'] === self::seen()
            ? $found['servings']
            : $this->plan($week, $isRest, null)[0];
    }

    /**
     * @param  (Closure(float, float): bool)|null  $goesOn
     * @return array{list<WeekServing>, Told}
     *
     * @throws ValidationException
     */
    private function plan(KitchenWeek $week, bool $isRest, ?Closure $goesOn): array
    {
        self::check($week);
        $filled = WeekFiller::fill($week->plan, $isRest, $week->rotation(), $goesOn);

        return [
            $filled['servings'],
            self::quality($week, $filled['plan']->objective ?? 0.0, $filled['plan']->bound ?? 0.0),
        ];
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
                    Serving::query()->max('id'),
                    Serving::query()->whereNotNull('undone_at')->count(),
                    OtherFood::query()->max('id'),
                    OtherFood::query()->whereNotNull('undone_at')->count(),
                    BatchEntry::query()->max('id'),
                    BatchEntry::query()->count(),
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
