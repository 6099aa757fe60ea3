<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Which salt goes in, how it is measured, and how much of it or what it is to reach.
 */
final readonly class SaltChoice
{
    public function __construct(
        public SaltProduct $product,
        public SaltUnit $unit,
        public SpoonSystem $spoons,
        public SaltTarget $target,
    ) {}

    public function withTarget(SaltTarget $target): self
    {
        return new self($this->product, $this->unit, $this->spoons, $target);
    }
}
