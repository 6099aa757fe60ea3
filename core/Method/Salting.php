<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Salt\SaltBasis;

/**
 * How strongly a method is salted: the basis on which its salt is said, what is usual, and what it needs at least.
 * Shares from 0 to 1. SaltFloor says which of these hold for a jar.
 */
final readonly class Salting
{
    /**
     * @param  float|null  $least  on the basis; null where the salt is that of something which is there already
     * @param  float|null  $leastOfEverything  of all that is salted together, beside that
     * @param  float|null  $leastAtTheEnd  of everything once it was drained and dressed, beside that
     * @param  bool  $mindsFoods  whether foods with a floor of their own count; not where a starter or strong brine
     *     does the work
     */
    private function __construct(
        public SaltBasis $basis,
        public float $usual,
        public ?float $least,
        public ?float $leastOfEverything = null,
        public ?float $leastAtTheEnd = null,
        public bool $mindsFoods = false,
    ) {}

    public static function of(SaltBasis $basis, float $usual, ?float $least = null): self
    {
        return new self($basis, $usual, $least);
    }

    public function mindingFoods(): self
    {
        return new self($this->basis, $this->usual, $this->least, $this->leastOfEverything, $this->leastAtTheEnd, true);
    }

    public function leastOfEverything(float $least): self
    {
        return new self($this->basis, $this->usual, $this->least, $least, $this->leastAtTheEnd, $this->mindsFoods);
    }

    public function leastAtTheEnd(float $least): self
    {
        return new self($this->basis, $this->usual, $this->least, $this->leastOfEverything, $least, $this->mindsFoods);
    }
}
