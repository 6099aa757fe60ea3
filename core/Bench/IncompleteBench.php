<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use DomainException;
use Tempesal\Core\Method\Method;
use Tempesal\Core\TempesalException;

/**
 * The bench was asked before enough was said. Names the field that would help.
 */
final class IncompleteBench extends DomainException implements TempesalException
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

    public static function noBrine(): self
    {
        return new self('starterBatchId', 'Pick the jar whose brine is used again.');
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

    public static function nothingFollows(string $field): self
    {
        return new self($field, 'Salt and strength are both fixed, so this follows from them. Leave it empty.');
    }

    public static function cannotFollow(Method $method): self
    {
        return new self('fixed', sprintf('With salt and strength both fixed nothing is left to follow for %s. Fix one of them.', lcfirst($method->label())));
    }

    public static function saltTooLittle(): self
    {
        return new self('saltAmount', 'That salt is too little for the strength: what is to be salted already takes more.');
    }

    /** @param  float  $most  mg in a serving at the most salt that dissolves */
    public static function tooMuchSodium(float $most): self
    {
        return new self('sodiumWanted', sprintf('A serving cannot hold that much: with all the salt that dissolves it holds %s mg.', number_format($most)));
    }

    public static function notEnough(string $why): self
    {
        return new self('keptBrine', $why);
    }
}
