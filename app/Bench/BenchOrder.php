<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Batch;
use App\Models\Ingredient;
use App\Models\Jar;
use Tempesal\Core\Formula\Sheet;

/**
 * What was typed at the bench, understood: the sheet for the core and the rows it speaks of.
 */
final readonly class BenchOrder
{
    public function __construct(
        public Sheet $sheet,
        public Ingredient $vegetable,
        public ?Jar $jar,
        public ?Batch $starterBatch,
    ) {
    }
}
