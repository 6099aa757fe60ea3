<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Measure\Celsius;

/**
 * Where a jar stands. Temperatures are those of ordinary kitchens: common practice, no source.
 */
enum Place: string
{
    case Counter = 'counter';
    case Cool = 'cool';
    case Fridge = 'fridge';

    public function label(): string
    {
        return match ($this) {
            self::Counter => 'on the counter',
            self::Cool => 'in the cool place',
            self::Fridge => 'in the fridge',
        };
    }

    /** The mean of an ordinary day there. */
    public function usual(): Celsius
    {
        return Celsius::of(match ($this) {
            self::Counter => 20.0,
            self::Cool => 16.0,
            self::Fridge => 4.0,
        });
    }

    /** Whether a jar there is meant to ferment. */
    public function isWarm(): bool
    {
        return $this !== self::Fridge;
    }
}
