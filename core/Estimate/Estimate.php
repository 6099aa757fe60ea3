<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;

/**
 * A computed value with its band and the inputs that make the band, widest first.
 */
final readonly class Estimate
{
    /**
     * @param  list<Contribution>  $contributions
     */
    public function __construct(public Band $band, public array $contributions) {}

    public static function exact(float $value): self
    {
        return new self(Band::exact($value), []);
    }

    /**
     * The band that would be left if one input were known exactly.
     */
    public function without(string $key): Band
    {
        $below = $above = 0.0;
        foreach ($this->contributions as $contribution) {
            if ($contribution->input->key !== $key) {
                $below = hypot($below, $contribution->below);
                $above = hypot($above, $contribution->above);
            }
        }

        return Band::of(max(0.0, $this->band->typical - $below), $this->band->typical, $this->band->typical + $above);
    }
}
