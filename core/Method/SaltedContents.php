<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What a batch was salted with and what that salt lies on, read from its ledger, so that the bench, a formula, a batch
 * and a document are judged by the same numbers.
 *
 * Salt counts by the weight of the product, a starter's by the sodium in it. What is salted together is all that went
 * in before the batch was first left to itself; a dressed batch is looked at once more when its dressing is on. What
 * changed its strength after that, a top-up or salt that was added, counts by the brine strength it has now against the
 * one it had then.
 */
final readonly class SaltedContents
{
    /** A strength that moved by less than this, relatively, has not moved: the ledger's own rounding. */
    private const STILL = 1e-6;

    /** A jar that holds less than this, in grams, is empty. */
    private const NOTHING_G = 2.0;

    /**
     * @param  JarContents  $contents  what is salted together
     * @param  list<array{\Tempesal\Core\Produce\Ingredient, float}>  $solids  foods that are no liquid, with their
     *     typical grams
     * @param  bool  $isWild  whether no living starter went in
     * @param  bool  $ferments  whether it is left to ferment
     * @param  float|null  $endShare  salt of everything once it is dressed; null where it is not
     * @param  float  $change  of its brine strength since then, 1 for none
     */
    private function __construct(
        public Method $method,
        public JarContents $contents,
        public array $solids,
        public bool $isWild,
        public bool $ferments,
        public ?float $endShare,
        public float $change,
    ) {}

    /**
     * @param  Ledger  $ledger  all of it, with what is still to be done
     * @param  BatchState|null  $now  as it is at the moment; null: as it is after the last line
     * @return self|null null where nothing is left in the jar
     *
     * @throws \Tempesal\Core\Ledger\NotEnough when the history does not hold together
     */
    public static function of(Ledger $ledger, Method $method, ?BatchState $now = null): ?self
    {
        $lines = $ledger->resolved();
        $state = $now ?? $ledger->state();
        if ($state->present()->weightG() < self::NOTHING_G) {
            return null;
        }
        $entries = array_map(static fn($line): Entry => $line->entry, $lines);
        $closed = self::closedAt($entries);
        $salted = self::saltedUntil($entries);
        $tally = new SaltTally();
        foreach ($entries as $i => $entry) {
            if ($i < $salted) {
                $tally->count($entry, $ledger->trail()[$i - 1] ?? BatchState::empty());
            } elseif ($closed === null || $i < $closed) {
                $tally->countSolids($entry);
            }
        }
        $begun = $closed === null ? $state : $ledger->trail()[$closed];

        return new self(
            $method === Method::Transform ? $tally->method() : $method,
            $tally->contents($method->hasLiquid() || $method === Method::Transform),
            $tally->solids(),
            $tally->isWild(),
            $closed !== null,
            $method->isDressed() ? Strength::of($begun)->share(SaltBasis::OfEverything) : null,
            $state->clock < $begun->clock
                ? 1.0
                : self::changeOf(array_slice($entries, ($closed ?? count($entries)) + 1), $begun, $state),
        );
    }

    /** The method that a ledger looks like, where nobody said by which it was made. */
    public static function methodOf(Ledger $ledger): Method
    {
        $tally = new SaltTally();
        $entries = $ledger->entries();
        foreach (array_slice($entries, 0, self::saltedUntil($entries)) as $entry) {
            $tally->count($entry, BatchState::empty());
        }

        return $tally->method();
    }

    /**
     * The share on a basis; for a dressed batch of everything that ends up in the jar, where the basis is that. Null
     * where it has no meaning.
     */
    public function share(SaltBasis $basis): ?float
    {
        $isOfTheEnd = $this->endShare !== null && $basis === SaltBasis::OfEverything;

        return $isOfTheEnd ? $this->endShare : $this->contents->shareOrNull($basis);
    }

    /** The typical weight of the solids, in grams. */
    public function solidsG(): float
    {
        return array_sum(array_column($this->solids, 1));
    }

    /**
     * @param  list<Entry>  $entries
     * @return int|null the entry with which it is left to ferment
     */
    private static function closedAt(array $entries): ?int
    {
        foreach ($entries as $i => $entry) {
            if ($entry instanceof Soak && $entry->word === 'ferment') {
                return $i;
            }
        }

        return null;
    }

    /**
     * @param  list<Entry>  $entries
     * @return int how many entries there are before it is first left to itself, or drained, or becomes something else
     */
    private static function saltedUntil(array $entries): int
    {
        foreach ($entries as $i => $entry) {
            if (
                $entry instanceof Drain ||
                $entry instanceof Blend ||
                $entry instanceof Freshen ||
                ($entry instanceof Soak && !$entry->even)
            ) {
                return $i;
            }
        }

        return count($entries);
    }

    /** @param  list<Entry>  $since  what was done since it was left to ferment */
    private static function changeOf(array $since, BatchState $begun, BatchState $now): float
    {
        $changes = array_filter(
            $since,
            static fn(Entry $entry): bool => $entry instanceof TopUp ||
                $entry instanceof Salt ||
                $entry instanceof ReSalt ||
                $entry instanceof Starter ||
                $entry instanceof Evaporate ||
                $entry instanceof Entry\Leak ||
                $entry instanceof Entry\Measured ||
                $entry instanceof Freshen ||
                $entry instanceof Add,
        );
        $became = array_filter(
            $since,
            static fn(Entry $entry): bool => $entry instanceof Blend || $entry instanceof Heat,
        );
        [$then, $there] = [
            Strength::of($begun)->share(SaltBasis::BrineStrength) ?? 0.0,
            Strength::of($now)->share(SaltBasis::BrineStrength) ?? 0.0,
        ];
        if ($changes === [] || $became !== [] || $then <= 0.0) {
            return 1.0;
        }
        $change = $there / $then;

        return abs($change - 1.0) < self::STILL ? 1.0 : $change;
    }
}
