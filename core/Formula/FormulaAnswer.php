<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Jar\Jar;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Method\ShelfLife;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\BrineTable;

/**
 * What follows from a formula: the batch it makes, its servings and their sodium, and whether its salt is enough.
 */
final readonly class FormulaAnswer
{
    /** Times the floor above which a formula has salt to spare. */
    private const MORE = 1.02;

    /** Less salt than this, in grams, is none to save. */
    private const A_PINCH_G = 0.05;

    /** Halvings that find the floor: to a millionth of the salt. */
    private const BISECTIONS = 20;

    /** @param  list<FormulaLine>  $lines */
    private function __construct(
        public Formula $formula,
        public array $lines,
        public Ledger $ledger,
        public BatchState $state,
    ) {}

    /** @throws InvalidField when a step takes more than there is */
    public static function of(Formula $formula): self
    {
        $ledger = $formula->ledger();
        try {
            $state = $ledger->state();
            $served = $formula->served();
            if ($served->in($state)->weightG() <= 0.0) {
                throw new InvalidField('serving.phase', Message::of('errors.nothing_to_serve', phase: $served->value));
            }
        } catch (NotEnough $refusal) {
            throw new InvalidField('steps', $refusal->explanation());
        }

        return new self($formula, $formula->lines(), $ledger, $state);
    }

    /** The serving that was asked for, or all there is when the batch is smaller. */
    public function plate(?Grams $grams = null): Serve
    {
        return $this->formula->serving->weighing(
            Grams::of(min(($grams ?? $this->formula->serving->grams)->value, $this->makesG())),
        );
    }

    /** Milligrams of sodium in a serving, with the band. */
    public function serving(): Estimate
    {
        return $this->ledger->serving($this->plate());
    }

    /** Milligrams of sodium in a serving, typically. */
    public function typicalServingMg(): float
    {
        return $this->plate()->sodiumMg($this->state, Point::typical());
    }

    public function servings(): int
    {
        return $this->ledger->servingsLeft($this->formula->served(), $this->formula->serving->grams);
    }

    /** Grams of what is eaten of it. */
    public function makesG(): float
    {
        return $this->formula->served()->in($this->state)->weightG();
    }

    /** What was salted together; null for a formula of which nothing is left. */
    public function salted(): ?SaltedContents
    {
        return SaltedContents::of($this->ledger, $this->formula->method);
    }

    /** The salt that was put in, on the basis on which the method says it; null for a formula without salt. */
    public function strength(): ?float
    {
        $salted = $this->salted();

        return $salted === null || $salted->solids === []
            ? null
            : $salted->contents->shareOrNull($salted->method->profile()->salting->basis);
    }

    /** The least salt that its method and foods ask for. */
    public function floor(): SaltFloor
    {
        return SaltFloor::of($this->salted());
    }

    /**
     * The same with no more salt than its floor asks for; null where it has no more than that.
     *
     * @throws InvalidField
     */
    public function atFloor(): ?self
    {
        if ($this->floor()->lines === [] || !$this->with(1.0 / self::MORE)->meetsFloor()) {
            return null;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < self::BISECTIONS; $i++) {
            $middle = ($low + $high) / 2.0;
            if ($this->with($middle)->meetsFloor()) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        $lighter = $this->with($high);

        return $this->saltG() - $lighter->saltG() > self::A_PINCH_G ? $lighter : null;
    }

    /** Grams of salt that are put in as such. */
    private function saltG(): float
    {
        return array_sum(
            array_map(static fn(FormulaLine $line): float => $line->salt === null ? 0.0 : $line->grams, $this->lines),
        );
    }

    /** @throws InvalidField */
    private function with(float $salt): self
    {
        return self::of($this->formula->salted($salt));
    }

    private function meetsFloor(): bool
    {
        return $this->floor()->isMet($this->salted());
    }

    public function hazards(): Hazards
    {
        return Hazards::of($this->ledger, $this->formula->method);
    }

    /** How long it keeps: by its method and foods, and by what the formula says, the stricter. */
    public function shelfLife(): ShelfLife
    {
        return ShelfLife::of($this->formula->method, $this->hazards(), $this->formula->keeping()?->days);
    }

    /** @return list<Allergen> */
    public function allergens(): array
    {
        return $this->state->allergens();
    }

    /** @return list<Advice> */
    public function advice(): array
    {
        return BatchAdvice::on($this->ledger, $this->formula->method);
    }

    /**
     * By what everything must be multiplied to fill a jar under its headspace.
     */
    public function factorForJar(Jar $jar): float
    {
        $begun = (new Ledger($this->formula->entries()))->state();
        $food = $this->leadingFood();
        $pieces = $begun->phase(Phase::Pieces)->saltFreeG() / ($food->density ?? 1.0);
        $brine = $begun->phase(Phase::Brine);
        $liquid = $brine->weightG() / BrineTable::density($brine->brineStrength());
        $sauce = $begun->phase(Phase::Sauce)->weightG();
        $packed = $food?->shape->packing() ?? 1.0;
        $needs = max($pieces + $liquid + $sauce, $pieces / $packed);
        $usable = JarFit::of(
            $jar,
            new Packing($this->formula->vessel->headspace, Millilitres::zero()),
            Grams::zero(),
            1.0,
            1.0,
        )->usable->value;

        return $needs > 0.0 ? $usable / $needs : 1.0;
    }

    /** By what everything must be multiplied for a weight of vegetable, or of what it is based on. */
    public function factorForVegetable(Grams $wanted): float
    {
        $there = array_sum(
            array_map(
                static fn(FormulaLine $line): float => in_array($line->part, ['vegetables', 'base', 'add'], true)
                    ? $line->grams
                    : 0.0,
                $this->lines,
            ),
        );

        return $there > 0.0 ? $wanted->value / $there : 1.0;
    }

    /** By what everything must be multiplied for a number of servings. */
    public function factorForServings(float $servings): float
    {
        return $this->makesG() > 0.0 ? ($servings * $this->formula->serving->grams->value) / $this->makesG() : 1.0;
    }

    /** The serving, in grams, that holds so much sodium. */
    public function servingFor(float $sodiumMg): Grams
    {
        $perGram =
            $this->formula->serving->weighing(Grams::of(100.0))->sodiumMg($this->state, Point::typical()) / 100.0;

        return Grams::of(min($this->makesG(), $perGram > 0.0 ? $sodiumMg / $perGram : $this->makesG()));
    }

    private function leadingFood(): ?\Tempesal\Core\Produce\Ingredient
    {
        $lead = null;
        foreach ($this->lines as $line) {
            if (in_array($line->part, ['vegetables', 'add'], true) && ($lead === null || $line->grams > $lead->grams)) {
                $lead = $line;
            }
        }

        return $lead?->food;
    }
}
