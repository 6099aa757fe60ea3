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
    private const COLD_CELSIUS = 10.0;

    /** No kitchen is so warm by itself. */
    private const WARM_CELSIUS = 34.0;

    case Counter = 'counter';
    case Cool = 'cool';
    case Fridge = 'fridge';
    /** A box, a flask or an oven with only its lamp on: where yogurt sets. */
    case Warm = 'warm';

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
                self::Warm => 42.0,
            },
        );
    }

    /** Where what ripens at a temperature is to stand. */
    public static function near(Celsius $temperature): self
    {
        return match (true) {
            $temperature->value < self::COLD_CELSIUS => self::Fridge,
            $temperature->value > self::WARM_CELSIUS => self::Warm,
            default => self::Counter,
        };
    }

    /** Whether a jar there is meant to ferment. */
    public function isWarm(): bool
    {
        return $this !== self::Fridge;
    }
}
