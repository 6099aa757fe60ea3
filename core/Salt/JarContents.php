<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Measure\Grams;

/**
 * The four weights that the concentration bases relate: added salt, vegetable, poured water, other ingredients.
 * Conversions between bases are exact algebra on them.
 */
final readonly class JarContents
{
    public function __construct(
        public Grams $salt,
        public Grams $vegetable,
        public Grams $water,
        public Grams $other,
    ) {}

    /**
     * The share of salt on a basis, 0.025 for 2.5 %.
     *
     * @throws EmptyBasis when there is nothing that the salt could be a share of
     */
    public function share(SaltBasis $basis): float
    {
        $of = $this->whole($basis) + ($basis === SaltBasis::BrineStrength ? $this->salt->value : 0.0);
        if ($of === 0.0 || ($basis === SaltBasis::BrineStrength && $this->water->isZero())) {
            throw EmptyBasis::nothingToBe($basis);
        }

        return $this->salt->value / $of;
    }

    /** The share on a basis, or null where the basis has no meaning for this jar. */
    public function shareOrNull(SaltBasis $basis): ?float
    {
        try {
            return $this->share($basis);
        } catch (EmptyBasis) {
            return null;
        }
    }

    /**
     * The salt that brings the other three weights to a share on a basis.
     *
     * @throws EmptyBasis
     */
    public function saltFor(float $share, SaltBasis $basis): Grams
    {
        $whole = $this->whole($basis);
        if ($whole === 0.0) {
            throw EmptyBasis::nothingToBe($basis);
        }
        if ($basis !== SaltBasis::BrineStrength) {
            return Grams::of($share * $whole);
        }
        if ($share >= 1.0) {
            throw EmptyBasis::tooStrong();
        }

        return Grams::of(($share / (1.0 - $share)) * $whole);
    }

    public function withSalt(Grams $salt): self
    {
        return new self($salt, $this->vegetable, $this->water, $this->other);
    }

    /** The weight, without the salt, that the basis looks at. */
    private function whole(SaltBasis $basis): float
    {
        return match ($basis) {
            SaltBasis::OfWater, SaltBasis::BrineStrength => $this->water->value,
            SaltBasis::OfVegetable => $this->vegetable->value,
            SaltBasis::OfEverything => $this->vegetable->value + $this->water->value + $this->other->value,
        };
    }
}
