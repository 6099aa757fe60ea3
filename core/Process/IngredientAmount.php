<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\CutShare;
use Tempesal\Core\Produce\Ingredient;

/**
 * A weight of an ingredient.
 */
final readonly class IngredientAmount
{
    /** @param  Band  $grams  exact when weighed, a band when guessed */
    public function __construct(public Ingredient $ingredient, public Band $grams) {}

    public function into(Phase $phase): Add
    {
        return new Add($this->ingredient, $this->grams, $phase);
    }

    /**
     * Each into the phase in which it lies in a jar: solids among the pieces, liquids in the brine.
     *
     * @param  list<self>  $amounts
     * @return list<Add>
     */
    public static function allApart(array $amounts): array
    {
        return array_map(static fn(self $amount): Add => $amount->into(Add::placeOf($amount->ingredient)), $amounts);
    }

    /**
     * @param  list<self>  $amounts
     * @return list<Add>
     */
    public static function allInto(Phase $phase, array $amounts): array
    {
        return array_map(static fn(self $amount): Add => $amount->into($phase), $amounts);
    }

    /**
     * The typical weight of them all, in grams.
     *
     * @param  list<self>  $amounts
     */
    public static function sum(array $amounts): float
    {
        return array_sum(array_map(static fn(self $amount): float => $amount->grams->typical, $amounts));
    }

    /**
     * @return list<self>
     *
     * @throws InvalidField
     */
    public static function readAll(Fields $fields, string $key, bool $needed = false): array
    {
        $all = array_map(static function (Fields $one): self {
            $grams = $one->band('grams');
            if ($grams->typical <= 0.0) {
                throw $one->invalid('grams', Message::of('errors.more_than_zero'));
            }

            $food = Ingredient::read($one->child('ingredient'));
            $cuts = CutShare::readAll($one, 'cuts');

            return new self($cuts === [] ? $food : $food->inParts($cuts), $grams);
        }, $fields->each($key));
        if ($needed && $all === []) {
            throw $fields->invalid($key, Message::of('errors.no_ingredients'));
        }

        return $all;
    }
}
