<?php

declare(strict_types=1);

namespace Tempesal\Core\Compute;

use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * A starter that is to come from another batch of the document.
 */
final readonly class PendingTransfer
{
    /**
     * @param  int  $place  where its entry stands among the batch's entries
     * @param  int|null  $afterStep  the lender's step, from 1, after which the brine leaves it; null: after the last
     * @param  string  $path  of its step in the document
     */
    public function __construct(
        public int $place,
        public string $lender,
        public Grams $grams,
        public ?Phase $into,
        public ?int $afterStep,
        public string $path,
    ) {}

    public function standingAt(int $place): self
    {
        return new self($place, $this->lender, $this->grams, $this->into, $this->afterStep, $this->path);
    }

    public function into(?Phase $into): self
    {
        return new self($this->place, $this->lender, $this->grams, $into, $this->afterStep, $this->path);
    }
}
