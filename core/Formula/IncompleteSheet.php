<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use DomainException;
use Tempesal\Core\TempesalException;

/**
 * The bench was asked before enough was said. Names the field that would help.
 */
final class IncompleteSheet extends DomainException implements TempesalException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function noVegetable(): self
    {
        return new self('vegetableAmount', 'Give a weight for the vegetable, or pick a jar to fill.');
    }

    public static function noWater(): self
    {
        return new self('waterAmount', 'Give the water, or pick a jar to fill with brine.');
    }

    /** @param  float  $fits  grams of the vegetable that the jar takes */
    public static function jarTooSmall(float $fits): self
    {
        return new self('jarId', sprintf('The jar is too small for the food: %s g fit under the headspace, and no room is left for brine.', number_format($fits)));
    }

    public static function wrongBasis(Method $method): self
    {
        return new self('strengthBasis', sprintf('%s uses no poured water, so its salt cannot be a share of water.', $method->label()));
    }

    public static function impossibleStrength(string $why): self
    {
        return new self('strengthPercent', $why);
    }
}
