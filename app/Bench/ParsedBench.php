<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Batch;
use App\Models\HoldDown;
use App\Models\Jar;
use Tempesal\Core\Bench\BenchInput;

/**
 * What was typed at the bench, understood: the sheet for the core and the rows it speaks of.
 */
final readonly class ParsedBench
{
    /**
     * @param  list<Jar>  $jars
     * @param  Batch|null  $lender  whose brine goes in
     * @param  float|null  $lendable  grams of it that are there
     * @param  Batch|null  $source  the batch that becomes a sauce
     * @param  HoldDown|null  $holdDown  what keeps the food under its brine
     */
    public function __construct(
        public BenchInput $input,
        public string $colour,
        public array $jars,
        public ?Batch $lender,
        public ?float $lendable,
        public ?Batch $source,
        public ?HoldDown $holdDown = null,
    ) {}
}
