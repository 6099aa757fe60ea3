<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Closure;
use Tempesal\Core\Search\NameIndex;

/**
 * The foods and salts that a phrase can name.
 */
final class FoodShelf
{
    /** @var array<string, MeasuredFood>|null */
    private ?array $foods = null;

    private ?NameIndex $index = null;

    /** @param  iterable<MeasuredFood>|(Closure(): iterable<MeasuredFood>)  $source  asked when a name has to be found */
    public function __construct(private readonly iterable|Closure $source) {}

    public function get(string $id): ?MeasuredFood
    {
        return $this->foods()[$id] ?? null;
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
            fn(string $id): MeasuredFood => $this->foods()[$id],
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
        return array_map(fn(string $id): MeasuredFood => $this->foods()[$id], $this->index()->find($name, $most));
    }

    /**
     * Whether a food is called by all of these words.
     *
     * @param  list<string>  $words
     */
    public function answers(MeasuredFood $food, array $words): bool
    {
        $index = new NameIndex([$food->id => $food->names]);

        return $index->unanswered(implode(' ', $words), $food->id) === [];
    }

    /** @return array<string, MeasuredFood> */
    private function foods(): array
    {
        if ($this->foods !== null) {
            return $this->foods;
        }
        $foods = [];
        foreach ($this->source instanceof Closure ? ($this->source)() : $this->source as $food) {
            $foods[$food->id] = $food;
        }

        return $this->foods = $foods;
    }

    private function index(): NameIndex
    {
        return $this->index ??= new NameIndex(
            array_map(static fn(MeasuredFood $food): array => $food->names, $this->foods()),
        );
    }
}
