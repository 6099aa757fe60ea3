<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Ferment\ExpectedAcid;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\SaltBasis;

/**
 * Brine, or sauce, going from one batch to another: it takes water, sodium, acid, allergens and living cultures with it
 * as they are at that moment. Both books are written from the same masses, so nothing is lost between the jars.
 */
final readonly class StarterTransfer
{
    private function __construct(private string $lender, private Ledger $ledger, private string $name) {}

    /** @param  Ledger  $ledger  of the lender, looked at when it lends */
    public static function from(string $lender, string $name, Ledger $ledger): self
    {
        return new self($lender, $ledger, $name);
    }

    /**
     * The liquid as it is now: the brine of pieces, or the sauce itself.
     *
     * @throws NotEnough when there is none
     */
    public function liquid(): Ingredient
    {
        $state = $this->ledger->state();
        $phase = $state->liquid();
        $masses = $state->phase($phase);
        $weight = $masses->weightG();
        if ($weight < 0.01) {
            throw NotEnough::nothingIn($phase);
        }
        $per100g = $this->ledger->estimates()["{$phase->value}Per100g"]->band;
        $typical = ($masses->sodiumMg / $weight) * 100.0;
        $strength = Strength::of($state)->share(SaltBasis::BrineStrength) ?? 0.0;

        return new Ingredient(
            Ingredient::OF_BATCH . $this->lender,
            ($phase === Phase::Brine ? Ingredient::BRINE_OF : '') . $this->name,
            min(100.0, ($masses->waterG / $weight) * 100.0),
            Band::of(min($typical, $per100g->low), $typical, max($typical, $per100g->high)),
            BrineTable::density($masses->brineStrength()),
            PieceShape::Pulp,
            live: $state->live,
            allergens: $state->allergens(),
            ph: $state->live ? ExpectedAcid::ph($state->ripened, $strength) : null,
        );
    }

    /**
     * @return array{Starter, Give} what the borrower writes down, and what the lender does
     *
     * @throws NotEnough when there is less
     */
    public function lend(Grams $grams, ?Phase $into, string $toBatch): array
    {
        $state = $this->ledger->state();

        return [
            new Starter($this->liquid(), $grams, $into, $this->lender),
            (new Give(Served::of($state->liquid()), $grams, $toBatch))->bookedAt($state),
        ];
    }
}
