<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;

/**
 * A unit as it was said.
 */
final readonly class Unit
{
    /**
     * @param  string  $key  of its name in the catalogue (say_unit)
     * @param  Band  $factor  how much one is, in the dimension's own unit; of what is counted: 1
     * @param  bool  $isSpoon  whether it can be level or heaped
     */
    public function __construct(
        public string $key,
        public Dimension $dimension,
        public Band $factor,
        public bool $isSpoon = false,
    ) {}

    public static function exact(string $key, Dimension $dimension, float $factor, bool $isSpoon = false): self
    {
        return new self($key, $dimension, Band::exact($factor), $isSpoon);
    }
}
