<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * The units of habit of a kitchen: its spoons and pints, its inches, its degrees.
 */
final readonly class KitchenUnits
{
    public function __construct(public Habit $habit, public bool $usesInches, public bool $usesFahrenheit) {}

    /** As such kitchens usually measure. */
    public static function of(Habit $habit): self
    {
        return new self($habit, $habit === Habit::Us, $habit === Habit::Us);
    }
}
