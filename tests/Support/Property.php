<?php

declare(strict_types=1);

namespace Tests\Support;

use Eris\Facade;
use Eris\Generator;
use Eris\Generators;
use Eris\Quantifier\ForAll;

/**
 * Properties over random inputs. The seed is fixed, so that a failure comes again, and the input is shrunk to the
 * smallest that still fails.
 */
final class Property
{
    /** For every combination of what the generators make. */
    public static function holds(int $seed, int $times, Generator ...$generators): ForAll
    {
        putenv("ERIS_SEED={$seed}");
        $facade = new Facade();
        putenv('ERIS_SEED');

        return $facade->limitTo($times)->forAll(...$generators);
    }

    /** A jar's life, as RandomHistory reads it. */
    public static function moves(): Generator
    {
        return Generators::seq(
            Generators::tuple(
                Generators::choose(0, RandomHistory::KINDS - 1),
                Generators::choose(0, 100),
                Generators::choose(0, 100),
            ),
        );
    }
}
