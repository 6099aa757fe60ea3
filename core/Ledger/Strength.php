<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Salt\EmptyBasis;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltProduct;

/**
 * How strong a whole batch is once salt has evened out, and what would change that. All of its salt counts, by the
 * sodium in it.
 */
final readonly class Strength
{
    /**
     * @param  float  $saltG  sodium chloride in the jar
     * @param  float  $waterG  water that the salt spreads over, that of the pieces weighted by K
     * @param  float  $saltFreeG  everything but the salt
     */
    private function __construct(private float $saltG, private float $waterG, private float $saltFreeG) {}

    public static function of(BatchState $state): self
    {
        $present = $state->present();

        return new self(
            SodiumChloride::gramsFor($present->sodiumMg),
            $present->waterG + $state->piecesTakeUpG(Point::typical()) - $state->phase(Phase::Pieces)->waterG,
            $present->saltFreeG(),
        );
    }

    /** The share on a basis; null where there is nothing for it to be a share of. */
    public function share(SaltBasis $basis): ?float
    {
        $whole = $this->whole($basis) + ($basis === SaltBasis::BrineStrength ? $this->saltG : 0.0);

        return $whole > 0.0 && $basis !== SaltBasis::OfVegetable ? $this->saltG / $whole : null;
    }

    /**
     * The weight of a salt that brings the batch to a share; none when it is there already. The salt's own moisture
     * counts.
     */
    public function saltToAdd(float $share, SaltBasis $basis, SaltProduct $product): Grams
    {
        $one = $product->masses(1.0, Point::typical());
        $saltIn = SodiumChloride::gramsFor($one->sodiumMg);
        $ratio = $basis === SaltBasis::BrineStrength ? $share / (1.0 - $share) : $share;
        $missing = $ratio * $this->whole($basis) - $this->saltG;
        $perGram = $saltIn - $ratio * ($basis === SaltBasis::OfEverything ? $one->saltFreeG() : $one->waterG);

        return Grams::of($missing <= 0.0 || $perGram <= 0.0 ? 0.0 : min(1e6, $missing / $perGram));
    }

    /**
     * The water that thins the batch to a share; none when it is that weak already.
     *
     * @throws EmptyBasis for a share of nothing
     */
    public function waterToAdd(float $share, SaltBasis $basis): Grams
    {
        if ($share <= 0.0) {
            throw EmptyBasis::nothingToBe($basis);
        }
        $ratio = $basis === SaltBasis::BrineStrength ? $share / (1.0 - $share) : $share;

        return Grams::of(min(1e6, max(0.0, $this->saltG / $ratio - $this->whole($basis))));
    }

    /**
     * How much of another batch's liquid can join before this one is stronger than a share; null for as much as you
     * like.
     *
     * @param  Composition  $liquid  any weight of it
     */
    public function roomFor(Composition $liquid, float $share, SaltBasis $basis): ?Grams
    {
        $ratio = $basis === SaltBasis::BrineStrength ? $share / (1.0 - $share) : $share;
        $room = $ratio * $this->whole($basis) - $this->saltG;
        $weight = $liquid->weightG();
        $adds =
            (SodiumChloride::gramsFor($liquid->sodiumMg) -
                $ratio * ($basis === SaltBasis::OfEverything ? $liquid->saltFreeG() : $liquid->waterG)) /
            max(1e-12, $weight);
        if ($adds <= 0.0) {
            return $room >= 0.0 ? null : Grams::zero();
        }

        return Grams::of(min(1e6, max(0.0, $room / $adds)));
    }

    private function whole(SaltBasis $basis): float
    {
        return $basis === SaltBasis::OfEverything ? $this->saltFreeG : $this->waterG;
    }
}
