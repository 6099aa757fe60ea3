<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * An estimate of the sodium in everything but ferments, for each weekday and meal.
 */
final readonly class BackgroundDiet
{
    /** @param  array<int, array<string, int>>  $milligrams  by ISO weekday, 1 Monday to 7 Sunday, and meal */
    private function __construct(private array $milligrams) {}

    /**
     * @param  array<int|string, array<string, int>>  $milligrams  by ISO weekday and meal; what is missing is nothing
     *
     * @throws InvalidQuantity for less than nothing
     */
    public static function of(array $milligrams): self
    {
        $whole = [];
        foreach (range(1, 7) as $weekday) {
            foreach (Meal::cases() as $meal) {
                $sodium = $milligrams[$weekday][$meal->value] ?? 0;
                $whole[$weekday][$meal->value] =
                    $sodium < 0 ? throw new InvalidQuantity(Message::of('errors.estimate_negative')) : $sodium;
            }
        }

        return new self($whole);
    }

    /**
     * Days of which only the sum is known, shared out over their meals; every sum stays what it was.
     *
     * @param  array<int, int>  $sums  milligrams by ISO weekday
     * @param  array<string, float>|null  $shares  of each meal, of any sum above 0; null: the usual ones
     */
    public static function sharedOut(array $sums, ?array $shares = null): self
    {
        $shares ??= array_combine(
            array_column(Meal::cases(), 'value'),
            array_map(static fn(Meal $meal): float => $meal->usualShare(), Meal::cases()),
        );
        $all = array_sum($shares);
        $milligrams = [];
        foreach ($sums as $weekday => $sum) {
            $before = $part = 0.0;
            foreach (Meal::cases() as $meal) {
                $part += $all > 0.0 ? ($shares[$meal->value] ?? 0.0) / $all : 1.0 / count(Meal::cases());
                $milligrams[$weekday][$meal->value] = (int) (round($sum * $part) - $before);
                $before = round($sum * $part);
            }
        }

        return self::of($milligrams);
    }

    /** Milligrams at a meal. */
    public function at(int $weekday, Meal $meal): int
    {
        return $this->milligrams[$weekday][$meal->value];
    }

    /**
     * Milligrams of a day.
     *
     * @param  list<Meal>  $without  of which something else is known
     */
    public function on(int $weekday, array $without = []): int
    {
        $sum = 0;
        foreach (Meal::cases() as $meal) {
            $sum += in_array($meal, $without, true) ? 0 : $this->at($weekday, $meal);
        }

        return $sum;
    }

    /** @return array<int, array<string, int>> */
    public function toArray(): array
    {
        return $this->milligrams;
    }
}
