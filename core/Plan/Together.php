<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * The best plan that some weeks of each eater make together.
 *
 * Each week loses something against the best of its eater at the prices, and so does stock with a price that is left; all of it
 * may not be more than a better plan allows. The eaters are put into two halves. In each, weeks are put together as long as they
 * do not lose too much, and of those that take the same only the best is kept. Beside one of the one half only those of the other
 * come into question that take nearly all that is left: they are found by what they take of the dearest jars, and by what they
 * come to.
 */
final class Together
{
    private const EPS = 1e-7;

    /** How many are kept of a half. */
    private const KEPT = 40_000;

    /** By what one of the other half is found: so many jars. */
    private const DEAREST = 3;

    /** What a plan must pass. */
    private float $total = INF;

    /** @var array{int, int}|null of which the best plan is made: one of each half */
    private ?array $best = null;

    /** @var array<int, array{array<int, int>, array<int, int>}> by eater: for all that was put together, with what, and which week */
    private array $back = [];

    private bool $isCut = false;

    /**
     * @param  array<int, float>  $price  by offer
     * @param  float  $fair  the weight of fairness
     * @param  int  $looks  how many pairs are looked at, at most
     */
    public function __construct(
        private readonly StockCode $code,
        private readonly array $price,
        private readonly float $fair,
        private int $looks,
    ) {}

    /**
     * @param  array<int, CodedWeeks>  $weeks  by eater
     * @param  float  $atMost  what a plan comes to at most in which nobody loses anything
     * @param  float  $free  what is added to what weeks come to at the price of what is missing
     * @param  float  $total  what it must pass
     * @return array<int, int>|null by eater: the place of their week; null where none passes it
     */
    public function best(array $weeks, float $atMost, float $free, float $total): ?array
    {
        [$this->best, $this->back, $this->isCut] = [null, [], false];
        $this->total = $total + self::EPS;
        $counts = array_map(static fn(CodedWeeks $one): int => $one->count(), $weeks);
        [$few, $many] = self::halves($counts);
        $some = $this->half($few, $weeks, $atMost - $this->total);
        $others = $this->half($many, $weeks, $atMost - $this->total);
        if ($some->count() > $others->count()) {
            [$few, $some, $many, $others] = [$many, $others, $few, $some];
        }
        if ($some->count() > 0) {
            $this->match($some, $others, $atMost, $free);
        }

        return $this->best === null ? null : $this->trace($few, $this->best[0]) + $this->trace($many, $this->best[1]);
    }

    /** Whether all of them were looked at. */
    public function isWhole(): bool
    {
        return !$this->isCut && $this->looks > 0;
    }

    /** How many pairs may still be looked at. */
    public function looks(): int
    {
        return $this->looks;
    }

    /**
     * @param  array<int, int>  $counts  of weeks, by eater
     * @return array{list<int>, list<int>} eaters, in each half those with few weeks first
     */
    private static function halves(array $counts): array
    {
        arsort($counts);
        $halves = [[], []];
        $sizes = [0.0, 0.0];
        foreach ($counts as $m => $count) {
            $to = $sizes[0] <= $sizes[1] ? 0 : 1;
            array_unshift($halves[$to], $m);
            $sizes[$to] += log($count + 1.0);
        }

        return $halves;
    }

    /**
     * @param  list<int>  $eaters
     * @param  array<int, CodedWeeks>  $weeks
     */
    private function half(array $eaters, array $weeks, float $spare): CodedWeeks
    {
        $half = new CodedWeeks();
        $half->add(0.0, 0.0, 0.0, 0, [0, 0, 0]);
        foreach ($eaters as $m) {
            $half = $this->with($half, $m, $weeks[$m], $spare);
            if ($half->count() > self::KEPT) {
                $this->isCut = true;
                $half->cut(self::KEPT);
            }
        }

        return $half;
    }

