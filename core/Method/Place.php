<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Message\Message;

/**
 * Where a jar stands. Temperatures are those of ordinary kitchens: common practice, no source.
 */
enum Place: string
{
    case Counter = 'counter';
    case Cool = 'cool';
    case Fridge = 'fridge';

    /** "fridge" */
    public function name(): Message
    {
        return Message::of("place_name.{$this->value}");
    }

    /** Where a jar stands that stands there. */
    public function label(): Message
    {
        return Message::of("place.{$this->value}");
    }

    /** The mean of an ordinary day there. */
    public function usual(): Celsius
    {
        return Celsius::of(
            match ($this) {
                self::Counter => 20.0,
                self::Cool => 16.0,
                self::Fridge => 4.0,
            },
        );
    }

    /** Whether a jar there is meant to ferment. */
    public function isWarm(): bool
    {
        return $this !== self::Fridge;
    }
}
