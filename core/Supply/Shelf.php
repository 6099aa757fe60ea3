<?php

declare(strict_types=1);

namespace Tempesal\Core\Supply;

/**
 * What is to be planned ahead: the kinds, the jars, and what stands or is planned already.
 */
final readonly class Shelf
{
    /** At least eight weeks are looked ahead. */
    public const LEAST_DAYS = 56;

    public const MOST_DAYS = 182;

    /**
     * @param  list<Kind>  $kinds  in the order in which they matter
     * @param  list<Vessel>  $vessels
     * @param  list<Lot>  $lots
     */
    public function __construct(public int $days, public array $kinds, public array $vessels, public array $lots)
    {
    }
}
