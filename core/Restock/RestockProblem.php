<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * What is to be planned ahead: the kinds, the jars, and what stands or is planned already.
 */
final readonly class RestockProblem
{
    /** At least eight weeks are looked ahead. */
    public const LEAST_DAYS = 56;

    public const MOST_DAYS = 182;

    /**
     * @param  list<Product>  $kinds  in the order in which they matter
     * @param  list<FreeJar>  $vessels
     * @param  list<ScheduledBatch>  $lots
     */
    public function __construct(public int $days, public array $kinds, public array $vessels, public array $lots) {}
}
