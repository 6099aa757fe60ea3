<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\InvalidQuantity;

/**
 * A number as it was said: "1 1/2", "2-3", "a dozen", "about 40".
 */
final readonly class NumberRange
{
    /**
     * @param  string  $text  as it is shown back
     * @param  float|null  $thousands  the other number that "1,200" can be
     * @param  bool  $isArticle  whether it was "a" or nothing
     * @param  bool  $isSpoken  whether it was said in words: "a dozen"
     */
    public function __construct(
        public float $low,
        public float $typical,
        public float $high,
        public string $text,
        public ?float $thousands = null,
        public bool $isArticle = false,
        public bool $isSpoken = false,
    ) {}

    public static function exact(float $value, string $text): self
    {
        return new self($value, $value, $value, $text);
    }

    public function spoken(): self
    {
        return new self($this->low, $this->typical, $this->high, $this->text, null, $this->isArticle, true);
    }

    public static function one(): self
    {
        return new self(1.0, 1.0, 1.0, '1', null, true);
    }

    public function to(self $that): self
    {
        return new self(
            $this->low,
            ($this->typical + $that->typical) / 2.0,
            $that->high,
            "{$this->text}–{$that->text}",
        );
    }

    public function times(float $factor, string $text): self
    {
        return new self($this->low * $factor, $this->typical * $factor, $this->high * $factor, $text);
    }

    /** As far off as a word says: "about 40", "just under 2". */
    public function loosely(float $low, float $typical, float $high): self
    {
        return new self(
            $this->low * $low,
            $this->typical * $typical,
            $this->high * $high,
            $this->text,
            $this->thousands,
        );
    }

    public function isWhole(): bool
    {
        return $this->low === $this->high && floor($this->typical) === $this->typical;
    }

    /** @throws InvalidQuantity where it is beyond all numbers */
    public function band(): Band
    {
        return Band::of($this->low, $this->typical, $this->high);
    }
}
