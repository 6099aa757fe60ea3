<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * Says what to start when, and in which jar, so that nothing runs out: no day without where the jars allow it, as few
 * as possible where they do not. A batch is started as late as will do, and fills its jar unless that were more than
 * keeps, or than is eaten in eight weeks.
 *
 * Plans grow batch by batch, the best few of each size side by side (a beam search). A plan is judged by its days
 * without, then by how few jars are left half empty, then by how few batches it takes, then by how little they hold.
 *
 * @phpstan-type Ahead array{own: array<string, list<ScheduledBatch>>, runs: array<string, Consumption>,
 *     added: list<ScheduledBatch>, gaps: int}
 */
final class RestockPlanner
{
    /**
     * Plans that are kept side by side, shares of a jar that are tried, and how full it must be at least; the next ones
     * when the first leave a gap.
     */
    private const TRIES = [[4, [1.0], self::WELL_FILLED], [4, [1.0], 0.0], [24, [1.0], 0.0], [16, [1.0, 0.5], 0.0]];

    /**
     * Ways of eating that are worked out at most: a kitchen with very many kinds gets the best that was found by then.
     */
    private const MOST_RUNS = 20_000;

    /** Days for which a batch is to last at most. */
    private const LASTS_DAYS = 56;

    /** Below this share a jar is badly filled: air stands over the food. */
    private const WELL_FILLED = 0.6;

    private int $runs = 0;

    private function __construct(private readonly RestockProblem $shelf) {}

    public static function plan(RestockProblem $shelf): StockForecast
    {
        $keeper = new self($shelf);
        $start = $keeper->asItStands();
        $least = $keeper->unavoidable($start);
        $best = $start;
        foreach (self::TRIES as [$width, $shares, $filled]) {
            if ($best['gaps'] > $least) {
                $found = $keeper->search($start, $least, $width, $shares, $filled);
                $best = $found['gaps'] < $best['gaps'] ? $found : $best;
            }
        }

        $best = $keeper->tidied($best);

        return new StockForecast($shelf, [...$shelf->lots, ...$best['added']], $best['added'], $best['runs']);
    }

    /**
     * The same without batches that another has made needless, and none started before it has to be.
     *
     * @param  Ahead  $plan
     * @return Ahead
     */
    private function tidied(array $plan): array
    {
        $kinds = array_column($this->shelf->kinds, null, 'id');
        foreach (array_reverse($plan['added']) as $lot) {
            $kind = $kinds[$lot->kind];
            $without = array_values(
                array_filter($plan['own'][$kind->id], static fn(ScheduledBatch $other): bool => $other !== $lot),
            );
            $first = $plan['runs'][$kind->id]->firstOn[$lot->id] ?? null;
            $start = $first === null ? null : $kind->lastStart($first);
            foreach (
                [null, $start !== null && $start > $lot->start ? $this->moved($kind, $lot, $start) : null]
                as $n => $instead
            ) {
                if ($n === 1 && $instead === null) {
                    continue;
                }
                $own = [...$without, ...$instead === null ? [] : [$instead]];
                $run = Consumption::of($kind, $own, $this->shelf->days);
                $then = [
                    'own' => [...$plan['own'], $kind->id => $own],
                    'runs' => [...$plan['runs'], $kind->id => $run],
                    'added' => array_values(
                        array_filter([
                            ...array_filter($plan['added'], static fn(ScheduledBatch $other): bool => $other !== $lot),
                            $instead,
                        ]),
                    ),
                    'gaps' => $plan['gaps'],
                ];
                if (count($run->gaps) <= count($plan['runs'][$kind->id]->gaps) && !self::isCrowded($then)) {
                    $plan = $then;
                    break;
                }
            }
        }

        return $plan;
    }

    private function moved(Product $kind, ScheduledBatch $lot, int $start): ScheduledBatch
    {
        foreach ($this->shelf->vessels as $vessel) {
            if ($vessel->id === $lot->vessel) {
                return self::lot($kind, $vessel, $lot->share, $start);
            }
        }

        return $lot;
    }

