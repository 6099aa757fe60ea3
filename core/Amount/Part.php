<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * One number with its unit: "2 heaped tbsp", "a large head", "12".
 */
final readonly class Part
{
    /**
     * @param  string  $fill  how full: level, rounded, heaped, scant, generous, packed; '' where nothing was said
     * @param  string  $size  how large: tiny, small, medium, large, huge; '' where nothing was said
     * @param  bool  $isLess  whether it is taken off what came before
     * @param  bool  $isSettled  whether it was said which country's pint it is
     */
    public function __construct(
        public NumberRange $number,
        public ?Unit $unit,
        public string $fill = '',
        public string $size = '',
        public bool $isLess = false,
        public bool $isSettled = false,
    ) {}

    public function withUnit(Unit $unit): self
    {
        return new self($this->number, $unit, $this->fill, $this->size, $this->isLess, $this->isSettled);
    }

    public function withNumber(NumberRange $number): self
    {
        return new self($number, $this->unit, $this->fill, $this->size, $this->isLess, $this->isSettled);
    }

    public function withSize(string $size): self
    {
        return new self($this->number, $this->unit, $this->fill, $size, $this->isLess, $this->isSettled);
    }

    public function withFill(string $fill): self
    {
        return new self($this->number, $this->unit, $fill, $this->size, $this->isLess, $this->isSettled);
    }

    public function settled(): self
    {
        return new self($this->number, $this->unit, $this->fill, $this->size, $this->isLess, true);
    }
}
