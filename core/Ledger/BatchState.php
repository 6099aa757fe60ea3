<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * What a batch holds at one moment, and what has crossed the wall of its jar until then.
 *
 * For water, sodium and other matter alike:
 * outside + received + correction = pieces + brine + sauce + eaten + discarded + given away + evaporated.
 */
final readonly class BatchState
{
    /** What sums may be off by, as a share: everything closer than that is the same weight. */
    public const ROUNDING = 1e-9;

    private const TRACE = 1e-6;

    /**
     * @param  array<string, Composition>  $phases  by the value of Phase
     * @param  array<string, Composition>  $accounts  by the value of Account
     * @param  bool  $live  whether it holds living cultures
     * @param  array<string, true>  $allergens  by the value of Allergen
     * @param  float  $clock  seconds since the batch was begun
     * @param  float  $bathedFor  seconds at 20 °C since pieces and brine were last mixed anew; INF: at rest
     * @param  SoakInProgress|null  $bath  a rest that goes on
     * @param  Piece|null  $piece  of the heaviest food among the pieces
     * @param  float  $pieceGrams  of that food
     * @param  float  $ripened  seconds at the reference temperature in which it has ripened
     */
    private function __construct(
        private array $phases = [],
        private array $accounts = [],
        public bool $live = true,
        private array $allergens = [],
        public float $clock = 0.0,
        public float $bathedFor = 0.0,
        public ?SoakInProgress $bath = null,
        public ?Piece $piece = null,
        private float $pieceGrams = 0.0,
        public float $ripened = 0.0,
    ) {}

    public static function empty(): self
    {
        return new self();
    }

    public function phase(Phase $phase): Composition
    {
        return $this->phases[$phase->value] ?? Composition::none();
    }

    public function account(Account $account): Composition
    {
        return $this->accounts[$account->value] ?? Composition::none();
    }

    /** Everything that is in the jar. */
    public function present(): Composition
    {
        return $this->phase(Phase::Pieces)->plus($this->phase(Phase::Brine))->plus($this->phase(Phase::Sauce));
    }

    /** Whether the batch is one phase: a mash, sauce or paste. */
    public function isOnePhase(): bool
    {
        return !$this->phase(Phase::Sauce)->isNothing();
    }

    /** The phase that liquids join: the sauce once there is one, otherwise the brine. */
    public function liquid(): Phase
    {
        return $this->isOnePhase() ? Phase::Sauce : Phase::Brine;
    }

    /** @return list<Allergen> */
    public function allergens(): array
    {
        return array_map(Allergen::from(...), array_keys($this->allergens));
    }

    /** Mass that comes in. What stands in the brine begins to even out anew. */
    public function receive(Composition $masses, Phase $into, Account $from = Account::Outside): self
    {
        return $this->shifted([$into->value => $masses], [$from->value => $masses], 0.0);
    }

    /** A weight of a food that comes in, with its allergens; among the pieces the heaviest says how salt moves. */
    public function receiveFood(
        Ingredient $food,
        float $grams,
        Phase $into,
        Point $point,
        Account $from = Account::Outside,
    ): self {
        $next = $this->receive($food->masses($grams, $point), $into, $from);
        $allergens = $next->allergens;
        foreach ($food->allergens as $allergen) {
            $allergens[$allergen->value] = true;
        }
        $leads = $into === Phase::Pieces && $grams > $next->pieceGrams;

        return new self(
            $next->phases,
            $next->accounts,
            $next->live,
            $allergens,
            $next->clock,
            $next->bathedFor,
            $next->bath,
            $leads ? $food->piece() : $next->piece,
            $leads ? $grams : $next->pieceGrams,
            $next->ripened,
        );
    }

    /** Mass that a reading says is there beyond the prediction, or short of it when negative. */
    public function correct(Composition $masses, Phase $in): self
    {
        return $this->shifted([$in->value => $masses], [Account::Correction->value => $masses]);
    }

    /** Mass that leaves for good. The caller has taken it from what is there. */
    public function release(Composition $masses, Phase $from, Account $to): self
    {
        return $this->shifted([$from->value => $masses->times(-1.0)], [$to->value => $masses]);
    }

    /** All of a phase leaves for good. */
    public function releaseAll(Phase $from, Account $to): self
    {
        $masses = $this->phase($from);

        return $this->emptied($from)->shifted([], [$to->value => $masses]);
    }

    /** Mass that moves inside the jar. */
    public function move(Composition $masses, Phase $from, Phase $to): self
    {
        return $this->shifted([$from->value => $masses->times(-1.0), $to->value => $masses]);
    }

    /** All of a phase becomes part of another. */
    public function moveAll(Phase $from, Phase $to): self
    {
        $masses = $this->phase($from);

        return $this->emptied($from)->shifted([$to->value => $masses]);
    }

    /**
     * A weight of one phase at its present composition. Away from the typical point a band may leave less than was
     * taken; then it is all but a trace, which keeps the composition known.
     *
     * @throws NotEnough when the phase holds less
     */
    public function portion(Phase $phase, float $grams, Point $point): Composition
    {
        $there = $this->phase($phase);
        $weight = $there->weightG();
        if ($point->isTypical() && $grams > $weight + self::ROUNDING * (1.0 + abs($weight))) {
            throw NotEnough::of($phase, $grams, $weight);
        }

        return $weight > 0.0
            ? $there->times(min($point->isTypical() ? 1.0 : 1.0 - self::TRACE, $grams / $weight))
            : Composition::none();
    }

    /** Sodium moves inwards, in mg; outwards when negative. It does not disturb the bath. */
    public function takeUp(float $sodiumMg, float $bathedFor): self
    {
        $moved = new Composition(sodiumMg: $sodiumMg);

        return $this->shifted(
            [Phase::Brine->value => $moved->times(-1.0), Phase::Pieces->value => $moved],
            [],
            $bathedFor,
        );
    }

    /** Pieces and brine were mixed anew: what happens between them starts from evenly spread sodium. */
    public function stirred(): self
    {
        return $this->bathedFor === 0.0 ? $this : $this->timed($this->clock, 0.0, $this->bath);
    }

    /** A rest begins now and goes on. */
    public function bathing(TemperatureHistory $temperature, ?Piece $piece): self
    {
        return $this->timed($this->clock, $this->bathedFor, new SoakInProgress($this->clock, $temperature, $piece));
    }

    /**
     * The clock moves on by some seconds in which nothing else happens.
     *
     * @param  float  $ripening  seconds at the reference temperature in which it would ripen as far
     */
    public function later(float $seconds, float $ripening = 0.0): self
    {
        return new self(
            $this->phases,
            $this->accounts,
            $this->live,
            $this->allergens,
            $this->clock + $seconds,
            $this->bathedFor,
            $this->bath,
            $this->piece,
            $this->pieceGrams,
            $this->ripened + $ripening,
        );
    }

    public function heated(): self
    {
        return $this->alive(false);
    }

    /** Living cultures came in. */
    public function inoculated(): self
    {
        return $this->alive(true);
    }

    /**
     * Where the sodium is that came in: what is in the jar by phase, what has left it by account, in mg.
     *
     * @return array<string, float> by the value of Phase or Account
     */
    public function whereabouts(): array
    {
        $places = [];
        foreach (Phase::cases() as $phase) {
            $places[$phase->value] = $this->phase($phase)->sodiumMg;
        }
        foreach (Account::cases() as $account) {
            if (!$account->isSource()) {
                $places[$account->value] = $this->account($account)->sodiumMg;
            }
        }

        return $places;
    }

    /** The sodium that is not accounted for, in mg: 0 but for rounding. */
    public function sodiumAstray(): float
    {
        $astray = -$this->present()->sodiumMg;
        foreach (Account::cases() as $account) {
            $astray += ($account->isSource() ? 1.0 : -1.0) * $this->account($account)->sodiumMg;
        }

        return $astray;
    }

    /**
     * @param  array<string, Composition>  $intoPhases  what is added to each, by the value of Phase
     * @param  array<string, Composition>  $onAccounts  what is booked on each, by the value of Account
     */
    private function shifted(array $intoPhases, array $onAccounts = [], ?float $bathedFor = null): self
    {
        $phases = $this->phases;
        foreach ($intoPhases as $phase => $masses) {
            $phases[$phase] = isset($phases[$phase]) ? $phases[$phase]->plus($masses) : $masses;
        }
        $accounts = $this->accounts;
        foreach ($onAccounts as $account => $masses) {
            $accounts[$account] = isset($accounts[$account]) ? $accounts[$account]->plus($masses) : $masses;
        }

        return new self(
            $phases,
            $accounts,
            $this->live,
            $this->allergens,
            $this->clock,
            $bathedFor ?? $this->bathedFor,
            $this->bath,
            $this->piece,
            $this->pieceGrams,
            $this->ripened,
        );
    }

    private function emptied(Phase $phase): self
    {
        $phases = $this->phases;
        unset($phases[$phase->value]);

        return new self(
            $phases,
            $this->accounts,
            $this->live,
            $this->allergens,
            $this->clock,
            $this->bathedFor,
            $this->bath,
            $this->piece,
            $this->pieceGrams,
            $this->ripened,
        );
    }

    private function timed(float $clock, float $bathedFor, ?SoakInProgress $bath): self
    {
        return new self(
            $this->phases,
            $this->accounts,
            $this->live,
            $this->allergens,
            $clock,
            $bathedFor,
            $bath,
            $this->piece,
            $this->pieceGrams,
            $this->ripened,
        );
    }

    private function alive(bool $live): self
    {
        return new self(
            $this->phases,
            $this->accounts,
            $live,
            $this->allergens,
            $this->clock,
            $this->bathedFor,
            $this->bath,
            $this->piece,
            $this->pieceGrams,
            $this->ripened,
        );
    }
}
