<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Side;
use Tempesal\Core\Estimate\Uncertain;

/**
 * What a batch held after some of its lines, at the typical point and at each end of every input that was asked for until
 * then: what its estimates would otherwise compute from the first line on. An input that has come to make no difference, as
 * how thick the pieces are once salt has evened out, is let go.
 */
final readonly class Checkpoint
{
    /**
     * @param  list<Uncertain>  $asked
     * @param  array<string, array{BatchState|string, BatchState|string}>  $shifted  by the key of the input: at its low and
     *     its high end; one that was kept as the numbers of a state that is shaped as the typical one
     */
    public function __construct(private array $asked, private BatchState $typical, private array $shifted) {}

    /** The one that covers nothing. */
    public static function beginning(bool $isApart): self
    {
        return new self([], BatchState::empty($isApart), []);
    }

    /**
     * The state at a point, which then has been asked for the same inputs as if all lines had been carried out.
     *
     * @param  SoakInProgress|null  $bath  the rest that goes on, with the temperatures that are known now
     */
    public function at(Point $point, ?SoakInProgress $bath): BatchState
    {
        foreach ($point->isTypical() ? $this->asked : [] as $input) {
            $point->of($input);
        }
        $ends = $this->shifted[$point->shiftedKey() ?? ''] ?? [$this->typical, $this->typical];
        $state = $ends[$point->side() === Side::Low ? 0 : 1];

        return (is_string($state) ? $this->typical->withNumbers(BatchState::unpacked($state)) : $state)->inBath($bath);
    }

    /**
     * The same after more lines.
     *
     * @param  list<LedgerLine>  $lines  as they are carried out
     * @param  SoakInProgress|null  $bath  that goes on before them
     *
     * @throws NotEnough
     */
    public function after(array $lines, ?SoakInProgress $bath): self
    {
        $at = Point::typical();
        $typical = self::carriedOut($lines, $this->at($at, $bath), $at);
        $shifted = [];
        $asked = [];
        foreach ($at->asked() as $input) {
            [$low, $high] = [Point::shifted($input, Side::Low), Point::shifted($input, Side::High)];
            $ends = [
                self::carriedOut($lines, $this->at($low, $bath), $low),
                self::carriedOut($lines, $this->at($high, $bath), $high),
            ];
            if (!$ends[0]->equals($typical) || !$ends[1]->equals($typical)) {
                $asked[] = $input;
                $shifted[$input->key] = $ends;
            }
        }

        return new self($asked, $typical, $shifted);
    }

    /**
     * @param  list<LedgerLine>  $lines
     *
     * @throws NotEnough
     */
    public static function carriedOut(array $lines, BatchState $state, Point $point): BatchState
    {
        foreach ($lines as $line) {
            $state = $line->entry->applyTo(
                $line->at === null ? $state : TimeStep::until($state, $line->at, $point),
                $point,
            );
        }

        return $state;
    }

    /**
     * As it is kept: of what has crossed the wall of the jar no estimate asks at any but the typical point. The rest that goes
     * on is not kept at all; it is known from the lines, with its temperatures.
     */
    public function toKeep(): self
    {
        return new self(
            $this->asked,
            $this->typical,
            array_map(fn(array $ends): array => [$this->slim($ends[0]), $this->slim($ends[1])], $this->shifted),
        );
    }

    private function slim(BatchState|string $state): BatchState|string
    {
        if (is_string($state)) {
            return $state;
        }

        return $state->isShapedAs($this->typical)
            ? BatchState::packed($state->numbers())
            : $state->onAccountsOf($this->typical);
    }
}