    /**
     * Whether two batches would stand in one jar at a time.
     *
     * @param  Ahead  $plan
     */
    private static function isCrowded(array $plan): bool
    {
        foreach (self::busy($plan) as $stands) {
            sort($stands);
            for ($i = 1; $i < count($stands); $i++) {
                if ($stands[$i][0] < $stands[$i - 1][1]) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return Ahead */
    private function asItStands(): array
    {
        $own = $runs = [];
        foreach ($this->shelf->kinds as $kind) {
            $own[$kind->id] = array_values(
                array_filter($this->shelf->lots, static fn(ScheduledBatch $lot): bool => $lot->kind === $kind->id),
            );
            $runs[$kind->id] = Consumption::of($kind, $own[$kind->id], $this->shelf->days);
        }

        return [
            'own' => $own,
            'runs' => $runs,
            'added' => [],
            'gaps' => array_sum(array_map(static fn(Consumption $run): int => count($run->gaps), $runs)),
        ];
    }

    /**
     * @param  Ahead  $start
     * @param  list<float>  $shares
     * @return Ahead
     */
    private function search(array $start, int $least, int $width, array $shares, float $filled): array
    {
        $best = $start;
        $beam = [$start];
        while ($beam !== [] && $best['gaps'] > $least && $this->runs < self::MOST_RUNS) {
            $next = [];
            foreach ($beam as $plan) {
                foreach ($this->options($plan, $shares, $filled) as $key => $option) {
                    $next[$key] ??= $option;
                }
            }
            usort(
                $next,
                static fn(array $one, array $other): int => [$one['gaps'], self::made($one['added'])] <=> [
                    $other['gaps'],
                    self::made($other['added']),
                ],
            );
            $beam = array_slice($next, 0, $width);
            if ($beam !== [] && $beam[0]['gaps'] < $best['gaps']) {
                $best = $beam[0];
            }
        }

        return $best;
    }

    /**
     * One more batch of any kind that falls short, in a jar of any size that is free for it.
     *
     * @param  Ahead  $plan
     * @param  list<float>  $shares
     * @return array<string, Ahead> those by which something is gained, by what they add
     */
    private function options(array $plan, array $shares, float $filled): array
    {
        $options = [];
        $busy = self::busy($plan);
        foreach ($this->shelf->kinds as $kind) {
            $before = $plan['runs'][$kind->id];
            if ($before->gaps === [] || $kind->leadDays === []) {
                continue;
            }
            $tried = [];
            foreach ($this->shelf->vessels as $vessel) {
                foreach (isset($kind->gramsIn[$vessel->size]) ? $shares : [] as $share) {
                    $placed = $this->place($kind, $vessel, $share, $before, $busy, $plan['own'][$kind->id]);
                    if ($placed === null) {
                        continue;
                    }
                    [$lot, $run] = $placed;
                    $alike = "{$vessel->size} {$lot->share} {$lot->start}";
                    if ($lot->share < $filled || isset($tried[$alike]) || count($run->gaps) >= count($before->gaps)) {
                        continue;
                    }
                    $tried[$alike] = true;
                    $option = [
                        'own' => [...$plan['own'], $kind->id => [...$plan['own'][$kind->id], $lot]],
                        'runs' => [...$plan['runs'], $kind->id => $run],
                        'added' => [...$plan['added'], $lot],
                        'gaps' => $plan['gaps'] - count($before->gaps) + count($run->gaps),
                    ];
                    $options[self::key($option['added'])] = $option;
                }
            }
        }

        return $options;
    }

    /**
     * A batch in that jar: ready on the day on which the kind runs out, or as soon after it as the jar and the season
     * allow.
     *
     * @param  array<string, list<array{int, int}>>  $busy  by jar: from and until when it is taken
     * @param  list<ScheduledBatch>  $own
     * @return array{ScheduledBatch, Consumption}|null and how the kind is eaten then
     */
    private function place(
        Product $kind,
        FreeJar $vessel,
        float $share,
        Consumption $before,
        array $busy,
        array $own,
    ): ?array {
        $stretches = [];
        foreach ($before->gaps as $gap) {
            $last = count($stretches) - 1;
            $last >= 0 && $stretches[$last][1] === $gap - 1
                ? ($stretches[$last][1] = $gap)
                : ($stretches[] = [$gap, $gap]);
        }
        foreach ($stretches as [$from, $to]) {
            $start = $kind->lastStart($from) ?? $kind->nextStart(0);
            while ($start !== null && $start + $kind->leadDays[$start] <= $to) {
                $lot = self::lot($kind, $vessel, $share, $start);
                $this->runs++;
                $run = Consumption::of($kind, [...$own, $lot], $this->shelf->days);
                $free = self::freeAfter($busy[$vessel->id] ?? [], $start, $run->emptyOn[$lot->id] ?? PHP_INT_MAX);
                if ($free === null) {
                    return self::standInTheWay($own, $before, $run, $busy) ? null : [$lot, $run];
                }
                $start = $free === PHP_INT_MAX ? null : $kind->nextStart($free);
            }
        }

        return null;
    }

    /**
     * Whether other batches of the kind, which last longer now, would keep a jar from what is to come into it.
     *
     * @param  list<ScheduledBatch>  $own
     * @param  array<string, list<array{int, int}>>  $busy
     */
    private static function standInTheWay(array $own, Consumption $before, Consumption $after, array $busy): bool
    {
        foreach ($own as $lot) {
            $until = $before->emptyOn[$lot->id] ?? PHP_INT_MAX;
            $later = $after->emptyOn[$lot->id] ?? PHP_INT_MAX;
            if (
                $lot->vessel !== null &&
                $later > $until &&
                self::freeAfter($busy[$lot->vessel], $until, $later) !== null
            ) {
                return true;
            }
        }

        return false;
    }

    private static function lot(Product $kind, FreeJar $vessel, float $share, int $start): ScheduledBatch
    {
        $ready = $start + $kind->leadDays[$start];
        $full = $kind->gramsIn[$vessel->size];
        $grams = min($full * $share, $kind->perDay * min($kind->keeps, self::LASTS_DAYS));

        return new ScheduledBatch(
            "{$kind->id} {$vessel->id} {$start}",
            $kind->id,
            $vessel->id,
            $start,
            $ready,
            $grams,
            $ready + $kind->keeps - 1,
            $vessel->size,
            $full > 0.0 ? $grams / $full : 0.0,
        );
    }

    /**
     * The day on which what is in the way of a batch has gone; null when nothing is.
     *
     * @param  list<array{int, int}>  $busy
     */
    private static function freeAfter(array $busy, int $from, int $until): ?int
    {
        $free = null;
        foreach ($busy as [$begin, $end]) {
            if ($from < $end && $begin < $until) {
                $free = max($free ?? 0, $end);
            }
        }

        return $free;
    }

    /**
     * @param  Ahead  $plan
     * @return array<string, list<array{int, int}>> by jar
     */
    private static function busy(array $plan): array
    {
        $busy = [];
        foreach ($plan['own'] as $kind => $lots) {
            foreach ($lots as $lot) {
                if ($lot->vessel !== null) {
                    $busy[$lot->vessel][] = [$lot->start, $plan['runs'][$kind]->emptyOn[$lot->id] ?? PHP_INT_MAX];
                }
            }
        }

        return $busy;
    }

    /**
     * Days without that no jar could spare: before the soonest that a batch started today or later could be ready.
     *
     * @param  Ahead  $plan
     */
    private function unavoidable(array $plan): int
    {
        $days = 0;
        foreach ($this->shelf->kinds as $kind) {
            $soonest = PHP_INT_MAX;
            foreach ($kind->leadDays as $start => $lead) {
                $soonest = $kind->mayStart[$start] ? min($soonest, $start + $lead) : $soonest;
            }
            $days += count(array_filter($plan['runs'][$kind->id]->gaps, static fn(int $gap): bool => $gap < $soonest));
        }

        return $days;
    }

    /** @param  list<ScheduledBatch>  $added */
    private static function key(array $added): string
    {
        $ids = array_map(static fn(ScheduledBatch $lot): string => "{$lot->id} {$lot->share}", $added);
        sort($ids);

        return implode(', ', $ids);
    }

    /**
     * @param  list<ScheduledBatch>  $added
     * @return array{int, int, float} how many badly filled, how many, and their grams
     */
    private static function made(array $added): array
    {
        return [
            count(array_filter($added, static fn(ScheduledBatch $lot): bool => $lot->share < self::WELL_FILLED)),
            count($added),
            array_sum(array_map(static fn(ScheduledBatch $lot): float => $lot->grams, $added)),
        ];
    }
}
