<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A typical value with the low and high between which about nine in ten cases lie.
 */
final readonly class Band
{
    private function __construct(public float $low, public float $typical, public float $high) {}

    /** @throws InvalidQuantity when the three are not finite or not in order */
    public static function of(float $low, float $typical, float $high): self
    {
        if (!is_finite($low) || !is_finite($typical) || !is_finite($high)) {
            throw InvalidQuantity::notFinite();
        }
        if ($low > $typical || $typical > $high) {
            throw InvalidQuantity::bandOutOfOrder();
        }

        return new self($low, $typical, $high);
    }

    public static function exact(float $value): self
    {
        return self::of($value, $value, $value);
    }

    /** @throws InvalidQuantity when the half-width is negative */
    public static function around(float $typical, float $halfWidth): self
    {
        return self::of($typical - $halfWidth, $typical, $typical + $halfWidth);
    }

    public function times(float $factor): self
    {
        return $factor >= 0.0
            ? self::of($this->low * $factor, $this->typical * $factor, $this->high * $factor)
            : self::of($this->high * $factor, $this->typical * $factor, $this->low * $factor);
    }

    public function isExact(): bool
    {
        return $this->low === $this->high;
    }

    /** @return array{low: float, typical: float, high: float} */
    public function toArray(): array
    {
        return ['low' => $this->low, 'typical' => $this->typical, 'high' => $this->high];
    }
}
