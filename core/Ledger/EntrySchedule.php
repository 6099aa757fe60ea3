<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Ledger\Entry\Soak;

/**
 * Entries laid out in time: what follows a rest of an hour happens an hour later.
 */
final readonly class EntrySchedule
{
    /**
     * @param  non-empty-list<LedgerLine>  $lines
     * @param  float  $seconds  from the first line to the last
     */
    private function __construct(public array $lines, public float $seconds) {}

    /** @param  non-empty-list<Entry>  $entries */
    public static function of(array $entries): self
    {
        $lines = [];
        $at = 0.0;
        foreach ($entries as $i => $entry) {
            $isTimed = $entry instanceof Soak && $entry->duration !== null && !$entry->even;
            $isLast = $i === count($entries) - 1;
            $lines[] = new LedgerLine($isTimed ? $entry->openEnded() : $entry, $at);
            $at += $isTimed && !$isLast ? $entry->duration->value : 0.0;
        }

        return new self($lines, $at);
    }
}