    /** What was put together, each with each week of one eater more. */
    private function with(CodedWeeks $half, int $m, CodedWeeks $weeks, float $spare): CodedWeeks
    {
        [$losses, $worths, $bares, $misses] = [$weeks->loss, $weeks->worth, $weeks->bare, $weeks->missing];
        [$ps, $qs, $rs] = [$weeks->p, $weeks->q, $weeks->r];
        [$s, $t, $u] = $this->code->stock;
        [$g, $h, $k] = $this->code->guards;
        $joined = new CodedWeeks();
        [$loss, $worth, $bare, $missing, $p, $q, $r, $from, $week, $places] = array_fill(0, 10, []);
        $count = 0;
        foreach ($half->loss as $i => $lost) {
            $allowed = $spare - $lost;
            [$sum, $most, $x, $y, $z] = [
                $half->worth[$i],
                $half->missing[$i],
                $half->p[$i],
                $half->q[$i],
                $half->r[$i],
            ];
            foreach ($losses as $at => $one) {
                if ($one >= $allowed || $this->looks-- <= 0) {
                    break;
                }
                $a = $x + $ps[$at];
                $b = $y + $qs[$at];
                $c = $z + $rs[$at];
                if ((($s - $a) & $g) !== $g || (($t - $b) & $h) !== $h || (($u - $c) & $k) !== $k) {
                    continue;
                }
                $both = $sum + $worths[$at];
                $lacks = $misses[$at] > $most ? $misses[$at] : $most;
                $key = "{$a}.{$b}.{$c}.{$lacks}";
                $place = $places[$key] ?? $count;
                if ($place === $count) {
                    $places[$key] = $count++;
                    if ($count % (2 * self::KEPT) === 0) {
                        // From here on only what is among the best of those that are kept.
                        $this->isCut = true;
                        $spare = self::nth($loss, self::KEPT);
                        $allowed = $spare - $lost;
                    }
                } elseif ($worth[$place] >= $both) {
                    continue;
                }
                $loss[$place] = $lost + $one;
                $worth[$place] = $both;
                $bare[$place] = $half->bare[$i] + $bares[$at];
                $missing[$place] = $lacks;
                [$p[$place], $q[$place], $r[$place]] = [$a, $b, $c];
                [$from[$place], $week[$place]] = [$half->place[$i], $weeks->place[$at]];
            }
        }
        $this->back[$m] = [$from, $week];
        [$joined->loss, $joined->worth, $joined->bare, $joined->missing] = [$loss, $worth, $bare, $missing];
        [$joined->p, $joined->q, $joined->r, $joined->place] = [$p, $q, $r, array_keys($week)];
        $joined->sort();

        return $joined;
    }

    /**
     * What so many are below.
     *
     * @param  array<int, float>  $numbers
     */
    private static function nth(array $numbers, int $n): float
    {
        sort($numbers);

        return $numbers[$n];
    }

    private function match(CodedWeeks $some, CodedWeeks $others, float $atMost, float $free): void
    {
        $dearest = $this->dearest();
        [$begin, $end] = self::shelve($others, $dearest);
        [
            [$wordA, $shiftA, $maskA, $priceA],
            [$wordB, $shiftB, $maskB, $priceB],
            [$wordC, $shiftC, $maskC, $priceC],
        ] = $dearest;
        [$worths, $bares, $misses, $ps, $qs, $rs] = [
            $others->worth,
            $others->bare,
            $others->missing,
            $others->p,
            $others->q,
            $others->r,
        ];
        [$s, $t, $u] = $this->code->stock;
        [$g, $h, $k] = $this->code->guards;
        foreach ($some->loss as $i => $loss) {
            $spare = $atMost - $loss - $this->total;
            if ($spare <= 0.0 || $this->looks <= 0) {
                return;
            }
            [$worth, $bare, $most] = [$some->worth[$i], $some->bare[$i], $some->missing[$i]];
            $left = [$s - $some->p[$i], $t - $some->q[$i], $u - $some->r[$i]];
            [$p, $q, $r] = $left;
            $a = ($left[$wordA] >> $shiftA) & $maskA;
            $leftB = ($left[$wordB] >> $shiftB) & $maskB;
            $leftC = ($left[$wordC] >> $shiftC) & $maskC;
            for ($unusedA = 0.0; $a >= 0 && $unusedA < $spare; $a--, $unusedA += $priceA) {
                if (!isset($begin[$a])) {
                    continue;
                }
                for ($b = $leftB, $unusedB = $unusedA; $b >= 0 && $unusedB < $spare; $b--, $unusedB += $priceB) {
                    if (!isset($begin[$a][$b])) {
                        continue;
                    }
                    for ($c = $leftC, $unused = $unusedB; $c >= 0 && $unused < $spare; $c--, $unused += $priceC) {
                        if (!isset($begin[$a][$b][$c])) {
                            continue;
                        }
                        $ends = $end[$a][$b][$c];
                        $needed = $this->total - $worth - $free;
                        $at = self::first($worths, $begin[$a][$b][$c], $ends, $needed + $spare - $unused + self::EPS);
                        for (; $at < $ends && $worths[$at] > $needed && $this->looks-- > 0; $at++) {
                            if (
                                (($p - $ps[$at]) & $g) !== $g ||
                                (($q - $qs[$at]) & $h) !== $h ||
                                (($r - $rs[$at]) & $k) !== $k
                            ) {
                                continue;
                            }
                            $total = $bare + $bares[$at] - $this->fair * max($most, $misses[$at]);
                            if ($total > $this->total) {
                                [$this->total, $this->best] = [
                                    $total + self::EPS,
                                    [$some->place[$i], $others->place[$at]],
                                ];
                                $spare = $atMost - $loss - $this->total;
                                $needed = $this->total - $worth - $free;
                            }
                        }
                    }
                }
            }
        }
    }

