<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * The three masses the ledger follows: water and other matter in grams, sodium in milligrams.
 * Sodium weighs as the sodium chloride it comes from; "other" is all the rest.
 */
final readonly class Composition
{
    public function __construct(public float $waterG = 0.0, public float $sodiumMg = 0.0, public float $otherG = 0.0) {}

    public static function none(): self
    {
        return new self();
    }

    /**
     * A weight of some food: its water, its sodium, and the rest.
     *
     * @param  float  $waterShare  0 to 1
     * @param  float  $sodiumPerGram  mg/g
     */
    public static function ofFood(float $grams, float $waterShare, float $sodiumPerGram): self
    {
        $sodium = $grams * $sodiumPerGram;
        $water = $grams * $waterShare;

        return new self($water, $sodium, max(0.0, $grams - $water - SodiumChloride::gramsFor($sodium)));
    }

    public static function water(float $grams): self
    {
        return new self($grams);
    }

    public function weightG(): float
    {
        return $this->waterG + $this->otherG + SodiumChloride::gramsFor($this->sodiumMg);
    }

    /** The weight without the salt, in grams: what takes up room, for dissolved salt hardly does. */
    public function saltFreeG(): float
    {
        return $this->waterG + $this->otherG;
    }

    /** Milligrams of sodium in 100 g; 0 for nothing. */
    public function sodiumPer100g(): float
    {
        $weight = $this->weightG();

        return $weight > 0.0 ? ($this->sodiumMg / $weight) * 100.0 : 0.0;
    }

    /** Salt / (salt + water) of a liquid, 0 to 1. */
    public function brineStrength(): float
    {
        $salt = SodiumChloride::gramsFor($this->sodiumMg);

        return $salt + $this->waterG > 0.0 ? $salt / ($salt + $this->waterG) : 0.0;
    }

    public function isNothing(): bool
    {
        return $this->waterG === 0.0 && $this->sodiumMg === 0.0 && $this->otherG === 0.0;
    }

    public function plus(self $that): self
    {
        return new self(
            $this->waterG + $that->waterG,
            $this->sodiumMg + $that->sodiumMg,
            $this->otherG + $that->otherG,
        );
    }

    public function minus(self $that): self
    {
        return new self(
            $this->waterG - $that->waterG,
            $this->sodiumMg - $that->sodiumMg,
            $this->otherG - $that->otherG,
        );
    }

    public function times(float $factor): self
    {
        return new self($this->waterG * $factor, $this->sodiumMg * $factor, $this->otherG * $factor);
    }

    /** @return array{waterG: float, sodiumMg: float, otherG: float, weightG: float} */
    public function toArray(): array
    {
        return [
            'waterG' => $this->waterG,
            'sodiumMg' => $this->sodiumMg,
            'otherG' => $this->otherG,
            'weightG' => $this->weightG(),
        ];
    }
}
