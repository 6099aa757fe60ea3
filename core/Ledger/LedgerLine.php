<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * An entry with the moment at which it happened.
 */
final readonly class LedgerLine
{
    /** @param  float|null  $at  seconds since the batch was begun; null: right after the line before it */
    public function __construct(public Entry $entry, public ?float $at = null) {}
}
