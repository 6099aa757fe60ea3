<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Search\NameIndex;

/**
 * The foods and salts that a phrase can name.
 */
final class FoodShelf
{
    /** @var array<string, MeasuredFood> */
    private array $foods = [];

    private ?NameIndex $index = null;

    /** @param  iterable<MeasuredFood>  $foods */
    public function __construct(iterable $foods)
    {
        foreach ($foods as $food) {
            $this->foods[$food->id] = $food;
        }
    }

    public function get(string $id): ?MeasuredFood
    {
        return $this->foods[$id] ?? null;
    }

    /**
     * What the words name: one food, several that answer alike, or none. Every word must be answered.
     *
     * @param  list<string>  $words
     * @return list<MeasuredFood>
     */
    public function named(array $words): array
    {
        $query = implode(' ', $words);
        $index = $this->index();

        return array_map(
            fn(string $id): MeasuredFood => $this->foods[$id],
            array_values(
                array_filter(
                    $index->alike($query),
                    static fn(string $id): bool => $index->unanswered($query, $id) === [],
                ),
            ),
        );
    }

    /**
     * The foods of these names, as far as they are there.
     *
     * @return list<MeasuredFood>
     */
    public function called(string ...$names): array
    {
        return array_values(
            array_filter(array_map(fn(string $name): ?MeasuredFood => $this->named([$name])[0] ?? null, $names)),
        );
    }

    /**
     * What comes near, to be offered.
     *
     * @return list<MeasuredFood>
     */
    public function near(string $name, int $most = 3): array
    {
        return array_map(fn(string $id): MeasuredFood => $this->foods[$id], $this->index()->find($name, $most));
    }

    /**
     * Whether a food is called by all of these words.
     *
     * @param  list<string>  $words
     */
    public function answers(MeasuredFood $food, array $words): bool
    {
        $index = isset($this->foods[$food->id]) ? $this->index() : new NameIndex([$food->id => $food->names]);

        return $index->unanswered(implode(' ', $words), $food->id) === [];
    }

    private function index(): NameIndex
    {
        return $this->index ??= new NameIndex(
            array_map(static fn(MeasuredFood $food): array => $food->names, $this->foods),
        );
    }
}
