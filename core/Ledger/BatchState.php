<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;

/**
 * What a batch holds at one moment, and what has crossed the wall of its jar until then.
 *
 * For water, sodium and other matter alike: outside + correction = pieces + brine + sauce + eaten + discarded + given away.
 */
final readonly class BatchState
{
    private const TRACE = 1e-6;

    /**
     * @param  array<string, Masses>  $phases  by the value of Phase
     * @param  array<string, Masses>  $accounts  by the value of Account
     */
    private function __construct(private array $phases, private array $accounts, public bool $live)
    {
    }

    public static function empty(): self
    {
        return new self([], [], true);
    }

    public function phase(Phase $phase): Masses
    {
        return $this->phases[$phase->value] ?? new Masses;
    }

    public function account(Account $account): Masses
    {
        return $this->accounts[$account->value] ?? new Masses;
    }

    /** Everything that is in the jar. */
    public function present(): Masses
    {
        return $this->phase(Phase::Pieces)->plus($this->phase(Phase::Brine))->plus($this->phase(Phase::Sauce));
    }

    /** Whether the batch is one phase: a mash, sauce or paste. */
    public function isOnePhase(): bool
    {
        return ! $this->phase(Phase::Sauce)->isNothing();
    }

    /** Mass that comes in from outside. */
    public function receive(Masses $masses, Phase $into): self
    {
        return $this->put($masses, $into)->book($masses, Account::Outside);
    }

    /** Mass that a reading says is there beyond the prediction, or short of it when negative. */
    public function correct(Masses $masses, Phase $in): self
    {
        return $this->put($masses, $in)->book($masses, Account::Correction);
    }

    /** Mass that leaves for good. The caller has taken it from what is there. */
    public function release(Masses $masses, Phase $from, Account $to): self
    {
        return $this->put($masses->times(-1.0), $from)->book($masses, $to);
    }

    /** Mass that moves inside the jar. */
    public function move(Masses $masses, Phase $from, Phase $to): self
    {
        return $this->put($masses->times(-1.0), $from)->put($masses, $to);
    }

    /**
     * A weight of one phase at its present composition. Away from the typical point a band may leave less than was
     * taken; then it is all but a trace, which keeps the composition known.
     *
     * @throws NotEnough when the phase holds less
     */
    public function portion(Phase $phase, float $grams, Point $point): Masses
    {
        $there = $this->phase($phase);
        $weight = $there->weightG();
        if ($point->isTypical() && $grams > $weight * (1.0 + 1e-9)) {
            throw NotEnough::of($phase, $grams, $weight);
        }

        return $weight > 0.0 ? $there->times(min($point->isTypical() ? 1.0 : 1.0 - self::TRACE, $grams / $weight)) : new Masses;
    }

    public function heated(): self
    {
        return new self($this->phases, $this->accounts, false);
    }

    /** The sodium that is not accounted for, in mg: 0 but for rounding. */
    public function sodiumAstray(): float
    {
        return $this->account(Account::Outside)->sodiumMg + $this->account(Account::Correction)->sodiumMg
            - $this->present()->sodiumMg - $this->account(Account::Eaten)->sodiumMg
            - $this->account(Account::Discarded)->sodiumMg - $this->account(Account::GivenAway)->sodiumMg;
    }

    private function put(Masses $masses, Phase $into): self
    {
        return new self([...$this->phases, $into->value => $this->phase($into)->plus($masses)], $this->accounts, $this->live);
    }

    private function book(Masses $masses, Account $account): self
    {
        return new self($this->phases, [...$this->accounts, $account->value => $this->account($account)->plus($masses)], $this->live);
    }
}
