<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use LogicException;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\EntrySchedule;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Window;
use Tempesal\Core\Process\CulturedCondiment;
use Tempesal\Core\Process\DrySalting;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Process\Mash;
use Tempesal\Core\Process\PouredBrine;
use Tempesal\Core\Process\Process;
use Tempesal\Core\Process\QuickSaltPickle;
use Tempesal\Core\Process\ReusedBrine;
use Tempesal\Core\Process\SaltedAndDressed;
use Tempesal\Core\Process\Transform;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * A sheet with every amount known: what goes in, and how it is carried out.
 */
final readonly class SolvedBatch
{
    /**
     * @param  Grams  $vegetable  of the main food alone
     * @param  Grams  $water  to measure out, spare brine included
     * @param  float  $spare  brine mixed beyond what the jars take, as a share of that
     * @param  list<SaltDose>  $doses  one after another
     */
    public function __construct(
        public BenchInput $input,
        public Grams $vegetable,
        public ?Starter $starter,
        public Grams $water,
        public float $spare = 0.0,
        public array $doses = [],
    ) {}

    public function salted(SaltDose ...$doses): self
    {
        return new self(
            $this->input,
            $this->vegetable,
            $this->starter,
            $this->water,
            $this->spare,
            array_values($doses),
        );
    }

    public function watered(Grams $water, float $spare = 0.0): self
    {
        return new self($this->input, $this->vegetable, $this->starter, $water, $spare, $this->doses);
    }

    /** The water that stays with the food. */
    public function pouredWater(): Grams
    {
        return $this->water->times(1.0 / (1.0 + $this->spare));
    }

    /** All of the salt, the spare brine's included. */
    public function salt(): Grams
    {
        return Grams::of(array_sum(array_map(static fn(SaltDose $dose): float => $dose->grams()->value, $this->doses)));
    }

    /**
     * What is salted together, the starter's salt and water counted; for a sauce everything in it.
     *
     * @throws NotEnough when a sauce keeps more brine than there is
     */
    public function contents(): JarContents
    {
        $salt = $this->salt()->times(1.0 / (1.0 + $this->spare));
        if ($this->input->source !== null) {
            $there = $this->salted()->ledger()->state()->present();

            return new JarContents(
                $salt->plus(Grams::of(SodiumChloride::gramsFor($there->sodiumMg))),
                Grams::zero(),
                Grams::zero(),
                Grams::of($there->saltFreeG()),
            );
        }
        $vegetable = $this->vegetable->plus(Grams::of(IngredientAmount::sum($this->input->alongside)));
        if ($this->starter === null) {
            return new JarContents($salt, $vegetable, $this->pouredWater(), Grams::zero());
        }
        $starter = $this->starter->liquid->masses($this->starter->grams->value, Point::typical());
        $isBrine = $this->input->method->hasPouredBrine() || $this->input->method === Method::ReusedBrine;

        return new JarContents(
            $salt->plus(Grams::of(SodiumChloride::gramsFor($starter->sodiumMg))),
            $vegetable,
            $this->pouredWater()->plus(Grams::of($isBrine ? $starter->waterG : 0.0)),
            Grams::of($starter->otherG + ($isBrine ? 0.0 : $starter->waterG)),
        );
    }

    /** The entries laid out in time. */
    public function timetable(): EntrySchedule
    {
        return EntrySchedule::of($this->entries());
    }

    /** The same cut into the steps in which a cook does it. */
    public function steps(): StepPlan
    {
        return StepPlan::of($this->input->method, $this->entries(), $this->standsFor());
    }

    /** How long it stands before it goes cold, where hours count. */
    private function standsFor(): ?Seconds
    {
        return $this->input->method === Method::CulturedCondiment && $this->hasEgg()
            ? Seconds::ofHours(Window::EMULSION_HOURS)
            : null;
    }

    private function hasEgg(): bool
    {
        foreach ([$this->input->vegetable, ...array_column($this->input->alongside, 'ingredient')] as $food) {
            if (in_array(Allergen::Egg, $food->allergens, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return non-empty-list<Entry> */
    private function entries(): array
    {
        $entries = $this->process()->entries();
        if (count($this->doses) === 1) {
            return $entries;
        }

        // Salt that was added by and by comes after the food it was tasted on.
        $salts = array_map(fn(SaltDose $dose): Salt => new Salt($dose, $this->saltedPhase()), $this->doses);
        $others = array_values(array_filter($entries, static fn(Entry $entry): bool => !($entry instanceof Salt)));
        $first = 0;
        foreach ($others as $i => $entry) {
            if ($entry instanceof Entry\Draw || $entry instanceof Soak) {
                $first = $i;
                break;
            }
            $first = $i + 1;
        }
        array_splice($others, $first, 0, $salts);

        return $others === [] ? $entries : $others;
    }

    public function ledger(): Ledger
    {
        if ($this->input->source !== null) {
            return $this->input->source->ledger->then(
                ...array_map(static fn($line): Entry => $line->entry, $this->timetable()->lines),
            );
        }

        return new Ledger($this->timetable()->lines);
    }

    private function saltedPhase(): Phase
    {
        return $this->input->method->served() === Served::Sauce ? Phase::Sauce : Phase::Brine;
    }

    private function process(): Process
    {
        $input = $this->input;
        $vegetables = [
            new IngredientAmount(
                $input->vegetable,
                $input->vegetableWeight === $this->vegetable && $input->vegetableBand !== null
                    ? $input->vegetableBand
                    : Band::exact($this->vegetable->value),
            ),
            ...$input->alongside,
        ];
        $dose = $this->doses[0] ?? SaltDose::weighed($input->salt->product, Grams::zero());
        $someSalt = $dose->grams()->isZero() ? null : $dose;
        $draw = $input->method
            ->profile()
            ->preparation->draw(
                PouredBrine::strength(SaltDose::weighed($input->salt->product, $this->salt()), $this->water),
            );
        $room = TemperatureHistory::constant($input->room);
        $ferment = Soak::fromNowOn($room);
        $salting = $input->pretreatment->salting ?? $input->method->profile()->preparation->salting;
        $soak = $salting === null ? $ferment : Soak::lasting($salting, $room);

        return match ($input->method) {
            Method::Mash => new Mash($vegetables, $dose, $this->starter, $ferment),
            Method::DrySalting => new DrySalting($vegetables, $dose, $draw, $this->starter, $ferment),
            Method::PouredBrine, Method::EquilibriumBrine => new PouredBrine(
                $vegetables,
                $this->water,
                $dose,
                $this->spare,
                $draw,
                $this->starter,
                $ferment,
            ),
            Method::KimchiDrySalted, Method::KimchiSoaked, Method::SaltAndDrain => new SaltedAndDressed(
                $vegetables,
                $input->method === Method::KimchiSoaked ? $this->water : null,
                $dose,
                [],
                $draw,
                $input->method === Method::KimchiSoaked ? $soak : $soak->called('rest'),
                $input->pretreatment->rinse === null || $input->pretreatment->rinse->isZero()
                    ? null
                    : Rinsing::underTheTap($input->pretreatment->rinse),
                $input->pretreatment->isSqueezed ? Squeeze::firm() : null,
                $input->paste,
                $ferment,
            ),
            Method::QuickSaltPickle => new QuickSaltPickle($vegetables, $this->water, $dose, $draw, $soak, null, null),
            Method::CulturedCondiment, Method::MilkAndSweet => new CulturedCondiment(
                $vegetables,
                $someSalt,
                $this->starter,
                $ferment,
            ),
            Method::ReusedBrine => new ReusedBrine(
                $this->starter ?? throw IncompleteBench::noBrine(),
                $vegetables,
                $someSalt === null ? null : new Salt($someSalt, Phase::Brine),
                $draw,
                $ferment,
            ),
            Method::Bought, Method::SpareBrine => throw new LogicException('It is not made on the bench.'),
            Method::Transform => $this->blended(
                $input->source ?? throw new LogicException('A sauce is blended from a batch.'),
                $someSalt,
            ),
        };
    }

    private function blended(BlendSource $source, ?SaltDose $salt): Transform
    {
        return new Transform(
            $source->keptBrine === null ? null : new Drain(ClingingBrine::drained(), $source->keptBrine),
            $this->input->alongside,
            $salt,
            $source->isHeated,
            null,
        );
    }
}
