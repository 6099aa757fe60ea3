<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Measure\Band;

/**
 * Days one after the other, and what they come to.
 */
final readonly class IntakePeriod
{
    /**
     * @param  non-empty-list<IntakeDay>  $days
     * @param  DietKnowledge  $known  how well the eater knows their other food
     */
    public function __construct(public array $days, public DietKnowledge $known = DietKnowledge::Rough) {}

    /** The last days of it. */
    public function last(int $days): self
    {
        $last = array_slice($this->days, -$days);

        return new self($last === [] ? $this->days : $last, $this->known);
    }

    /** Milligrams a day, with the band of the jars and that of the rest of the diet. */
    public function mean(): Band
    {
        return $this->total()->all;
    }

    /** Milligrams a day of the rest of the diet. */
    public function rest(): Band
    {
        return $this->total()->rest;
    }

    /** Milligrams a day from jars. Servings of one batch are wrong in the same way, also on different days. */
    public function ferments(): Band
    {
        $servings = array_merge(...array_map(static fn(IntakeDay $day): array => $day->servings, $this->days));
        $ferments = (new SodiumDay(
            0.0,
            0.0,
            array_map(
                static fn(array $one): array => ['source' => $one['source'], 'sodiumMg' => $one['sodiumMg']],
                $servings,
            ),
        ))->ferments();

        return $ferments->times(1.0 / count($this->days));
    }

    private function total(): DayTotal
    {
        $written = [];
        foreach ($this->days as $day) {
            foreach ($day->foods as $food) {
                $written[$food['name']] = ($written[$food['name']] ?? 0.0) + $food['milligrams'];
            }
            if ($day->foods === [] && $day->writtenMg > 0.0) {
                $written["on {$day->date}"] = $day->writtenMg;
            }
        }

        return DayTotal::of(
            array_map(static fn(IntakeDay $day): float => $day->estimateMg, $this->days),
            $written,
            $this->ferments(),
            $this->known,
        );
    }

    /** Milligrams a day against which they are held, on average. */
    public function meanTarget(): float
    {
        return array_sum(array_map(static fn(IntakeDay $day): float => $day->targetMg, $this->days)) /
            count($this->days);
    }

    /** @return array{estimate: float, written: float, ferments: float, condiments: float} milligrams */
    public function shares(): array
    {
        $sum = fn(callable $of): float => array_sum(array_map($of, $this->days));

        return [
            'estimate' => $sum(static fn(IntakeDay $day): float => $day->estimateMg),
            'written' => $sum(static fn(IntakeDay $day): float => $day->writtenMg),
            'ferments' => $sum(static fn(IntakeDay $day): float => $day->of(false)),
            'condiments' => $sum(static fn(IntakeDay $day): float => $day->of(true)),
        ];
    }

    /** @return array<string, array{name: string, milligrams: float, servings: int}> by batch, the most first */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->days as $day) {
            foreach ($day->servings as $one) {
                $there = $sources[$one['source']] ?? ['name' => $one['name'], 'milligrams' => 0.0, 'servings' => 0];
                $sources[$one['source']] = [
                    'name' => $one['name'],
                    'milligrams' => $there['milligrams'] + $one['sodiumMg']->typical,
                    'servings' => $there['servings'] + 1,
                ];
            }
        }
        uasort($sources, static fn(array $one, array $other): int => $other['milligrams'] <=> $one['milligrams']);

        return $sources;
    }

    /** @return array<string, float> milligrams a day by batch */
    public function meanBySource(): array
    {
        return array_map(fn(array $source): float => $source['milligrams'] / count($this->days), $this->sources());
    }

    /**
     * The days with the least and with the most.
     *
     * @return array{lowMg: float, highMg: float}
     */
    public function spread(): array
    {
        $totals = array_map(static fn(IntakeDay $day): float => $day->totalMg(), $this->days);

        return ['lowMg' => min($totals), 'highMg' => max($totals)];
    }

    /**
     * Milligrams a day at each meal, and of what names none.
     *
     * @return array{morning: float, noon: float, evening: float, none: float}
     */
    public function byMeal(): array
    {
        $mean = fn(callable $of): float => array_sum(array_map($of, $this->days)) / count($this->days);
        [$morning, $noon, $evening] = array_map(
            static fn(Meal $meal): float => $mean(static fn(IntakeDay $day): float => $day->at($meal)),
            [Meal::Morning, Meal::Noon, Meal::Evening],
        );

        return [
            'morning' => $morning,
            'noon' => $noon,
            'evening' => $evening,
            'none' => max(
                0.0,
                $mean(static fn(IntakeDay $day): float => $day->totalMg()) - $morning - $noon - $evening,
            ),
        ];
    }

    /** Days of which something was entered, from a jar or besides; the others are the estimate alone. */
    public function daysWritten(): int
    {
        return count(
            array_filter(
                $this->days,
                static fn(IntakeDay $day): bool => $day->servings !== [] || $day->writtenMg > 0.0,
            ),
        );
    }

    public function daysPast(): int
    {
        return count(array_filter($this->days, static fn(IntakeDay $day): bool => $day->totalMg() > $day->targetMg));
    }

    public function live(): int
    {
        return array_sum(array_map(static fn(IntakeDay $day): int => $day->live(), $this->days));
    }

    /** Kinds of live ferment that were met. */
    public function kinds(): int
    {
        $groups = [];
        foreach ($this->days as $day) {
            foreach ($day->servings as $one) {
                if ($one['isLive']) {
                    $groups[$one['group']] = true;
                }
            }
        }

        return count($groups);
    }

    /** @return list<string> dates on which nothing live was eaten */
    public function without(): array
    {
        return array_values(
            array_map(
                static fn(IntakeDay $day): string => $day->date,
                array_filter($this->days, static fn(IntakeDay $day): bool => $day->live() === 0),
            ),
        );
    }
}
