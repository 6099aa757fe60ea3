<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * What is kept of a short history: not its lines, but for what was open in them, and no temperatures. Both are known when it
 * is looked for again.
 */
final readonly class KeptHistory
{
    /**
     * @param  array<int, Entry>  $entries  as they were carried out, but for rests
     * @param  list<BatchState>  $trail  the typical state after each line
     * @param  BatchState  $end  the same after everything
     * @param  list<array{int, float}|null>  $rests  that went on after each: the line with which it began, and its moment
     */
    public function __construct(
        public array $entries,
        public array $trail,
        public BatchState $end,
        public array $rests,
    ) {}
}
