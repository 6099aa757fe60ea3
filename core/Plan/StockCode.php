<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * What is taken of the jars that eaters contend for, packed into three whole numbers. Each jar has a place of some bits in one of
 * them, counted in steps of which all its portions are made; above each place is a bit that stays set. So what is taken
 * together is a sum of such numbers, and one subtraction each tells whether there is enough of everything.
 */
final readonly class StockCode
{
    private const WORDS = 3;

    /** Of a number that is used; its sign is not. */
    private const BITS = 62;

    /** Into how many steps a jar is divided whose portions have none in common. */
    private const ROUGH = 100;

    private const EPS = 1e-6;

    /** @var array<int, array{int, int, int, float}> by offer: which number, its lowest bit, the place's bits, and grams of a step */
    public array $places;

    /** @var array{int, int, int} the bits that stay set */
    public array $guards;

    /** @var array{int, int, int} what there is, with the bits that stay set */
    public array $stock;

    /** Whether what is taken of every such jar is counted to the last gram; otherwise a little less may be counted. */
    public bool $isExact;

    /**
     * @param  array<int, float>  $stock  grams by offer
     * @param  array<int, non-empty-list<float>>  $portions  by offer that is contended for
     */
    public function __construct(array $stock, array $portions)
    {
        $filled = array_fill(0, self::WORDS, 0);
        $guards = [0, 0, 0];
        $places = [];
        $isExact = true;
        foreach ($portions as $offer => $sizes) {
            $step = UsableStock::step($sizes);
            $grams = $step ?? max(self::EPS, $stock[$offer] / self::ROUGH);
            $units = floor($stock[$offer] / $grams + self::EPS) + ceil(max($sizes) / $grams);
            $bits = (int) ceil(log($units + 1.0, 2.0) + self::EPS);
            $word = 0;
            while ($word < self::WORDS && $filled[$word] + $bits + 1 > self::BITS) {
                $word++;
            }
            $isExact = $isExact && $step !== null && $word < self::WORDS;
            if ($word < self::WORDS) {
                $places[$offer] = [$word, $filled[$word], (1 << $bits) - 1, $grams];
                $guards[$word] |= 1 << ($filled[$word] + $bits);
                $filled[$word] += $bits + 1;
            }
        }
        $this->places = $places;
        $this->guards = $guards;
        $this->isExact = $isExact;
        $this->stock = $this->room($stock);
    }

    public static function of(PlanningProblem $problem): self
    {
        $stock = UsableStock::inWeek($problem);
        $most = $portions = [];
        foreach ($problem->options as $i => $option) {
            $offer = $problem->offerOf($i);
            foreach ($option->portion as $m => $grams) {
                if ($grams > 0.0) {
                    $portions[$offer][] = $grams;
                    $most[$offer][$m] = max($most[$offer][$m] ?? 0.0, $problem->days * $grams);
                }
            }
        }

        return new self(
            $stock,
            array_filter(
                $portions,
                static fn(int $offer): bool => array_sum($most[$offer]) > $stock[$offer] + self::EPS,
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }

    /**
     * @param  array<int, float>  $used  grams by offer
     * @return array{int, int, int}
     */
    public function taken(array $used): array
    {
        $code = [0, 0, 0];
        foreach ($used as $offer => $grams) {
            if (isset($this->places[$offer])) {
                [$word, $shift, , $step] = $this->places[$offer];
                $code[$word] += (int) floor($grams / $step + self::EPS) << $shift;
            }
        }

        return $code;
    }

    /**
     * @param  array<int, float>  $left  grams by offer
     * @return array{int, int, int} from which what is taken leaves all bits set that stay set, where there is enough
     */
    public function room(array $left): array
    {
        $taken = $this->taken(array_map(static fn(float $grams): float => max(0.0, $grams), $left));

        return [$taken[0] | $this->guards[0], $taken[1] | $this->guards[1], $taken[2] | $this->guards[2]];
    }
}
