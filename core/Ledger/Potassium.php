<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Closure;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltProduct;

/**
 * About how much potassium there is in what is eaten: a rough figure for those who have to mind it. It is taken to spread
 * through all the water in the jar, as it nearly has after weeks, and to leave with the liquid that leaves. At most it is
 * all still in the pieces that brought it. Common practice, no source; its band is wide on purpose.
 */
final readonly class Potassium
{
    /** Share of a wide guess, either way. */
    private const HALF_WIDTH = 0.3;

    /**
     * @param  float  $inJarMg  what is in the jar
     * @param  float  $inPiecesMg  what came with the pieces, with the share that has left the jar taken off
     * @param  list<Message>  $unknown  foods of which it is not known
     */
    private function __construct(
        private BatchState $state,
        private float $inJarMg,
        private float $inPiecesMg,
        public array $unknown,
    ) {}

    /** @param  Closure(Ingredient): (float|null)  $of  milligrams in 100 g of a food; null where it is not known */
    public static function of(Ledger $ledger, Closure $of): self
    {
        $ledger = $ledger->whole();
        $all = $pieces = 0.0;
        $unknown = [];
        $before = BatchState::empty();
        foreach ($ledger->resolved() as $i => $line) {
            $entry = $line->entry;
            $after = $ledger->trail()[$i];
            [$food, $grams, $into] = match (true) {
                $entry instanceof Add => [$entry->ingredient, $entry->grams->typical, $entry->into],
                $entry instanceof Starter => [$entry->liquid, $entry->grams->value, Phase::Brine],
                default => [null, 0.0, Phase::Brine],
            };
            if ($food !== null && $food->id !== Ingredient::water()->id) {
                $per100g = $of($food);
                if ($per100g === null) {
                    $unknown[$food->id] = $food->label();
                }
                $came = (($per100g ?? 0.0) * $grams) / 100.0;
                $all += $came;
                $pieces += $into === Phase::Pieces ? $came : 0.0;
            } elseif ($entry instanceof Salt) {
                $all += self::ofSalt($entry->dose->product) * $entry->dose->grams()->value;
            } elseif (!($entry instanceof TopUp) && !($entry instanceof ReSalt)) {
                $stays = self::stays($entry, $before, $after);
                $all *= $stays;
                $pieces *= $stays;
            }
            $before = $after;
        }

        return new self($ledger->state(), $all, $pieces, array_values($unknown));
    }

    /**
     * Milligrams of potassium in a gram of a salt: what of a blend is no sodium chloride is potassium chloride, of which
     * 39.10 of 74.55 is potassium (IUPAC atomic weights).
     */
    public static function ofSalt(SaltProduct $salt): float
    {
        if (!$salt->potassium) {
            return 0.0;
        }
        $chloride = 1.0 - $salt->waterPer100g / 100.0 - $salt->sodiumPer100g->typical / 39_337.235;

        return max(0.0, $chloride) * 524.5;
    }

    /** Milligrams in a weight of what is served; null where nothing is left of it. */
    public function in(Served $served, float $grams): ?Band
    {
        $part = $served->in($this->state);
        $water = $this->state->present()->waterG;
        if ($part->weightG() <= 0.0 || $water <= 0.0) {
            return null;
        }
        $share = $grams / $part->weightG();
        $even = ($this->inJarMg * $share * $part->waterG) / $water;
        $most = $served === Served::Pieces ? max($even, $this->inPiecesMg * $share) : $even;

        return Band::of((1.0 - self::HALF_WIDTH) * $even, $even, (1.0 + self::HALF_WIDTH) * $most);
    }

    /** The share that an entry leaves in the jar: of what runs off, by its water; of what is rinsed, by its salt. */
    private static function stays(Entry $entry, BatchState $before, BatchState $after): float
    {
        $of = static fn(float $there, float $left): float => $there <= 0.0 ? 1.0 : min(1.0, $left / $there);

        return match (true) {
            $entry instanceof Entry\Evaporate, $entry instanceof Entry\Measured => 1.0,
            $entry instanceof Rinse, $entry instanceof Freshen => $of(
                $before->present()->sodiumMg,
                $after->present()->sodiumMg,
            ),
            default => $of($before->present()->waterG, $after->present()->waterG),
        };
    }
}
