<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

/**
 * One evaluation: every input at its typical value, but for at most one that is held at an end of its band.
 * At the typical point it remembers which inputs were asked for: those are moved to their ends.
 */
final class Point
{
    /** @var array<string, Uncertain> */
    private array $asked = [];

    private function __construct(private readonly ?string $shifted, private readonly Side $side) {}

    public static function typical(): self
    {
        return new self(null, Side::Low);
    }

    public static function shifted(Uncertain $input, Side $side): self
    {
        return new self($input->key, $side);
    }

    /** The key of the input that is held at an end; null at the typical point. */
    public function shiftedKey(): ?string
    {
        return $this->shifted;
    }

    public function side(): Side
    {
        return $this->side;
    }

    public function isTypical(): bool
    {
        return $this->shifted === null;
    }

    public function of(Uncertain $input): float
    {
        if ($input->band->isExact()) {
            return $input->band->typical;
        }
        if ($this->shifted === null) {
            $this->asked[$input->key] ??= $input;
        }
        if ($input->key !== $this->shifted) {
            return $input->band->typical;
        }

        return $this->side === Side::Low ? $input->band->low : $input->band->high;
    }

    /** @return list<Uncertain> every inexact input that was asked for at the typical point */
    public function asked(): array
    {
        return array_values($this->asked);
    }
}
