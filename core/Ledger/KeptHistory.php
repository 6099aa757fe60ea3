<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Closure;

/**
 * What is kept of a short history: not its lines, but for what was open in them, and no temperatures. Both are known when it
 * is looked for again.
 */
final readonly class KeptHistory
{
    /**
     * @param  array<int, Entry>  $entries  as they were carried out, but for rests
     * @param  string  $moments  the clock and the ripeness after each line, as numbers in one piece
     * @param  string  $trail  the typical state after each line, serialized once more: few ask for it
     * @param  BatchState  $end  the same after everything
     * @param  list<array{int, float}|null>  $rests  that went on after each: the line with which it began, and its moment
     */
    public function __construct(
        public array $entries,
        public string $moments,
        private string $trail,
        public BatchState $end,
        public array $rests,
    ) {}

    /**
     * @param  list<Milestone>  $milestones  after each line, with the rests as they are known now
     * @return Closure(): list<BatchState> the typical state after each line
     */
    public function trail(array $milestones): Closure
    {
        return function () use ($milestones): array {
            /** @var list<BatchState> $trail */
            $trail = unserialize($this->trail);

            return array_map(
                static fn(BatchState $state, Milestone $stood): BatchState => $state->inBath($stood->bath),
                $trail,
                $milestones,
            );
        };
    }
}
