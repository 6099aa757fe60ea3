<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\OtherFood;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Intake\DayTotal;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Measure\Band;

/**
 * The rest of people's diet on some days: the estimate of each weekday, and what was written down beside it or instead
 * of it.
 */
final readonly class BackgroundIntake
{
    /** @var array<string, list<OtherFood>> by person and day */
    private array $onDay;

    /** @param  Collection<int, OtherFood>  $written  that was not taken back */
    private function __construct(public Collection $written)
    {
        $onDay = [];
        foreach ($written as $food) {
            $onDay["{$food->person_id} {$food->eaten_on}"][] = $food;
        }
        $this->onDay = $onDay;
    }

    /** From one day to another, both YYYY-MM-DD; of everyone, or of one. */
    public static function between(string $from, string $to, ?Person $of = null): self
    {
        $rows = OtherFood::query();
        $rows->whereBetween('eaten_on', [$from, $to])->where('undone_at', null);
        if ($of !== null) {
            $rows->where('person_id', $of->id);
        }

        return new self($rows->orderBy('id')->get());
    }

    /** @return list<OtherFood> */
    public function foods(Person $person, string $date): array
    {
        return $this->onDay["{$person->id} {$date}"] ?? [];
    }

    /** What a day comes to, with ferments of so much. */
    public function total(Person $person, string $date, Band $ferments): DayTotal
    {
        // The same food is wrong in the same way each time.
        $foods = [];
        foreach ($this->foods($person, $date) as $food) {
            $foods[$food->name] = ($foods[$food->name] ?? 0.0) + $food->sodium_mg;
        }

        return DayTotal::of([$this->estimate($person, $date)], $foods, $ferments, $person->diet_knowledge);
    }

    /** Milligrams of the estimate that still count. */
    public function estimate(Person $person, string $date): float
    {
        return (float) $person
            ->targetOn($date)
            ->restOfWeek()
            ->on(CarbonImmutable::parse($date)->isoWeekday(), $this->instead($person, $date));
    }

    /**
     * @return list<array{meal: string, milligrams: int, isInstead: bool}> the estimate of each meal, and whether
     *     something was written down in its place
     */
    public function meals(Person $person, string $date): array
    {
        $instead = $this->instead($person, $date);
        $week = $person->targetOn($date)->restOfWeek();
        $weekday = CarbonImmutable::parse($date)->isoWeekday();

        return array_map(
            static fn(Meal $meal): array => [
                'meal' => $meal->value,
                'milligrams' => $week->at($weekday, $meal),
                'isInstead' => in_array($meal, $instead, true),
            ],
            Meal::cases(),
        );
    }

    /** @return array<string, float> milligrams by the value of Meal; what was written down for no meal is left out */
    public function byMeal(Person $person, string $date): array
    {
        $by = array_fill_keys(array_column(Meal::cases(), 'value'), 0.0);
        foreach ($this->meals($person, $date) as $meal) {
            $by[$meal['meal']] += $meal['isInstead'] ? 0.0 : (float) $meal['milligrams'];
        }
        foreach ($this->foods($person, $date) as $food) {
            foreach ($food->meals() as $meal) {
                $by[$meal->value] += $food->sodium_mg / count($food->meals());
            }
        }

        return $by;
    }

    /** @return list<Meal> in whose place something was written down */
    private function instead(Person $person, string $date): array
    {
        return array_merge(
            ...array_map(static fn(OtherFood $food): array => $food->meals(), $this->foods($person, $date)),
        );
    }

    /** Milligrams that were written down. */
    public function written(Person $person, string $date): float
    {
        return array_sum(
            array_map(static fn(OtherFood $food): float => $food->sodium_mg, $this->foods($person, $date)),
        );
    }

    public function sum(Person $person, string $date): float
    {
        return $this->estimate($person, $date) + $this->written($person, $date);
    }
}
