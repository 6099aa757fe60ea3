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

    /** What the place itself is called. */
    public function name(): string
    {
        return match ($this) {
            self::Counter => 'counter',
            self::Cool => 'cool place',
            self::Fridge => 'fridge',
        };
    }

    /** Where a jar stands that stands there. */
    public function label(): string
    {
        return ($this === self::Counter ? 'on' : 'in')." the {$this->name()}";
    }

    /** All of them, in a sentence. */
    public static function sentence(): string
    {
        $labels = array_map(static fn (self $place): string => $place->label(), self::cases());

        return 'A jar stands '.implode(', ', array_slice($labels, 0, -1)).' or '.$labels[count($labels) - 1].'.';
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
