<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Finds the food that a phrase is about: the one of its field, or the one that its words name.
 */
final readonly class FoodFinder
{
    public function __construct(private FoodShelf $shelf, private Weigher $weigher) {}

    /**
     * The food that is meant: the one of the field, if the words say no other; or the one that they name.
     *
     * @param  list<string>  $words
     *
     * @throws InvalidQuantity
     * @throws AskedAmount
     */
    public function foodFor(array $words, Quantity $quantity, ?MeasuredFood $given): ?MeasuredFood
    {
        if ($words === []) {
            return $given;
        }
        // The first word can be how it is counted: "2 cloves of garlic", but also "3 bay leaves".
        $bare = self::withoutNouns($words);
        if ($given !== null) {
            if (
                $bare === [] ||
                $this->shelf->answers($given, $words) ||
                $this->shelf->answers($given, $bare) ||
                ($quantity->all !== [] && $this->shelf->answers($given, $quantity->all)) ||
                ($given->isSalt && $bare === ['salt'])
            ) {
                return $given;
            }
        }
        $named = $this->named($words, $quantity->all, $bare, $quantity->dimension());
        if ($given !== null) {
            if (in_array($given->id, array_map(static fn(MeasuredFood $food): string => $food->id, $named), true)) {
                return $given;
            }
            $kind = $given->isSalt ? null : $this->kindOf($given, $named);
            if ($kind !== null) {
                return $kind;
            }
            throw new InvalidQuantity(
                $named === []
                    ? Message::of('errors.amount_word', word: Tokens::short(implode(' ', $words)))
                    : Message::of('errors.amount_other_food', food: $given->label, other: $named[0]->label),
            );
        }
        if ($named === []) {
            throw new InvalidQuantity($this->unknownFood($bare === [] ? $words : $bare));
        }
        if (count($named) === 1 || $quantity->dimension() === Dimension::Mass) {
            return $named[0];
        }
        // A bunch and a handful are of leaves.
        $leaves = array_values(array_filter($named, static fn(MeasuredFood $food): bool => $food->isHerb()));
        $unit = $quantity->parts[0]->unit->key ?? '';
        if (count($leaves) === 1 && in_array($unit, ['handful', 'bunch', 'sprig', 'leaf'], true)) {
            return $leaves[0];
        }
        if (AmountReading::alike(array_values($this->each($quantity, $named))) !== null) {
            return $this->together($named);
        }
        throw $this->whichFood($quantity, $named);
    }

    /**
     * A kind of the food that is asked for: pickling cucumbers are cucumbers, cherry tomatoes tomatoes. They are counted
     * and weighed as that kind.
     *
     * @param  list<MeasuredFood>  $named
     */
    private function kindOf(MeasuredFood $given, array $named): ?MeasuredFood
    {
        foreach ($named as $food) {
            $words = explode(' ', $food->names[0]);
            if (count($words) > 1 && $this->shelf->answers($given, [(string) end($words)])) {
                return $food;
            }
        }

        return null;
    }

    /**
     * Words beside a share: they may only name the food of the field.
     *
     * @param  list<string>  $words
     * @param  list<string>  $allowed
     */
    public function only(array $words, ?MeasuredFood $food, array $allowed = []): void
    {
        $open = array_values(array_diff($words, $allowed));
        if (
            $open !== [] &&
            !($food !== null && $this->shelf->answers($food, $open)) &&
            $this->shelf->named($open) === []
        ) {
            throw new InvalidQuantity(Message::of('errors.amount_word', word: Tokens::short(implode(' ', $open))));
        }
    }

    /** @param  list<string>  $words */
    private function unknownFood(array $words): Message
    {
        $name = implode(' ', $words);
        $near = $this->shelf->near($name);

        return $near === []
            ? Message::of('errors.amount_food_unknown', food: Tokens::short($name))
            : Message::of(
                'errors.amount_food_near',
                food: Tokens::short($name),
                names: Listed::any(array_map(static fn(MeasuredFood $food): Message => $food->label, $near)),
            );
    }

    /**
     * @param  list<string>  $words
     * @param  list<string>  $all  the words with those for size and cut, which can be part of a name
     * @param  list<string>  $bare  the words without how it is counted
     * @return list<MeasuredFood>
     */
    private function named(array $words, array $all, array $bare, ?Dimension $dimension): array
    {
        if (array_map(Units::singular(...), $words) === ['water']) {
            return [MeasuredFood::water()];
        }
        // The juice of a lemon is measured by the lemon.
        $isOfWhole = $dimension === Dimension::Count && in_array($words[0] ?? '', ['juice', 'zest', 'rind'], true);
        foreach ($isOfWhole ? [$bare] : [$all, $words, self::withoutNouns($all), $bare] as $asked) {
            $named = $asked === [] ? [] : $this->shelf->named($asked);
            if ($named !== []) {
                return $named;
            }
        }

        return [];
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function withoutNouns(array $words): array
    {
        return array_values(
            array_filter($words, static fn(string $word): bool => !Units::isCounted(Units::singular($word))),
        );
    }

    /**
     * @param  array<MeasuredFood>  $foods
     * @return array<string, AmountReading> by what would be written
     */
    private function each(Quantity $quantity, array $foods): array
    {
        $readings = [];
        foreach ($foods as $food) {
            try {
                $readings[Weigher::written($quantity, $food)] =
                    $quantity->parts[0]->unit === null
                        ? $this->weigher->bare($quantity, $food, true)
                        : $this->weigher->weigh($quantity, $food);
            } catch (InvalidQuantity) {
                continue;
            }
        }

        return $readings;
    }

    /** @param  array<MeasuredFood>  $foods */
    public function whichFood(Quantity $quantity, array $foods): InvalidQuantity
    {
        $readings = $this->each($quantity, $foods);

        return $readings === []
            ? new InvalidQuantity(Message::of('errors.amount_of_what'))
            : AskedAmount::between(Message::of('errors.amount_which_food'), $readings);
    }

    /**
     * Foods that weigh alike as one: the first, its densities and pieces with the bands of all.
     *
     * @param  non-empty-list<MeasuredFood>  $foods
     */
    private function together(array $foods): MeasuredFood
    {
        $first = $foods[0];
        $pieces = [];
        foreach ($first->pieces as $noun => $band) {
            $pieces[$noun] = Bands::cover(
                $band,
                ...array_values(
                    array_filter(
                        array_map(static fn(MeasuredFood $food): ?Band => $food->pieces[$noun] ?? null, $foods),
                    ),
                ),
            );
        }

        return new MeasuredFood(
            $first->id,
            $first->label,
            $first->names,
            Bands::cover($first->density, ...array_map(static fn(MeasuredFood $food): Band => $food->density, $foods)),
            $first->shape,
            $first->isCut,
            $first->isSalt,
            $first->cups,
            $pieces,
            $first->forkful,
            $first->spoonful,
        );
    }
}
