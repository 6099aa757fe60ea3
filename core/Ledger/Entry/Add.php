<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\Ingredient;

/**
 * A weight of an ingredient goes in.
 */
final readonly class Add implements Entry
{
    /** @param  Band  $grams  exact when weighed, a band when guessed from a count */
    public function __construct(public Ingredient $ingredient, public Band $grams, public Phase $into) {}

    /** Where a food lies in a jar of pieces and brine. What dissolves is part of the brine. */
    public static function placeOf(Ingredient $food): Phase
    {
        return $food->isSolid() && !$food->is(FoodTrait::Dissolves) ? Phase::Pieces : Phase::Brine;
    }

    public static function kind(): string
    {
        return 'add';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $grams = $point->of(
            new Uncertain("weight:{$this->ingredient->id}", 'weight', $this->grams, $this->ingredient->label()),
        );

        return $state->receiveFood($this->ingredient, $grams, $this->into, $point);
    }

    public static function read(Fields $fields): self
    {
        $food = Ingredient::read($fields->child('ingredient'));

        return new self($food, $fields->band('grams'), $fields->choice('into', Phase::class, self::placeOf($food)));
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'ingredient' => $this->ingredient->toArray(),
            'grams' => $this->grams->isExact() ? $this->grams->typical : $this->grams->toArray(),
            'into' => $this->into->value,
        ];
    }
}
