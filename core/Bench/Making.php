<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Formula\Scaling;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\Jars;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\EntryKinds;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Line;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Ledger\Timetable;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Process\Amount;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\NoBasis;
use Tempesal\Core\Salt\SaltDose;

/**
 * The bench's answer: from what the cook has fixed to amounts, jars, ledger and sodium.
 */
final readonly class Making
{
    private const BISECTIONS = 60;

    /** Halvings for what takes a whole ledger each: to a millionth of where it began. */
    private const LEDGER_BISECTIONS = 20;

    /** Halvings that find the least salt: finer than any scale. */
    private const FLOOR_BISECTIONS = 30;

    /** Water for a soak, in grams for a gram of vegetable: common practice, no source. */
    private const SOAK_WATER = 1.0;

    /** A tenth of a gram is a tenth, whatever the bisection left of it. */
    private const SCALE_ROUNDING = 1e-3;

    /** No more salt than this is looked for, in grams for a gram of food and water: past what dissolves. */
    private const MOST_SALT = 0.36;

    /**
     * @param  JarContents  $contents  what is salted together, starter counted
     * @param  Ledger  $ledger  as it will be written, time going on from there
     * @param  Ledger  $finished  when it is first eaten: once salt has evened out, or when a quick pickle is taken out
     * @param  BatchState  $state  of the finished batch
     * @param  float|null  $unreachedMg  sodium wished for in a serving that the salt floor stands against
     */
    private function __construct(
        public Sheet $sheet,
        public Work $work,
        public Grams $salt,
        public JarContents $contents,
        public Ledger $ledger,
        public Ledger $finished,
        public BatchState $state,
        public ?float $unreachedMg = null,
    ) {
    }

    /** @throws IncompleteSheet when a field that is needed was left open, or leaves nothing to follow */
    public static function from(Sheet $sheet): self
    {
        try {
            if ($sheet->wish->sodiumMg !== null) {
                return self::forSodium($sheet, $sheet->wish->sodiumMg);
            }
            self::refuseWrongBasis($sheet);

            return self::of(self::work($sheet));
        } catch (NoBasis $refusal) {
            throw IncompleteSheet::impossibleStrength($refusal->getMessage());
        } catch (NotEnough $refusal) {
            throw IncompleteSheet::notEnough($refusal->getMessage());
        }
    }

    public function vegetable(): Grams
    {
        return $this->work->vegetable;
    }

    /** Brine mixed, the spare included. */
    public function brine(): Millilitres
    {
        return $this->sheet->method->hasPouredBrine() ? BrineTable::volume($this->salt, $this->work->water) : Millilitres::zero();
    }

    /** Brine mixed but not needed for the jars. */
    public function spareBrine(): Millilitres
    {
        return $this->brine()->times($this->work->spare / (1.0 + $this->work->spare));
    }

    public function isSpooned(): bool
    {
        return $this->work->doses !== [] && $this->work->doses[0]->isSpooned();
    }

    /** The salt in measuring spoons, whether it was spooned or weighed. */
    public function spoons(): SpoonPhrase
    {
        $spooned = array_sum(array_map(
            static fn (SaltDose $dose): float => $dose->spooned->value ?? $dose->grams()->value / Point::typical()->of($dose->product->density()), $this->work->doses,
        ));

        return SpoonPhrase::nearest(Millilitres::of($spooned), $this->sheet->spoons);
    }

    /**
     * The share on a basis: of what is salted together, and of all that ends up in the jar where that is something else.
     */
    public function strength(Basis $basis): ?float
    {
        $isOfTheEnd = $this->sheet->method->isDressed() && in_array($basis, [Basis::OfEverything, Basis::BrineStrength], true);

        return $isOfTheEnd ? Strength::of($this->state)->share($basis) : $this->contents->shareOrNull($basis);
    }

    /**
     * The strength on the method's own basis after each of the doses.
     *
     * @return list<float|null>
     */
    public function running(Basis $basis): array
    {
        $running = [];
        foreach (array_keys($this->work->doses) as $i) {
            $running[] = $this->work->salted(...array_slice($this->work->doses, 0, $i + 1))->contents()->shareOrNull($basis);
        }

        return $running;
    }

    /** Milligrams of sodium in one serving, with its band. */
    public function serving(): Estimate
    {
        return $this->finished->serving(Serve::of($this->servedPhase(), $this->servingWeight()));
    }

    /** The serving asked for, or all there is when the batch is smaller. */
    public function servingWeight(): Grams
    {
        return Grams::of(min($this->sheet->serving->value, $this->state->phase($this->servedPhase())->weightG()));
    }

    public function servings(): int
    {
        return $this->finished->servingsLeft($this->servedPhase(), $this->sheet->serving);
    }

    public function servedPhase(): Phase
    {
        return $this->sheet->method->servedPhase();
    }

    /** Liquid that stands in the jars once the pieces have given their juice. */
    public function liquid(): Millilitres
    {
        $brine = $this->state->phase(Phase::Brine);

        return Millilitres::of($brine->weightG() / BrineTable::density($brine->brineStrength()));
    }

    /** Room that all of it takes, the gaps between the pieces included. */
    public function bulk(): Millilitres
    {
        $food = $this->food()->value / $this->sheet->vegetable->density;

        return Millilitres::of(max($food / $this->sheet->vegetable->shape->packing(), $food + $this->liquid()->value));
    }

    /**
     * The jars as they stand after the pieces have given their juice; none without jars.
     *
     * @return list<JarFit>
     */
    public function settledFits(): array
    {
        return $this->sheet->row()?->fits($this->food(), $this->sheet->vegetable->density, $this->sheet->vegetable->shape->packing()) ?? [];
    }

    /** Whether the food, as it is packed, stays below the headspace of its jars. */
    public function holdsTheFood(): bool
    {
        foreach ($this->packedFits() as $fit) {
            if (! $fit->holdsTheFood()) {
                return false;
            }
        }

        return true;
    }

    /**
     * The lines of one jar's ledger: its share of everything.
     *
     * @return non-empty-list<Line>
     */
    public function linesOf(int $jar): array
    {
        $lines = $this->work->timetable()->lines;
        $share = $this->sheet->row()?->shares()[$jar] ?? 1.0;

        return $share >= 1.0 ? $lines : array_map(
            static fn (Line $line): Line => new Line(EntryKinds::read(Fields::of(Scaling::of($line->entry->toArray(), $share))), $line->at), $lines,
        );
    }

    public function timetable(): Timetable
    {
        return $this->work->timetable();
    }

    /** Liquid, in ml, that is missing to cover the pieces; 0 when they are covered, or are pressed down day by day. */
    public function liquidShort(): float
    {
        $fits = $this->settledFits();
        if ($fits === [] || $this->servedPhase() === Phase::Sauce || $this->sheet->method->isDressed()) {
            return 0.0;
        }

        return max(0.0, array_sum(array_map(static fn (JarFit $fit): float => $fit->liquidToCover()->value, $fits)) - $this->liquid()->value);
    }

    /** The weight of the main food that the jars take under their headspace. */
    public function vegetableThatFits(): Grams
    {
        $row = $this->sheet->row();

        return $row === null ? $this->vegetable() : self::besideTheRest($this->sheet, $row);
    }

    /** What takes room in the jars beside the liquid. */
    private function food(): Grams
    {
        return Grams::of(max(0.0, $this->state->phase($this->servedPhase())->saltFreeG()));
    }

    /** @return list<JarFit> the jars as they are packed */
    private function packedFits(): array
    {
        if ($this->sheet->method->isDressed() || $this->servedPhase() === Phase::Sauce) {
            return $this->settledFits();
        }
        $sheet = $this->sheet;

        return $sheet->row()?->fits(self::together($sheet, $this->vegetable()), $sheet->vegetable->density, $sheet->vegetable->shape->packing()) ?? [];
    }

    /**
     * @throws NoBasis
     * @throws NotEnough
     */
    private static function of(Work $work, ?float $unreachedMg = null): self
    {
        $ledger = $work->ledger();
        $soak = $work->sheet->method === Method::QuickSaltPickle ? $work->sheet->salting ?? Method::QuickSaltPickle->profile()->preparation->salting : null;
        $finished = $soak === null ? $ledger->settled() : $ledger->asOf($soak->value);

        return new self($work->sheet, $work, $work->salt(), $work->contents(), $ledger, $finished, $finished->state(), $unreachedMg);
    }

    /** @throws NoBasis */
    private static function work(Sheet $sheet): Work
    {
        if ($sheet->source !== null) {
            return self::dosed(new Work($sheet, Grams::of($sheet->source->state()->present()->weightG()), null, Grams::zero()));
        }
        if ($sheet->wish->fixesBoth()) {
            return self::following($sheet);
        }
        if ($sheet->vegetableWeight !== null) {
            return self::around($sheet, $sheet->vegetableWeight);
        }
        $row = $sheet->row() ?? throw IncompleteSheet::noVegetable();
        $most = self::besideTheRest($sheet, $row);
        if (! $sheet->method->isDressed()) {
            return self::around($sheet, $most);
        }

        // Salted, rinsed and squeezed it takes less room, and the paste takes some: what fills the jars is found by trying.
        [$low, $high] = [0.0, $most->value * 3.0];
        for ($i = 0; $i < self::LEDGER_BISECTIONS; $i++) {
            $middle = ($low + $high) / 2.0;
            if (self::of(self::around($sheet, Grams::of($middle)))->bulk()->value > $row->usable()->value) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return self::around($sheet, Grams::of(floor($low)));
    }

    /**
     * Everything around a weight of vegetable.
     *
     * @throws NoBasis
     */
    private static function around(Sheet $sheet, Grams $vegetable): Work
    {
        $work = new Work($sheet, $vegetable, self::starter($sheet, $vegetable), Grams::zero());
        if (! $sheet->method->hasPouredBrine()) {
            return self::dosed($work);
        }
        if ($sheet->water !== null) {
            return self::dosed($work->watered($sheet->water));
        }
        if ($sheet->brine !== null) {
            return self::dosed($work->watered(self::waterForVolume($work, $sheet->brine->value, 0.0)));
        }
        if ($sheet->method === Method::KimchiSoaked) {
            return self::dosed($work->watered(Grams::of(round($vegetable->value * self::SOAK_WATER))));
        }
        $row = $sheet->row() ?? throw IncompleteSheet::noWater();
        $shape = $sheet->vegetable->shape;
        $room = array_sum(array_map(
            static fn (JarFit $fit): float => $fit->brineToFill()->value, $row->fits(self::together($sheet, $vegetable), $sheet->vegetable->density, $shape->packing()),
        )) - ($work->starter->grams->value ?? 0.0);
        if ($room < 1.0) {
            throw IncompleteSheet::jarTooSmall(floor(self::besideTheRest($sheet, $row)->value));
        }
        $spare = $sheet->packing->spareBrine;
        $water = self::waterForVolume($work, $room, $spare);

        return self::dosed($work->watered($water->times(1.0 + $spare), $spare));
    }

    /**
     * The water of a brine that takes up a volume.
     *
     * @param  float  $spare  share of the salt's fixed amount that goes into spare brine
     *
     * @throws NoBasis
     */
    private static function waterForVolume(Work $work, float $millilitres, float $spare): Grams
    {
        [$low, $high] = [0.0, $millilitres * 1.2];
        for ($i = 0; $i < self::BISECTIONS; $i++) {
            $water = Grams::of(($low + $high) / 2.0);
            $fixed = $work->sheet->wish->grams();
            $salt = $fixed !== null ? Grams::of($fixed / (1.0 + $spare)) : self::missingSalt($work->watered($water));
            if (BrineTable::volume($salt, $water)->value < $millilitres) {
                $low = $water->value;
            } else {
                $high = $water->value;
            }
        }

        return Grams::of(round(($low + $high) / 2.0, 1));
    }

    /**
     * Salt and strength are fixed: the water follows, or the vegetable where there is none.
     *
     * @throws NoBasis
     */
    private static function following(Sheet $sheet): Work
    {
        $basis = $sheet->wish->basis;
        $share = (float) $sheet->wish->share;
        $salt = (float) $sheet->wish->grams();
        if ($share <= 0.0) {
            throw NoBasis::nothingToBe($basis);
        }
        $whole = $salt / $share - ($basis === Basis::BrineStrength ? $salt : 0.0);
        if ($sheet->method->hasPouredBrine() && $basis !== Basis::OfVegetable) {
            if ($sheet->water !== null || $sheet->brine !== null) {
                throw IncompleteSheet::nothingFollows('waterAmount');
            }
            $vegetable = $sheet->vegetableWeight ?? self::besideTheRest($sheet, $sheet->row() ?? throw IncompleteSheet::noVegetable());
            $there = (new Work($sheet, $vegetable, self::starter($sheet, $vegetable), Grams::zero()))->contents();
            $taken = $there->water->value + ($basis === Basis::OfEverything ? $there->vegetable->value + $there->other->value : 0.0);

            return self::dosed(new Work($sheet, $vegetable, self::starter($sheet, $vegetable), self::left($whole - $taken)));
        }
        if (! in_array($sheet->method, [Method::DrySalting, Method::Mash, Method::KimchiDrySalted, Method::SaltAndDrain, Method::CulturedCondiment], true)) {
            throw IncompleteSheet::cannotFollow($sheet->method);
        }
        if ($sheet->vegetableWeight !== null) {
            throw IncompleteSheet::nothingFollows('vegetableAmount');
        }
        $there = (new Work($sheet, Grams::zero(), $sheet->starter, Grams::zero()))->contents();
        $taken = $there->vegetable->value + ($basis === Basis::OfEverything ? $there->other->value : 0.0);

        return self::dosed(new Work($sheet, self::left($whole - $taken), $sheet->starter, Grams::zero()));
    }

    private static function left(float $grams): Grams
    {
        return $grams < 0.05 ? throw IncompleteSheet::saltTooLittle() : Grams::of(round($grams, 1));
    }

    /**
     * The salt that brings a serving to a sodium, but no less than the method's floor.
     *
     * @throws NoBasis
     * @throws NotEnough
     */
    private static function forSodium(Sheet $sheet, float $milligrams): self
    {
        $with = static fn (float $grams): Work => self::work($sheet->wishing(SaltWish::amount($sheet->wish->basis, SaltDose::weighed($sheet->salt, Grams::of($grams)))));
        $sodium = static function (float $grams) use ($with): float {
            $making = self::of($with($grams));

            return Serve::of($making->servedPhase(), $making->servingWeight())->sodiumMg($making->state, Point::typical());
        };
        $bare = $with(0.0);
        $contents = $bare->contents();
        $most = self::MOST_SALT * (($contents->vegetable->value + $contents->water->value + $contents->other->value) * (1.0 + $bare->spare));
        $least = $sheet->source === null ? self::leastSalt($with, $most) : 0.0;
        if ($sodium($least) >= $milligrams) {
            return self::of(self::measured($sheet, $with($least), $least, true), $sodium($least) > $milligrams * 1.02 ? $milligrams : null);
        }
        if ($sodium($most) < $milligrams) {
            throw IncompleteSheet::tooMuchSodium(floor($sodium($most)));
        }
        [$low, $high] = [$least, $most];
        for ($i = 0; $i < self::LEDGER_BISECTIONS; $i++) {
            $middle = ($low + $high) / 2.0;
            if ($sodium($middle) < $milligrams) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return self::of(self::measured($sheet, $with($low), ($low + $high) / 2.0));
    }

    /**
     * The least salt, in grams, with which no line of the floor is missed.
     *
     * @param  callable(float): Work  $with  so many grams of salt
     *
     * @throws NotEnough
     */
    private static function leastSalt(callable $with, float $most): float
    {
        $isEnough = static function (float $grams) use ($with): bool {
            $work = $with($grams);
            $jar = SaltedContents::of($work->ledger(), $work->sheet->method);

            return SaltFloor::of($jar)->isMet($jar);
        };
        if ($isEnough(0.0)) {
            return 0.0;
        }
        [$low, $high] = [0.0, $most];
        for ($i = 0; $i < self::FLOOR_BISECTIONS; $i++) {
            $middle = ($low + $high) / 2.0;
            if ($isEnough($middle)) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high;
    }

    /**
     * The work with its salt: what was fixed, or what the strength asks for.
     *
     * @throws NoBasis
     */
    private static function dosed(Work $work): Work
    {
        $wish = $work->sheet->wish;
        if ($wish->doses !== null) {
            return $work->salted(...$wish->doses);
        }

        return self::measured($work->sheet, $work, self::missingSalt($work)->value * (1.0 + $work->spare));
    }

    /**
     * The work with so much salt as the cook's scale or spoons can measure it.
     *
     * @param  bool  $isLeast  whether it must not be less
     */
    private static function measured(Sheet $sheet, Work $work, float $grams, bool $isLeast = false): Work
    {
        if ($sheet->saltUnit === SaltUnit::Grams) {
            return $work->salted(SaltDose::weighed($sheet->salt,
                Grams::of($isLeast ? ceil($grams * 10.0 - self::SCALE_ROUNDING) / 10.0 : round($grams, 1))));
        }
        $volume = Millilitres::of($grams / Point::typical()->of($sheet->salt->density()));
        $spoons = $isLeast ? SpoonPhrase::atLeast($volume, $sheet->spoons) : SpoonPhrase::nearest($volume, $sheet->spoons);

        return $work->salted(SaltDose::spooned($sheet->salt, $spoons->volume));
    }

    /**
     * Salt that is missing to the wanted strength, less what the starter or the batch itself brings.
     *
     * @throws NoBasis
     */
    private static function missingSalt(Work $work): Grams
    {
        $contents = $work->salted()->contents();

        return Grams::of(max(0.0, $contents->saltFor((float) $work->sheet->wish->share, $work->sheet->wish->basis)->value - $contents->salt->value));
    }

    /** The starter; brine that is used again fills what the vegetable leaves free when its amount is open. */
    private static function starter(Sheet $sheet, Grams $vegetable): ?Starter
    {
        $starter = $sheet->method->profile()->preparation->takesStarter ? $sheet->starter : null;
        if ($starter === null || ! $starter->grams->isZero()) {
            return $starter;
        }
        $row = $sheet->row() ?? throw IncompleteSheet::noWater();
        $room = array_sum(array_map(
            static fn (JarFit $fit): float => $fit->brineToFill()->value,
            $row->fits(self::together($sheet, $vegetable), $sheet->vegetable->density, $sheet->vegetable->shape->packing()),
        ));

        return new Starter($starter->liquid, Grams::of(round($room * $starter->liquid->density)), $starter->into, $starter->fromBatch);
    }

    /** @throws IncompleteSheet */
    private static function refuseWrongBasis(Sheet $sheet): void
    {
        $hasWater = $sheet->method->hasPouredBrine() || $sheet->method === Method::ReusedBrine;
        if (! $hasWater && $sheet->wish->share !== null && in_array($sheet->wish->basis, [Basis::OfWater, Basis::BrineStrength], true)) {
            throw IncompleteSheet::wrongBasis($sheet->method);
        }
    }

    /** Main food and what goes with it, as a weight of the main food that takes up as much room. */
    private static function together(Sheet $sheet, Grams $vegetable): Grams
    {
        return $vegetable->plus(Grams::of(self::alongsideRoom($sheet) * $sheet->vegetable->density));
    }

    /** The weight of the main food that fills the jars beside what goes with it; in a sauce the starter takes room as well. */
    private static function besideTheRest(Sheet $sheet, Jars $row): Grams
    {
        $density = $sheet->vegetable->density;
        $starter = $sheet->starter === null || $sheet->method->servedPhase() !== Phase::Sauce ? 0.0 : $sheet->starter->grams->value / $sheet->starter->liquid->density;
        $fits = $row->foodThatFits($density, $sheet->vegetable->shape->packing())->value - (self::alongsideRoom($sheet) + $starter) * $density;

        return Grams::of(max(0.0, floor($fits)));
    }

    /** ml that the further foods take up. */
    private static function alongsideRoom(Sheet $sheet): float
    {
        return array_sum(array_map(static fn (Amount $amount): float => $amount->grams->typical / $amount->ingredient->density, $sheet->alongside));
    }
}
