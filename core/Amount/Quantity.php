<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * An amount as it was said, with the words that say of what.
 */
final readonly class Quantity
{
    /**
     * @param  non-empty-list<Part>  $parts  which add up
     * @param  list<string>  $words  that say which food
     * @param  string|null  $cut  how it is cut: chopped, shredded, whole ...
     * @param  bool  $isContained  whether it is the size of a can or a jar
     * @param  list<string>  $all  the words together with those that say how it looks: "baby carrot", "spring onion"
     */
    public function __construct(
        public array $parts,
        public array $words = [],
        public ?string $cut = null,
        public bool $isContained = false,
        public array $all = [],
    ) {}

    public function dimension(): ?Dimension
    {
        return $this->parts[0]->unit?->dimension;
    }

    /** @param  list<string>  $words  more words for what it is of */
    public function with(array $words, ?string $cut): self
    {
        return new self($this->parts, [...$this->words, ...$words], $this->cut ?? $cut, $this->isContained, [
            ...$this->all,
            ...$words,
        ]);
    }
}
