<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * An input that is known only within a band. Two inputs with the same key vary together:
 * two spoons of one salt are both too light or both too heavy.
 */
final readonly class Uncertain
{
    /**
     * @param  string  $key  which quantity of the world this is, for example "salt:flaky:density"
     * @param  string  $code  what it is in the catalogue ("uncertain.CODE"), where "uncertain_narrow.CODE" says how to
     *     know it better
     * @param  string  $name  of the food, the salt or the reading it is about
     * @param  bool  $isNarrowable  whether the cook could know it better
     */
    public function __construct(
        public string $key,
        private string $code,
        public Band $band,
        private string|Message $name = '',
        private bool $isNarrowable = true,
    ) {}

    /** "how densely flaky kosher salt lies in the spoon" */
    public function label(): Message
    {
        return $this->name === ''
            ? Message::of("uncertain.{$this->code}")
            : Message::of("uncertain.{$this->code}", name: $this->name);
    }

    /** What the cook could do to know it better. */
    public function howToNarrow(): ?Message
    {
        return $this->isNarrowable ? Message::of("uncertain_narrow.{$this->code}") : null;
    }

    public static function exactly(float $value): self
    {
        return new self('', '', Band::exact($value));
    }
}
