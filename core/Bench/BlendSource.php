<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Grams;

/**
 * The batch that is blended into a sauce.
 */
final readonly class BlendSource
{
    /**
     * @param  Ledger  $ledger  of that batch, looked at when it is blended
     * @param  Grams|null  $keptBrine  how much of its brine is blended in; null: all of it
     */
    public function __construct(
        public Ledger $ledger,
        public ?Grams $keptBrine = null,
        public bool $isHeated = false,
    ) {}
}
