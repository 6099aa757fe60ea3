<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * An entry with the moment at which it happened.
 */
final readonly class LedgerLine
{
    /**
     * @param  float|null  $at  seconds since the batch was begun; null: right after the line before it
     * @param  string|null  $mark  by which it is known as the same line when it is read again; null: it was never written
     */
    public function __construct(public Entry $entry, public ?float $at = null, public ?string $mark = null) {}
}
