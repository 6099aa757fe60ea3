<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

use Tempesal\Core\Message\Message;

/**
 * The weeks ahead: what to start when, how long each kind lasts, and why there are days without it where there are.
 */
final readonly class StockForecast
{
    /**
     * @param  list<ScheduledBatch>  $lots  all of them
     * @param  list<ScheduledBatch>  $added  those that are suggested
     * @param  array<string, Consumption>  $runs  by kind
     */
    public function __construct(
        public RestockProblem $shelf,
        public array $lots,
        public array $added,
        public array $runs,
    ) {}

    /** Days without, over all kinds. */
    public function gapDays(): int
    {
        return array_sum(array_map(static fn(Consumption $run): int => count($run->gaps), $this->runs));
    }

    /**
     * The day on which a kind runs out as things stand, without anything that is only suggested; null when it lasts.
     */
    public function runsOutOn(Product $kind): ?int
    {
        return Consumption::of(
            $kind,
            array_values(
                array_filter($this->shelf->lots, static fn(ScheduledBatch $lot): bool => $lot->kind === $kind->id),
            ),
            $this->shelf->days,
        )->runsOutOn();
    }

    /**
     * Stretches of days without a kind.
     *
     * @return list<array{from: int, to: int, reason: Message}> both days included
     */
    public function gaps(Product $kind): array
    {
        $stretches = [];
        foreach ($this->runs[$kind->id]->gaps as $day) {
            $last = count($stretches) - 1;
            if ($last >= 0 && $stretches[$last][1] === $day - 1) {
                $stretches[$last][1] = $day;
            } else {
                $stretches[] = [$day, $day];
            }
        }

        return array_map(
            fn(array $one): array => ['from' => $one[0], 'to' => $one[1], 'reason' => $this->reason($kind, $one[0])],
            $stretches,
        );
    }

    private function reason(Product $kind, int $day): Message
    {
        if ($kind->leadDays === []) {
            return Message::of('stock.no_formula');
        }
        $fitting = array_values(
            array_filter(
                $this->shelf->vessels,
                static fn(FreeJar $vessel): bool => isset($kind->gramsIn[$vessel->size]),
            ),
        );
        if ($fitting === []) {
            return Message::of('stock.no_jar');
        }
        $start = $kind->lastStart($day);
        if ($start === null) {
            $first = $kind->nextStart(0);

            return match (true) {
                $first === null => Message::of('stock.no_month'),
                $first > 0 => Message::of('stock.before_season', days: $first),
                default => Message::of('stock.lead', days: $kind->leadDays[0]),
            };
        }
        $holders = [];
        foreach ($this->lots as $lot) {
            $until = $this->runs[$lot->kind]->emptyOn[$lot->id] ?? null;
            if (
                in_array($lot->vessel, array_column($fitting, 'id'), true) &&
                $lot->start <= $day &&
                ($until === null || $until > $start)
            ) {
                $holders[$lot->vessel] = true;
            }
        }

        return count($holders) >= count($fitting)
            ? Message::of(
                'stock.jars_taken',
                lead: $kind->leadDays[$start] === 1 ? 'a day' : "{$kind->leadDays[$start]} days",
                jars: count($fitting),
            )
            : Message::of('stock.better_elsewhere');
    }
}
