<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A finite number in one unit, checked once at the border. The unit is the name of the class.
 */
abstract readonly class Quantity
{
    final private function __construct(public float $value) {}

    /**
     * @throws InvalidQuantity when the value is not finite or outside the range of the quantity
     */
    public static function of(float $value): static
    {
        if (!is_finite($value)) {
            throw InvalidQuantity::notFinite();
        }
        if ($value < static::least()) {
            throw InvalidQuantity::belowLeast(static::least(), static::unit());
        }
        if ($value > static::most()) {
            throw InvalidQuantity::aboveMost(static::most(), static::unit());
        }

        return new static($value);
    }

    public static function zero(): static
    {
        return static::of(0.0);
    }

    /** @throws InvalidQuantity */
    public function plus(self $that): static
    {
        return static::of($this->value + $that->value);
    }

    /** @throws InvalidQuantity when more is taken than there is */
    public function minus(self $that): static
    {
        return static::of($this->value - $that->value);
    }

    /** @throws InvalidQuantity */
    public function times(float $factor): static
    {
        return static::of($this->value * $factor);
    }

    public function isZero(): bool
    {
        return $this->value === 0.0;
    }

    public function isMoreThan(self $that): bool
    {
        return $this->value > $that->value;
    }

    /** The sign of the unit. */
    abstract protected static function unit(): string;

    protected static function least(): float
    {
        return 0.0;
    }

    protected static function most(): float
    {
        return 1_000_000.0;
    }
}
