<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Process\DrySalting;
use Tempesal\Core\Process\Mash;
use Tempesal\Core\Process\PouredBrine;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\NoBasis;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SodiumChloride;

/**
 * The bench's answer: from what the cook has fixed to amounts, jar, ledger and sodium.
 */
final readonly class Making
{
    private const BISECTIONS = 60;

    /**
     * @param  Grams  $water  to measure out, spare brine included
     * @param  Grams  $pouredWater  that goes into the jar
     * @param  Millilitres  $brine  mixed, spare brine included
     * @param  Millilitres  $spareBrine  mixed but not needed for the jar
     * @param  JarContents  $contents  what is in the jar, starter counted
     * @param  Ledger  $ledger  as it will be written, the ferment going on from there
     * @param  BatchState  $state  once salt has evened out
     */
    private function __construct(
        public Sheet $sheet,
        public Grams $vegetable,
        public SaltDose $dose,
        public Grams $water,
        public Grams $pouredWater,
        public Millilitres $brine,
        public Millilitres $spareBrine,
        public JarContents $contents,
        public ?JarFit $fit,
        public Ledger $ledger,
        public BatchState $state,
    ) {
    }

    /**
     * @throws IncompleteSheet when a field that is needed was left open
     */
    public static function from(Sheet $sheet): self
    {
        if (! $sheet->method->hasPouredBrine() && in_array($sheet->basis, [Basis::OfWater, Basis::BrineStrength], true)) {
            throw IncompleteSheet::wrongBasis($sheet->method);
        }
        $vegetable = self::vegetableWeight($sheet);
        $fit = $sheet->jar === null ? null
            : JarFit::of($sheet->jar, $sheet->packing, $vegetable, $sheet->vegetable->density, $sheet->shape->packing());

        $spare = $sheet->water === null && $sheet->method->hasPouredBrine() ? $sheet->packing->spareBrine : 0.0;
        try {
            $pouredWater = self::pouredWater($sheet, $vegetable, $fit, $spare);
            $dose = $sheet->dose ?? self::doseFor($sheet, $vegetable, $pouredWater, $spare);
        } catch (NoBasis $refusal) {
            throw IncompleteSheet::impossibleStrength($refusal->getMessage());
        }

        $water = $pouredWater->times(1.0 + $spare);
        $salt = $dose->grams();
        $brine = BrineTable::volume($salt, $water);
        $ledger = self::ledger($sheet, $vegetable, $dose, $water, $spare);

        return new self(
            $sheet, $vegetable, $dose, $water, $pouredWater, $brine,
            $brine->times($spare / (1.0 + $spare)),
            self::contents($sheet, $vegetable, $pouredWater, $salt->times(1.0 / (1.0 + $spare))),
            $fit, $ledger, $ledger->settled()->state(),
        );
    }

    /** The dose in measuring spoons, whether it was spooned or weighed. */
    public function spoons(): SpoonPhrase
    {
        $millilitres = $this->dose->spooned
            ?? Millilitres::of($this->dose->grams()->value / Point::typical()->of($this->dose->product->density()));

        return SpoonPhrase::nearest($millilitres, $this->sheet->spoons);
    }

    /** Milligrams of sodium in one serving, with its band. */
    public function serving(): Estimate
    {
        return $this->ledger->settled()->serving(Serve::of($this->sheet->method->servedPhase(), $this->servingWeight()));
    }

    /** The serving asked for, or all there is when the batch is smaller. */
    public function servingWeight(): Grams
    {
        return Grams::of(min($this->sheet->serving->value, $this->state->phase($this->sheet->method->servedPhase())->weightG()));
    }

    public function servings(): int
    {
        return $this->ledger->settled()->servingsLeft($this->sheet->method->servedPhase(), $this->sheet->serving);
    }

    /** Liquid that stands in the jar once the pieces have given their juice. */
    public function liquid(): Millilitres
    {
        $brine = $this->state->phase(Phase::Brine);

        return Millilitres::of($brine->weightG() / BrineTable::density($brine->brineStrength()));
    }

    /** The jar as it stands after the pieces have given their juice; null without a jar. */
    public function settledFit(): ?JarFit
    {
        if ($this->sheet->jar === null) {
            return null;
        }
        $food = $this->state->phase($this->sheet->method->servedPhase())->saltFreeG();

        return JarFit::of($this->sheet->jar, $this->sheet->packing, Grams::of($food), $this->sheet->vegetable->density, $this->sheet->shape->packing());
    }

    /** Liquid, in ml, that is missing to cover the pieces; 0 when they are covered. */
    public function liquidShort(): float
    {
        $fit = $this->settledFit();

        return $fit === null || $this->sheet->method === Method::Mash ? 0.0 : max(0.0, $fit->liquidToCover()->value - $this->liquid()->value);
    }

    private static function vegetableWeight(Sheet $sheet): Grams
    {
        if ($sheet->vegetableWeight !== null) {
            return $sheet->vegetableWeight;
        }
        if ($sheet->jar === null) {
            throw IncompleteSheet::noVegetable();
        }

        return Grams::of(floor(JarFit::foodThatFits($sheet->jar, $sheet->packing, $sheet->vegetable->density, $sheet->shape->packing())->value));
    }

    /**
     * Water that goes into the jar: what was fixed, or what makes the brine fill it.
     *
     * @throws NoBasis
     */
    private static function pouredWater(Sheet $sheet, Grams $vegetable, ?JarFit $fit, float $spare): Grams
    {
        if (! $sheet->method->hasPouredBrine()) {
            return Grams::zero();
        }
        if ($sheet->water !== null) {
            return $sheet->water;
        }
        if ($fit === null) {
            throw IncompleteSheet::noWater();
        }

        $room = max(0.0, $fit->brineToFill()->value - ($sheet->starter->grams->value ?? 0.0));
        if ($room < 1.0) {
            throw IncompleteSheet::jarTooSmall(floor(JarFit::foodThatFits($fit->jar, $fit->packing, $sheet->vegetable->density, $sheet->shape->packing())->value));
        }
        [$low, $high] = [0.0, $room * 1.2];
        for ($i = 0; $i < self::BISECTIONS; $i++) {
            $water = Grams::of(($low + $high) / 2.0);
            $salt = $sheet->dose?->grams()->times(1.0 / (1.0 + $spare)) ?? self::saltInJar($sheet, $vegetable, $water);
            if (BrineTable::volume($salt, $water)->value < $room) {
                $low = $water->value;
            } else {
                $high = $water->value;
            }
        }

        return Grams::of(round(($low + $high) / 2.0, 1));
    }

    /** @throws NoBasis */
    private static function doseFor(Sheet $sheet, Grams $vegetable, Grams $pouredWater, float $spare): SaltDose
    {
        $wanted = self::saltInJar($sheet, $vegetable, $pouredWater)->times(1.0 + $spare);
        if ($sheet->saltUnit === SaltUnit::Grams) {
            return SaltDose::weighed($sheet->salt, Grams::of(round($wanted->value, 1)));
        }
        $volume = Millilitres::of($wanted->value / Point::typical()->of($sheet->salt->density()));

        return SaltDose::spooned($sheet->salt, SpoonPhrase::nearest($volume, $sheet->spoons)->volume);
    }

    /**
     * Salt that the jar itself needs for the wanted strength, less what the starter brings.
     *
     * @throws NoBasis
     */
    private static function saltInJar(Sheet $sheet, Grams $vegetable, Grams $pouredWater): Grams
    {
        $contents = self::contents($sheet, $vegetable, $pouredWater, Grams::zero());

        return Grams::of(max(0.0, $contents->saltFor($sheet->share, $sheet->basis)->value - $contents->salt->value));
    }

    /** What is in the jar, the starter's salt and water counted. */
    private static function contents(Sheet $sheet, Grams $vegetable, Grams $pouredWater, Grams $salt): JarContents
    {
        if ($sheet->starter === null) {
            return new JarContents($salt, $vegetable, $pouredWater, Grams::zero());
        }
        $starter = $sheet->starter->liquid->masses($sheet->starter->grams->value, Point::typical());

        return new JarContents(
            $salt->plus(Grams::of(SodiumChloride::gramsFor($starter->sodiumMg))),
            $vegetable,
            $pouredWater->plus(Grams::of($sheet->method->hasPouredBrine() ? $starter->waterG : 0.0)),
            Grams::of($starter->otherG + ($sheet->method->hasPouredBrine() ? 0.0 : $starter->waterG)),
        );
    }

    private static function ledger(Sheet $sheet, Grams $vegetable, SaltDose $dose, Grams $water, float $spare): Ledger
    {
        $vegetables = [new Amount($sheet->vegetable->cut($sheet->shape), Band::exact($vegetable->value))];
        $draw = $sheet->method->draw(PouredBrine::strength($dose, $water));
        $ferment = Soak::fromNowOn();
        $process = match ($sheet->method) {
            Method::Mash => new Mash($vegetables, $dose, $sheet->starter, $ferment),
            Method::DrySalting => new DrySalting($vegetables, $dose, $draw, $sheet->starter, $ferment),
            default => new PouredBrine($vegetables, $water, $dose, $spare, $draw, $sheet->starter, $ferment),
        };

        return new Ledger($process->entries());
    }
}
