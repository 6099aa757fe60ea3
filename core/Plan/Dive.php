<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Makes whole weeks out of a mixture: the week of which there is most in it becomes its eater's, and the others look for weeks,
 * new ones too, for what that leaves, until everybody has one.
 */
final class Dive
{
    /** How many known weeks of each eater are mixed. */
    private const MIXED = 120;

    /** How far prices go towards those of the mixture. */
    private const SHARE = 0.7;

    /** By how much a new week may come to less than the best that is known. */
    private const BELOW = 1.0;

    /** How many ways are followed, against a search that is to find all of them. */
    private const EASE = 0.3;

    /** What is in the mixture from here on is all of it. */
    private const WHOLE = 0.999;

    /** A week of which there is so much, against the one of which there is most, may be chosen by chance. */
    private const LIKELY = 0.5;

    /** @param  KnownWeeks  $known  new weeks are added to it */
    public function __construct(private readonly KnownWeeks $known) {}

    /**
     * @param  list<int>  $eaters  who look for weeks
     * @param  array<int, float>  $left  by offer: what there is for them
     * @param  StockPrices  $prices  with which they begin
     * @param  callable(int): int  $draw  a number below another by chance; 0 chooses what there is most of
     * @return array<int, PlannedEaterWeek>|null by eater; null where somebody found none that fits
     */
    public function from(array $eaters, array $left, StockPrices $prices, callable $draw): ?array
    {
        $chosen = [];
        while ($eaters !== []) {
            $mix = $prices->mix(array_intersect_key($this->known->bare, array_flip($eaters)), $left);
            $count = count($chosen);
            foreach ($this->choose($mix, $eaters, $left, $prices, $draw) as [$m, $week]) {
                // Nearly whole ones need not fit beside each other.
                if ($week->fits($left)) {
                    $chosen[$m] = $week;
                    $left = $week->takenFrom($left);
                }
            }
            if (count($chosen) === $count) {
                return null;
            }
            $eaters = array_values(array_diff($eaters, array_keys($chosen)));
        }

        return $chosen;
    }

    /**
     * @param  non-empty-list<int>  $eaters
     * @param  array<int, float>  $left
     * @param  StockPrices  $prices  moved on
     * @param  callable(int): int  $draw
     * @return list<array{int, PlannedEaterWeek}> whose week, and which
     */
    private function choose(WeekMix $mix, array $eaters, array $left, StockPrices &$prices, callable $draw): array
    {
        $mixed = [];
        foreach ($eaters as $m) {
            $mixed[$m] = array_column($this->known->fitting($m, $left, $prices, self::MIXED), 1);
            foreach ($mixed[$m] as $week) {
                $mix->add($m, $week);
            }
        }
        $mix->solve();
        $prices = $prices->toward($mix, self::SHARE);
        foreach ($eaters as $m) {
            foreach ($this->look($m, $left, $prices, $mixed[$m]) as $week) {
                $mix->add($m, $week);
            }
        }
        $mix->solve();
        $parts = $mix->parts();
        $whole = array_filter($parts, static fn(array $part): bool => $part[0] > self::WHOLE);
        if ($whole === []) {
            $likely = array_filter($parts, static fn(array $part): bool => $part[0] > self::LIKELY * $parts[0][0]);
            $whole = [$parts[$draw(count($likely))]];
        }

        return array_map(static fn(array $part): array => [$part[1], $part[2]], array_values($whole));
    }

    /**
     * Weeks of an eater that are not in the mixture yet, and come near the best of those that are.
     *
     * @param  array<int, float>  $left
     * @param  list<PlannedEaterWeek>  $mixed
     * @return list<PlannedEaterWeek>
     */
    private function look(int $m, array $left, StockPrices $prices, array $mixed): array
    {
        $eater = $this->known->eaters[$m];
        $fair = $prices->missing($m);
        $reached = max(
            array_map(static fn(PlannedEaterWeek $week): float => $week->priced($prices->of, $fair), [
                $this->known->bare[$m],
                ...$mixed,
            ]),
        );
        [, $found] = $eater->best($prices->of, $fair, $reached - self::BELOW, $left, self::EASE);
        $weeks = array_map(fn(array $plates): PlannedEaterWeek => $this->known->know($m, $plates), $found);

        return array_values(
            array_filter(
                $weeks,
                static fn(PlannedEaterWeek $week): bool => !in_array($week, $mixed, true) && $week->fits($left),
            ),
        );
    }
}
