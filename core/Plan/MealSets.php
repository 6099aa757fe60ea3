<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * At which meal of the day something is served does not matter to the objective, so that a plate (one eater's day) is a set
 * of offers. That they can be shared out over the meals is kept by counting, for every set of meals, the offers suited to
 * none but those (Hall's condition). A set is a number with a bit for each meal.
 */
final readonly class MealSets
{
    /** @var list<int> by set of meals: what fits into it */
    public array $room;

    /** @var list<list<int>> by option: the sets that hold all it is suited to */
    public array $holding;

    public function __construct(PlanningProblem $problem)
    {
        $sets = range(0, (1 << count($problem->meals)) - 1);
        $this->room = array_map(static fn(int $set): int => $problem->perMeal * substr_count(decbin($set), '1'), $sets);
        $this->holding = array_map(static function (ServingOption $option) use ($sets): array {
            $suited = array_sum(array_map(static fn(int $meal): int => 1 << $meal, $option->meals));

            return array_values(array_filter($sets, static fn(int $set): bool => ($set & $suited) === $suited));
        }, $problem->options);
    }
}
