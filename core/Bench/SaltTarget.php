<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltDose;

/**
 * What the cook has fixed about the salt: a strength, an amount, both, or the sodium that a serving is to hold.
 */
final readonly class SaltTarget
{
    /**
     * @param  float|null  $share  0.03 for 3 %, on the basis
     * @param  list<SaltDose>|null  $doses  one after another
     * @param  float|null  $sodiumMg  in a serving
     */
    private function __construct(
        public ?float $share,
        public SaltBasis $basis,
        public ?array $doses,
        public ?float $sodiumMg,
    ) {}

    public static function strength(float $share, SaltBasis $basis): self
    {
        return new self($share, $basis, null, null);
    }

    /** As much as this, at once or by and by. */
    public static function amount(SaltBasis $basis, SaltDose ...$doses): self
    {
        return new self(null, $basis, array_values($doses), null);
    }

    /** This much salt at this strength: what it goes on follows. */
    public static function amountAtStrength(SaltDose $dose, float $share, SaltBasis $basis): self
    {
        return new self($share, $basis, [$dose], null);
    }

    /** As much as brings a serving to so much sodium, in mg. */
    public static function sodium(float $milligrams, SaltBasis $basis): self
    {
        return new self(null, $basis, null, $milligrams);
    }

    public function fixesBoth(): bool
    {
        return $this->share !== null && $this->doses !== null;
    }

    /** Grams of the product in all doses; null where the amount follows. */
    public function grams(): ?float
    {
        return $this->doses === null
            ? null
            : array_sum(array_map(static fn(SaltDose $dose): float => $dose->grams()->value, $this->doses));
    }
}
