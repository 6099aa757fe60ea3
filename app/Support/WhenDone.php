<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/**
 * When the cook did what a request writes: now, or when her device kept it, where it waited there for a network. A
 * moment that the body names counts before this one.
 */
final class WhenDone
{
    public const HEADER = 'Done-At';

    /** For how long a change may wait on a device, in days. */
    public const LONGEST_DAYS = 14;

    /** The moment at which it was done; never one to come. */
    public static function now(): CarbonImmutable
    {
        $said = request()->attributes->get(self::class);

        return $said instanceof CarbonImmutable ? $said->min(CarbonImmutable::now()) : CarbonImmutable::now();
    }
}
