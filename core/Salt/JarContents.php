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
    ) {
    }

    /**
     * The share of salt on a basis, 0.025 for 2.5 %.
     *
     * @throws NoBasis when there is nothing that the salt could be a share of
     */
    public function share(Basis $basis): float
    {
        $of = $this->whole($basis) + ($basis === Basis::BrineStrength ? $this->salt->value : 0.0);
        if ($of === 0.0 || ($basis === Basis::BrineStrength && $this->water->isZero())) {
            throw NoBasis::nothingToBe($basis);
        }

        return $this->salt->value / $of;
    }

    /** The share on a basis, or null where the basis has no meaning for this jar. */
    public function shareOrNull(Basis $basis): ?float
    {
        try {
            return $this->share($basis);
        } catch (NoBasis) {
            return null;
        }
    }

    /**
     * The salt that brings the other three weights to a share on a basis.
     *
     * @throws NoBasis
     */
    public function saltFor(float $share, Basis $basis): Grams
    {
        $whole = $this->whole($basis);
        if ($whole === 0.0) {
            throw NoBasis::nothingToBe($basis);
        }
        if ($basis !== Basis::BrineStrength) {
            return Grams::of($share * $whole);
        }
        if ($share >= 1.0) {
            throw NoBasis::tooStrong();
        }

        return Grams::of($share / (1.0 - $share) * $whole);
    }

    public function withSalt(Grams $salt): self
    {
        return new self($salt, $this->vegetable, $this->water, $this->other);
    }

    /** The weight, without the salt, that the basis looks at. */
    private function whole(Basis $basis): float
    {
        return match ($basis) {
            Basis::OfWater, Basis::BrineStrength => $this->water->value,
            Basis::OfVegetable => $this->vegetable->value,
            Basis::OfEverything => $this->vegetable->value + $this->water->value + $this->other->value,
        };
    }
}
