<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;

/**
 * An input that is known only within a band. Two inputs with the same key vary together:
 * two spoons of one salt are both too light or both too heavy.
 */
final readonly class Uncertain
{
    /**
     * @param  string  $key  which quantity of the world this is, for example "salt:flaky:density"
     * @param  string  $label  how the cook would call it, for example "how densely flaky kosher salt lies in the spoon"
     * @param  string|null  $howToNarrow  what the cook could do to know it better
     */
    public function __construct(
        public string $key,
        public string $label,
        public Band $band,
        public ?string $howToNarrow = null,
    ) {
    }

    public static function exactly(float $value): self
    {
        return new self('', '', Band::exact($value));
    }
}
