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
use Tempesal\Core\Produce\Ingredient;

/**
 * A weight of an ingredient goes in.
 */
final readonly class Add implements Entry
{
    /** @param  Band  $grams  exact when weighed, a band when guessed from a count */
    public function __construct(public Ingredient $ingredient, public Band $grams, public Phase $into) {}

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
        return new self(
            Ingredient::read($fields->child('ingredient')),
            $fields->band('grams'),
            $fields->choice('into', Phase::class, Phase::Pieces),
        );
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
