<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Reads weeks out of ways through the days of which each step is known: for each sum of what is taken of the jars that eaters
 * contend for, the best one.
 *
 * One goes back from the end, day by day. What the best way up to each place comes to is known, so that nothing is followed that
 * does not end as a week that is good enough.
 *
 * @phpstan-type Plate array{float, float, int, int, float, list<int>, int, int, int, int, float}
 */
final class WaysBack
{
    private const EPS = 1e-7;

    /** How many steps are looked at for each that may be followed at a time. */
    private const LOOKS = 20;

    /** How many steps were looked at. */
    public int $looks = 0;

    /**
     * @param  list<list<Plate>>  $plates  by day, as in EaterWeek::ways()
     * @param  list<list<float>>  $best  by day and place before it: what the best way there comes to
     * @param  list<list<list<array{float, int, int}>>>  $steps  by day and place after it: what the best way by a step comes to, the
     *     place before it, and the plate
     */
    public function __construct(
        private readonly StockCode $code,
        private readonly array $plates,
        private readonly array $best,
        private readonly array $steps,
    ) {}

    /**
     * @param  float  $above  what a week has to pass
     * @param  int  $most  how many are followed at a time
     * @return list<array{float, array{int, int, int}, int, list<Plate>}>|null what each comes to, what it takes, live servings missing,
     *     and its plates; null where there are too many ways
     */
    public function weeks(float $above, int $most): ?array
    {
        [$s, $t, $u] = $this->code->stock;
        [$g, $h, $k] = $this->code->guards;
        // By place and use: what comes after, what is taken, what is missing, the plate and what follows it.
        $open = array_map(static fn(): array => [[0.0, 0, 0, 0, 0, -1, [-1, -1]]], $this->best[count($this->plates)]);
        $kept = [];
        for ($d = count($this->plates) - 1; $d >= 0; $d--) {
            $next = [];
            $count = 0;
            foreach ($open as $place => $rests) {
                foreach ($rests as $after => [$rest, $p, $q, $r, $lacks]) {
                    foreach ($this->steps[$d][$place] as [$value, $before, $at]) {
                        $this->looks++;
                        if ($value + $rest <= $above + self::EPS) {
                            continue;
                        }
                        [, , , , , , $a, $b, $c, $missing] = $this->plates[$d][$at];
                        $a += $p;
                        $b += $q;
                        $c += $r;
                        $missing += $lacks;
                        if ((($s - $a) & $g) !== $g || (($t - $b) & $h) !== $h || (($u - $c) & $k) !== $k) {
                            continue;
                        }
                        $sum = $rest + $value - $this->best[$d][$before];
                        $key = "{$a}.{$b}.{$c}.{$missing}";
                        $count += isset($next[$before][$key]) ? 0 : 1;
                        if (!isset($next[$before][$key]) || $next[$before][$key][0] < $sum) {
                            $next[$before][$key] = [$sum, $a, $b, $c, $missing, $at, [$place, $after]];
                        }
                    }
                }
                if ($count > $most || $this->looks > self::LOOKS * $most) {
                    return null;
                }
            }
            $kept[$d] = $next;
            $open = $next;
        }

        return $this->read($kept);
    }

    /**
     * @param  array<int, array<int, array<array-key, array{float, int, int, int, int, int, array{int, array-key}}>>>  $kept  by day, place and use
     * @return list<array{float, array{int, int, int}, int, list<Plate>}>
     */
    private function read(array $kept): array
    {
        $weeks = [];
        foreach ($kept[0][0] ?? [] as $week) {
            [$value, $p, $q, $r, $missing] = $week;
            $plates = [];
            foreach ($this->plates as $d => $plate) {
                $plates[] = $plate[$week[5]];
                [$place, $use] = $week[6];
                $week = $kept[$d + 1][$place][$use] ?? $week;
            }
            $weeks[] = [$value, [$p, $q, $r], $missing, $plates];
        }

        return $weeks;
    }
}
