<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * The weeks of each eater that were met so far, and the search for others.
 */
final class KnownWeeks
{
    /** @var list<EaterWeek> */
    public readonly array $eaters;

    /** @var list<PlannedEaterWeek> by eater: with what is locked alone */
    public readonly array $bare;

    /** @var list<array<string, PlannedEaterWeek>> by eater and plates */
    private array $known;

    public readonly StockCode $code;

    public function __construct(PlanningProblem $problem)
    {
        $this->code = StockCode::of($problem);
        $this->eaters = array_map(
            fn(int $m): EaterWeek => new EaterWeek($problem, $m, $this->code),
            array_keys($problem->eaters),
        );
        $this->bare = array_map(static fn(EaterWeek $eater): PlannedEaterWeek => $eater->bare(), $this->eaters);
        $this->known = array_map(static fn(): array => [], $this->eaters);
    }

    /** @param  list<list<int>>  $plates  options by day */
    public function know(int $m, array $plates): PlannedEaterWeek
    {
        return $this->known[$m][self::key($plates)] ??= $this->eaters[$m]->week($plates);
    }

    /** @param  list<list<int>>  $plates */
    private static function key(array $plates): string
    {
        return json_encode($plates, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, PlannedEaterWeek> the first that were met first */
    public function of(int $m): array
    {
        return $this->known[$m];
    }

    /** How many weeks are known, of all eaters. */
    public function count(): int
    {
        return array_sum(array_map(count(...), $this->known));
    }

    /** Work done so far, in steps. */
    public function steps(): int
    {
        return array_sum(array_map(static fn(EaterWeek $eater): int => $eater->steps(), $this->eaters));
    }

    /** On how many days which offers may be served to whom. */
    public function places(): int
    {
        return array_sum(array_map(static fn(EaterWeek $eater): int => $eater->places(), $this->eaters));
    }

    /**
     * The weeks of an eater that need no more than is left, and what they come to at these prices, the best first.
     *
     * @param  array<int, float>  $left  by offer
     * @return list<array{float, PlannedEaterWeek}>
     */
    public function fitting(int $m, array $left, StockPrices $prices, int $most): array
    {
        $fair = $prices->missing($m);
        $rows = [];
        foreach ($this->known[$m] as $week) {
            if ($week->fits($left)) {
                $rows[] = [$week->priced($prices->of, $fair), $week];
            }
        }
        usort($rows, static fn(array $one, array $other): int => $other[0] <=> $one[0]);

        return array_slice($rows, 0, $most);
    }

    /** What the best known week of an eater comes to at the prices. */
    public function mostAt(int $m, StockPrices $prices): float
    {
        $fair = $prices->missing($m);
        $most = $this->bare[$m]->priced($prices->of, $fair);
        foreach ($this->known[$m] as $week) {
            $most = max($most, $week->priced($prices->of, $fair));
        }

        return $most;
    }

    /**
     * The best known weeks of an eater at these prices, as they can be put together with others'.
     *
     * @param  list<PlannedEaterWeek>  $weeks  what comes to most first
     */
    public function coded(int $m, array $weeks, StockPrices $prices): CodedWeeks
    {
        $fair = $prices->missing($m);
        $coded = new CodedWeeks();
        $best = ($weeks[0] ?? $this->bare[$m])->priced($prices->of, $fair);
        foreach ($weeks as $week) {
            $coded->add(
                $best - $week->priced($prices->of, $fair),
                $week->worth - $fair * $week->missing,
                $week->worth,
                $week->missing,
                $this->code->taken($week->used),
            );
        }

        return $coded;
    }

    /**
     * The weeks of an eater that lose no more than something against the best known one, for each sum of what they take the best.
     *
     * @return array{float, CodedWeeks, list<list<list<int>>>}|null as EaterWeek::near()
     */
    public function near(int $m, StockPrices $prices, float $spare, int $most): ?array
    {
        return $this->eaters[$m]->near($prices->of, $prices->missing($m), $this->mostAt($m, $prices) - $spare, $most);
    }

    /**
     * @param  float  $ease  how many ways are followed, against a search that is to find all of them
     * @return array{float, PlannedEaterWeek} what no week of an eater can pass at the prices, and the best that is known
     */
    public function best(int $m, StockPrices $prices, float $ease): array
    {
        $fair = $prices->missing($m);
        $reached = -INF;
        $best = $this->bare[$m];
        foreach ($this->known[$m] as $week) {
            $priced = $week->priced($prices->of, $fair);
            if ($priced > $reached) {
                [$reached, $best] = [$priced, $week];
            }
        }
        $this->eaters[$m]->relaxed($prices->of, $fair, $reached, 3);
        [$most, $weeks] = $this->eaters[$m]->best($prices->of, $fair, $reached, null, $ease);
        foreach ($weeks as $at => $plates) {
            $week = $this->know($m, $plates);
            $best = $at === 0 ? $week : $best;
        }

        return [$most, $best];
    }
}
