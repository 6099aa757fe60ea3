<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\JarSet;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\EntrySchedule;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Preparation;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\EmptyBasis;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltDose;

/**
 * The bench's answer: from what the cook has fixed to amounts, jars, ledger and sodium.
 */
final readonly class BenchSolution
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

    /** Brine for a jar that is full of food: it still gets some. */
    private const LEAST_BRINE_ML = 1.0;

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
        public BenchInput $input,
        public SolvedBatch $work,
        public Grams $salt,
        public JarContents $contents,
        public Ledger $ledger,
        public Ledger $finished,
        public BatchState $state,
        public ?float $unreachedMg = null,
    ) {}

    /** @throws IncompleteBench when a field that is needed was left open, or leaves nothing to follow */
    public static function from(BenchInput $input): self
    {
        try {
            if ($input->salt->target->sodiumMg !== null) {
                return self::forSodium($input, $input->salt->target->sodiumMg);
            }
            self::refuseWrongBasis($input);

            return self::of(self::work($input));
        } catch (EmptyBasis $refusal) {
            throw IncompleteBench::impossibleStrength($refusal->explanation());
        } catch (NotEnough $refusal) {
            throw IncompleteBench::notEnough($refusal->explanation());
        }
    }

    public function vegetable(): Grams
    {
        return $this->work->vegetable;
    }

    /** Brine mixed, the spare included. */
    public function brine(): Millilitres
    {
        return $this->input->method->hasPouredBrine()
            ? BrineTable::volume($this->salt, $this->work->water)
            : Millilitres::zero();
    }

    /** Brine mixed but not needed for the jars. */
    public function spareBrine(): Millilitres
    {
        return $this->brine()->times($this->work->spare / (1.0 + $this->work->spare));
    }

    /**
     * What goes into a bag that holds the food down, as strong as the brine of the jar: a leak then changes nothing.
     *
     * @return array{salt: Grams, water: Grams}
     */
    public function brineFor(Millilitres $bag): array
    {
        $strength = $this->strength(SaltBasis::BrineStrength) ?? 0.0;
        $brine = $bag->value * BrineTable::density($strength);

        return ['salt' => Grams::of($brine * $strength), 'water' => Grams::of($brine * (1.0 - $strength))];
    }

    /** Brine that goes into the jars. */
    public function poured(): Grams
    {
        return Grams::of(($this->salt->value + $this->work->water->value) / (1.0 + $this->work->spare));
    }

    /** Brine that is mixed and left over, at the strength of the rest. */
    public function leftOver(): Grams
    {
        return Grams::of(
            ($this->salt->value + $this->work->water->value) * ($this->work->spare / (1.0 + $this->work->spare)),
        );
    }

    public function isSpooned(): bool
    {
        return $this->work->doses !== [] && $this->work->doses[0]->isSpooned();
    }

    /** The salt in measuring spoons, whether it was spooned or weighed. */
    public function spoons(): SpoonPhrase
    {
        $spooned = array_sum(
            array_map(
                static fn(SaltDose $dose): float => $dose->spooned->value ??
                    $dose->grams()->value / Point::typical()->of($dose->product->density()),
                $this->work->doses,
            ),
        );

        return SpoonPhrase::nearest(Millilitres::of($spooned), $this->input->salt->spoons);
    }

    /**
     * The share on a basis: of what is salted together, and of all that ends up in the jar where that is something
     * else.
     */
    public function strength(SaltBasis $basis): ?float
    {
        return $this->isOfTheEnd($basis)
            ? Strength::of($this->state)->share($basis)
            : $this->contents->shareOrNull($basis);
    }

    /** Whether a strength of a dressed making is that of the finished jar, not of its salting. */
    public function isOfTheEnd(SaltBasis $basis): bool
    {
        return $this->input->method->isDressed() &&
            in_array($basis, [SaltBasis::OfEverything, SaltBasis::BrineStrength], true);
    }

    /**
     * The strength on the method's own basis after each of the doses.
     *
     * @return list<float|null>
     */
    public function running(SaltBasis $basis): array
    {
        $running = [];
        foreach (array_keys($this->work->doses) as $i) {
            $running[] = $this->work
                ->salted(...array_slice($this->work->doses, 0, $i + 1))
                ->contents()
                ->shareOrNull($basis);
        }

        return $running;
    }

    /** Milligrams of sodium in one serving, with its band. */
    public function serving(): Estimate
    {
        return $this->finished->serving(Serve::of($this->served(), $this->servingWeight()));
    }

    /** The serving asked for, or all there is when the batch is smaller. */
    public function servingWeight(): Grams
    {
        return Grams::of(min($this->input->serving->value, $this->served()->in($this->state)->weightG()));
    }

    public function servings(): int
    {
        return $this->finished->servingsLeft($this->served(), $this->input->serving);
    }

    public function served(): Served
    {
        return $this->input->method->served();
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
        $food = $this->food()->value / $this->density();

        return Millilitres::of(max($food / $this->input->packed(), $food + $this->liquid()->value));
    }

    /**
     * The jars as they stand after the pieces have given their juice; none without jars.
     *
     * @return list<JarFit>
     */
    public function settledFits(): array
    {
        return $this->input->row()?->fits($this->food(), $this->density(), $this->input->packed()) ?? [];
    }

    /** Whether the food, as it is packed, stays below the headspace of its jars. */
    public function holdsTheFood(): bool
    {
        foreach ($this->packedFits() as $fit) {
            if (!$fit->holdsTheFood()) {
                return false;
            }
        }

        return true;
    }

    /** The steps of one jar: its share of everything. */
    public function stepsOf(int $jar): StepPlan
    {
        return $this->work->steps()->scaled($this->input->row()?->shares()[$jar] ?? 1.0);
    }

    public function timetable(): EntrySchedule
    {
        return $this->work->timetable();
    }

    /** Liquid, in ml, that is missing to cover the pieces; 0 when they are covered, or are pressed down day by day. */
    public function liquidShort(): float
    {
        $fits = $this->settledFits();
        if ($fits === [] || $this->served() === Served::Sauce || $this->input->method->isDressed()) {
            return 0.0;
        }

        return max(
            0.0,
            array_sum(array_map(static fn(JarFit $fit): float => $fit->liquidToCover()->value, $fits)) -
                $this->liquid()->value,
        );
    }

    /** The weight of the main food that the jars take under their headspace. */
    public function vegetableThatFits(): Grams
    {
        $row = $this->input->row();

        return $row === null ? $this->vegetable() : self::besideTheRest($this->input, $row);
    }

    /** Share of the room that the food takes as it goes into its jars; null where it does not lie in them in pieces. */
    public function packedFraction(): ?float
    {
        $room = $this->input->row()?->usable()->value ?? 0.0;

        return $room <= 0.0 || $this->input->method->isDressed() || $this->served() === Served::Sauce
            ? null
            : self::together($this->input, $this->vegetable())->value / $this->input->vegetable->density / $room;
    }

    /** g/ml of what is eaten: a sauce adds up part by part, seeds and pastes by their own density. */
    private function density(): float
    {
        if ($this->served() !== Served::Sauce) {
            return $this->input->vegetable->density;
        }
        $starter = $this->work->starter;
        $parts = [
            [$this->vegetable()->value, $this->input->vegetable->density],
            [$this->work->water->value, 1.0],
            [$starter->grams->value ?? 0.0, $starter->liquid->density ?? 1.0],
            ...array_map(
                static fn(IngredientAmount $part): array => [$part->grams->typical, $part->ingredient->density],
                [...$this->input->alongside, ...$this->input->paste],
            ),
        ];
        $mass = array_sum(array_column($parts, 0));

        return $mass <= 0.0
            ? $this->input->vegetable->density
            : $mass / array_sum(array_map(static fn(array $part): float => $part[0] / $part[1], $parts));
    }

    /** What takes room in the jars beside the liquid. */
    private function food(): Grams
    {
        return Grams::of(max(0.0, $this->served()->in($this->state)->saltFreeG()));
    }

    /** @return list<JarFit> the jars as they are packed */
    private function packedFits(): array
    {
        if ($this->input->method->isDressed() || $this->served() === Served::Sauce) {
            return $this->settledFits();
        }
        $input = $this->input;

        return $input
            ->row()
            ?->fits(self::together($input, $this->vegetable()), $input->vegetable->density, $input->packed()) ?? [];
    }

    /** Whether it is first eaten once salt has evened out; a quick pickle is taken out before. */
    public function isAtEquilibrium(): bool
    {
        return !$this->state->isOnePhase() && $this->input->method !== Method::QuickSaltPickle;
    }

    /**
     * @throws EmptyBasis
     * @throws NotEnough
     */
    private static function of(SolvedBatch $work, ?float $unreachedMg = null): self
    {
        $ledger = $work->ledger();
        $soak =
            $work->input->method === Method::QuickSaltPickle
                ? $work->input->pretreatment->salting ?? Method::QuickSaltPickle->profile()->preparation->salting
                : null;
        $finished = $soak === null ? $ledger->settled() : self::onItsSecondDay($work);

        return new self(
            $work->input,
            $work,
            $work->salt(),
            $work->contents(),
            $ledger,
            $finished,
            $finished->state(),
            $unreachedMg,
        );
    }

    /** A quick pickle goes on taking up salt in the fridge, where it lies for a day before it is eaten. */
    private static function onItsSecondDay(SolvedBatch $work): Ledger
    {
        $plan = $work->steps();

        return (new Ledger($plan->lines()))->asOf($plan->secondsInAll() + Preparation::PICKLE_RESTS_S);
    }

    /** @throws EmptyBasis */
    private static function work(BenchInput $input): SolvedBatch
    {
        if ($input->source !== null) {
            return self::dosed(
                new SolvedBatch(
                    $input,
                    Grams::of($input->source->ledger->state()->present()->weightG()),
                    null,
                    Grams::zero(),
                ),
            );
        }
        if ($input->salt->target->fixesBoth()) {
            return self::following($input);
        }
        if ($input->vegetableWeight !== null) {
            return self::around($input, $input->vegetableWeight);
        }
        $row = $input->row() ?? throw IncompleteBench::noVegetable();
        $most = self::besideTheRest($input, $row);
        if (!$input->method->isDressed()) {
            return self::around($input, $most);
        }

        // Salted, rinsed and squeezed it takes less room, and the paste takes some: what fills the jars is found by
        // trying.
        [$low, $high] = [0.0, $most->value * 3.0];
        for ($i = 0; $i < self::LEDGER_BISECTIONS; $i++) {
            $middle = ($low + $high) / 2.0;
            if (self::of(self::around($input, Grams::of($middle)))->bulk()->value > $row->usable()->value) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return self::around($input, Grams::of(floor($low)));
    }

    /**
     * Everything around a weight of vegetable.
     *
     * @throws EmptyBasis
     */
    private static function around(BenchInput $input, Grams $vegetable): SolvedBatch
    {
        $work = new SolvedBatch($input, $vegetable, self::starter($input, $vegetable), Grams::zero());
        if (!$input->method->hasPouredBrine()) {
            return self::dosed($work);
        }
        if ($input->water !== null) {
            return self::pouring(self::dosed($work->watered($input->water)));
        }
        if ($input->brine !== null) {
            return self::pouring(self::dosed($work->watered(self::waterForVolume($work, $input->brine->value, 0.0))));
        }
        if ($input->method === Method::KimchiSoaked) {
            return self::dosed($work->watered(Grams::of(round($vegetable->value * self::SOAK_WATER))));
        }
        $row = $input->row() ?? throw IncompleteBench::noWater();
        $room = max(self::LEAST_BRINE_ML, self::roomForBrine($work, $row));
        $spare = $input->packing->spareBrine;
        $water = self::waterForVolume($work, $room, $spare);

        return self::dosed($work->watered($water->times(1.0 + $spare), $spare));
    }

    /**
     * What is made is not what is poured: of a brine that was mixed by the cook only what fills the jars stays with the
     * food, or what she says went in. The rest is left over, at the same strength.
     */
    private static function pouring(SolvedBatch $work): SolvedBatch
    {
        $input = $work->input;
        $made = $work->water->value + $work->salt()->value;
        if ($made <= 0.0 || $input->method === Method::KimchiSoaked) {
            return $work;
        }
        $poured = $input->poured?->value;
        $row = $input->row();
        if ($poured === null && $row !== null) {
            $volume = BrineTable::volume($work->salt(), $work->water)->value;
            $poured = ($made * max(0.0, self::roomForBrine($work, $row))) / $volume;
        }

        return $poured === null || $poured >= $made || $poured < self::LEAST_BRINE_ML
            ? $work
            : $work->watered($work->water, $made / $poured - 1.0);
    }

    /** ml that brine fills up to the headspace, beside the food and the starter. */
    private static function roomForBrine(SolvedBatch $work, JarSet $row): float
    {
        return array_sum(
            array_map(
                static fn(JarFit $fit): float => $fit->brineToFill()->value,
                $row->fits(
                    self::together($work->input, $work->vegetable),
                    $work->input->vegetable->density,
                    $work->input->packed(),
                ),
            ),
        ) -
            ($work->starter->grams->value ?? 0.0);
    }

    /**
     * The water of a brine that takes up a volume.
     *
     * @param  float  $spare  share of the salt's fixed amount that goes into spare brine
     *
     * @throws EmptyBasis
     */
    private static function waterForVolume(SolvedBatch $work, float $millilitres, float $spare): Grams
    {
        [$low, $high] = [0.0, $millilitres * 1.2];
        for ($i = 0; $i < self::BISECTIONS; $i++) {
            $water = Grams::of(($low + $high) / 2.0);
            $fixed = $work->input->salt->target->grams();
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
     * @throws EmptyBasis
     */
    private static function following(BenchInput $input): SolvedBatch
    {
        $basis = $input->salt->target->basis;
        $share = (float) $input->salt->target->share;
        $salt = (float) $input->salt->target->grams();
        if ($share <= 0.0) {
            throw EmptyBasis::nothingToBe($basis);
        }
        $whole = $salt / $share - ($basis === SaltBasis::BrineStrength ? $salt : 0.0);
        if ($input->method->hasPouredBrine() && $basis !== SaltBasis::OfVegetable) {
            if ($input->water !== null || $input->brine !== null) {
                throw IncompleteBench::nothingFollows('waterAmount');
            }
            $vegetable =
                $input->vegetableWeight ??
                self::besideTheRest($input, $input->row() ?? throw IncompleteBench::noVegetable());
            $there = (new SolvedBatch(
                $input,
                $vegetable,
                self::starter($input, $vegetable),
                Grams::zero(),
            ))->contents();
            $taken =
                $there->water->value +
                ($basis === SaltBasis::OfEverything ? $there->vegetable->value + $there->other->value : 0.0);

            return self::dosed(
                new SolvedBatch($input, $vegetable, self::starter($input, $vegetable), self::left($whole - $taken)),
            );
        }
        if (
            !in_array(
                $input->method,
                [
                    Method::DrySalting,
                    Method::Mash,
                    Method::KimchiDrySalted,
                    Method::SaltAndDrain,
                    Method::CulturedCondiment,
                    Method::MilkAndSweet,
                ],
                true,
            )
        ) {
            throw IncompleteBench::cannotFollow($input->method);
        }
        if ($input->vegetableWeight !== null) {
            throw IncompleteBench::nothingFollows('vegetableAmount');
        }
        $there = (new SolvedBatch($input, Grams::zero(), $input->starter, Grams::zero()))->contents();
        $taken = $there->vegetable->value + ($basis === SaltBasis::OfEverything ? $there->other->value : 0.0);

        return self::dosed(new SolvedBatch($input, self::left($whole - $taken), $input->starter, Grams::zero()));
    }

    private static function left(float $grams): Grams
    {
        return $grams < 0.05 ? throw IncompleteBench::saltTooLittle() : Grams::of(round($grams, 1));
    }

    /**
     * The salt that brings a serving to a sodium, but no less than the method's floor.
     *
     * @throws EmptyBasis
     * @throws NotEnough
     */
    private static function forSodium(BenchInput $input, float $milligrams): self
    {
        $with = static fn(float $grams): SolvedBatch => self::work(
            $input->withTarget(
                SaltTarget::amount(
                    $input->salt->target->basis,
                    SaltDose::weighed($input->salt->product, Grams::of($grams)),
                ),
            ),
        );
        $sodium = static function (float $grams) use ($with): float {
            $solution = self::of($with($grams));

            return Serve::of($solution->served(), $solution->servingWeight())->sodiumMg(
                $solution->state,
                Point::typical(),
            );
        };
        $bare = $with(0.0);
        $contents = $bare->contents();
        $most =
            self::MOST_SALT *
            (($contents->vegetable->value + $contents->water->value + $contents->other->value) * (1.0 + $bare->spare));
        $least = $input->source === null ? self::leastSalt($with, $most) : 0.0;
        if ($sodium($least) >= $milligrams) {
            return self::of(
                self::measured($input, $with($least), $least, true),
                $sodium($least) > $milligrams * 1.02 ? $milligrams : null,
            );
        }
        if ($sodium($most) < $milligrams) {
            throw IncompleteBench::tooMuchSodium(floor($sodium($most)));
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

        return self::of(self::measured($input, $with($low), ($low + $high) / 2.0));
    }

    /**
     * The least salt, in grams, with which no line of the floor is missed.
     *
     * @param  callable(float): SolvedBatch  $with  so many grams of salt
     *
     * @throws NotEnough
     */
    private static function leastSalt(callable $with, float $most): float
    {
        $isEnough = static function (float $grams) use ($with): bool {
            $work = $with($grams);
            $jar = SaltedContents::of($work->ledger(), $work->input->method);

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
     * @throws EmptyBasis
     */
    private static function dosed(SolvedBatch $work): SolvedBatch
    {
        $target = $work->input->salt->target;
        if ($target->doses !== null) {
            return $work->salted(...$target->doses);
        }

        return self::measured($work->input, $work, self::missingSalt($work)->value * (1.0 + $work->spare));
    }

    /**
     * The work with so much salt as the cook's scale or spoons can measure it.
     *
     * @param  bool  $isLeast  whether it must not be less
     */
    private static function measured(
        BenchInput $input,
        SolvedBatch $work,
        float $grams,
        bool $isLeast = false,
    ): SolvedBatch {
        if ($input->salt->unit === SaltUnit::Grams) {
            return $work->salted(
                SaltDose::weighed(
                    $input->salt->product,
                    Grams::of($isLeast ? ceil($grams * 10.0 - self::SCALE_ROUNDING) / 10.0 : round($grams, 1)),
                ),
            );
        }
        $volume = Millilitres::of($grams / Point::typical()->of($input->salt->product->density()));
        $spoons = $isLeast
            ? SpoonPhrase::atLeast($volume, $input->salt->spoons)
            : SpoonPhrase::nearest($volume, $input->salt->spoons);

        return $work->salted(SaltDose::spooned($input->salt->product, $spoons->volume));
    }

    /**
     * Salt that is missing to the wanted strength, less what the starter or the batch itself brings.
     *
     * @throws EmptyBasis
     */
    private static function missingSalt(SolvedBatch $work): Grams
    {
        $contents = $work->salted()->contents();

        return Grams::of(
            max(
                0.0,
                $contents->saltFor((float) $work->input->salt->target->share, $work->input->salt->target->basis)
                    ->value - $contents->salt->value,
            ),
        );
    }

    /** The starter; brine that is used again fills what the vegetable leaves free when its amount is open. */
    private static function starter(BenchInput $input, Grams $vegetable): ?Starter
    {
        $starter = $input->method->profile()->preparation->takesStarter ? $input->starter : null;
        if ($starter === null || !$starter->grams->isZero()) {
            return $starter;
        }
        $row = $input->row() ?? throw IncompleteBench::noWater();
        $room = array_sum(
            array_map(
                static fn(JarFit $fit): float => $fit->brineToFill()->value,
                $row->fits(self::together($input, $vegetable), $input->vegetable->density, $input->packed()),
            ),
        );

        return new Starter(
            $starter->liquid,
            Grams::of(round($room * $starter->liquid->density)),
            $starter->into,
            $starter->fromBatch,
        );
    }

    /** @throws IncompleteBench */
    private static function refuseWrongBasis(BenchInput $input): void
    {
        $hasWater = $input->method->hasPouredBrine() || $input->method === Method::ReusedBrine;
        if (
            !$hasWater &&
            $input->salt->target->share !== null &&
            in_array($input->salt->target->basis, [SaltBasis::OfWater, SaltBasis::BrineStrength], true)
        ) {
            throw IncompleteBench::wrongBasis($input->method);
        }
    }

    /** Main food and what goes with it, as a weight of the main food that takes up as much room. */
    private static function together(BenchInput $input, Grams $vegetable): Grams
    {
        return $vegetable->plus(Grams::of(self::alongsideRoom($input) * $input->vegetable->density));
    }

    /**
     * The weight of the main food that fills the jars beside what goes with it; in a sauce the starter takes room as
     * well.
     */
    private static function besideTheRest(BenchInput $input, JarSet $row): Grams
    {
        $density = $input->vegetable->density;
        $starter =
            $input->starter === null || $input->method->served() !== Served::Sauce
                ? 0.0
                : $input->starter->grams->value / $input->starter->liquid->density;
        $fits =
            $row->foodThatFits($density, $input->packed())->value - (self::alongsideRoom($input) + $starter) * $density;

        return Grams::of(max(0.0, floor($fits)));
    }

    /** ml that the further foods take up. */
    private static function alongsideRoom(BenchInput $input): float
    {
        return array_sum(
            array_map(
                static fn(IngredientAmount $amount): float => $amount->grams->typical / $amount->ingredient->density,
                $input->alongside,
            ),
        );
    }
}