    /**
     * The first that comes to no more than something: what comes to more cannot fit.
     *
     * @param  array<int, float>  $worths  falling from one place to another
     */
    private static function first(array $worths, int $from, int $to, float $ceiling): int
    {
        while ($from < $to) {
            $middle = ($from + $to) >> 1;
            if ($worths[$middle] > $ceiling) {
                $from = $middle + 1;
            } else {
                $to = $middle;
            }
        }

        return $from;
    }

    /**
     * Puts those beside each other that take the same of the dearest jars, what comes to most first.
     *
     * @param  list<array{int, int, int, float}>  $dearest
     * @return array{array<int, array<int, array<int, int>>>, array<int, array<int, array<int, int>>>} by what is taken: where they begin, and end
     */
    private static function shelve(CodedWeeks $weeks, array $dearest): array
    {
        $taken = array_map(
            static fn(array $jar): array => array_map(
                static fn(int $code): int => ($code >> $jar[1]) & $jar[2],
                [$weeks->p, $weeks->q, $weeks->r][$jar[0]],
            ),
            $dearest,
        );
        array_multisort(
            $taken[0],
            $taken[1],
            $taken[2],
            $weeks->worth,
            SORT_DESC,
            $weeks->bare,
            $weeks->missing,
            $weeks->p,
            $weeks->q,
            $weeks->r,
            $weeks->place,
        );
        $begin = $end = [];
        foreach ($taken[0] as $at => $a) {
            [$b, $c] = [$taken[1][$at], $taken[2][$at]];
            $begin[$a][$b][$c] ??= $at;
            $end[$a][$b][$c] = $at + 1;
        }

        return [$begin, $end];
    }

    /** @return list<array{int, int, int, float}> of the jars of which a step costs most: which number, lowest bit, bits, and that price */
    private function dearest(): array
    {
        $jars = [];
        foreach ($this->code->places as $offer => [$word, $shift, $bits, $step]) {
            $jars[] = [$word, $shift, $bits, $step * $this->price[$offer]];
        }
        usort($jars, static fn(array $one, array $other): int => $other[3] <=> $one[3]);

        return array_pad(array_slice($jars, 0, self::DEAREST), self::DEAREST, [0, 0, 0, 0.0]);
    }

    /**
     * @param  list<int>  $eaters
     * @return array<int, int> by eater: the place of their week
     */
    private function trace(array $eaters, int $place): array
    {
        $chosen = [];
        foreach (array_reverse($eaters) as $m) {
            [$from, $week] = $this->back[$m];
            [$chosen[$m], $place] = [$week[$place], $from[$place]];
        }

        return $chosen;
    }
}
