<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;

/**
 * A computed value with its band and the inputs that make the band, widest first.
 */
final readonly class Estimate
{
    /** What two ways to the same value may differ by, as a share: all but rounding. */
    private const SAME = 1e-9;

    /**
     * @param  list<Contribution>  $contributions
     */
    public function __construct(public Band $band, public array $contributions) {}

    public static function exact(float $value): self
    {
        return new self(Band::exact($value), []);
    }

    /** Whether it is another to nine digits: its band, and what makes it. */
    public function isSameAs(self $other): bool
    {
        [$ours, $theirs] = [$this->figures(), $other->figures()];
        foreach ($ours + $theirs as $name => $_) {
            [$one, $that] = [$ours[$name] ?? 0.0, $theirs[$name] ?? 0.0];
            if (abs($one - $that) > self::SAME * (1.0 + abs($one))) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, float> */
    private function figures(): array
    {
        $figures = $this->band->toArray();
        foreach ($this->contributions as $one) {
            $figures["{$one->input->key} below"] = $one->below;
            $figures["{$one->input->key} above"] = $one->above;
        }

        return $figures;
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
