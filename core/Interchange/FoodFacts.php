<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Search\NameIndex;

/**
 * What reading a recipe needs to know of foods and salts.
 */
final readonly class FoodFacts
{
    /**
     * @param  array<string, string>  $names  of foods by id
     * @param  array<string, float>  $densities  of foods by id, g/ml in the spoon
     * @param  array<string, string>  $saltNames  by id
     * @param  array<string, float>  $saltDensities  by id, g/ml in the spoon
     * @param  list<string>  $starters  ids of foods that bring cultures
     * @param  list<string>  $bulky  ids of foods of which a cup holds pieces and air
     */
    public function __construct(
        private array $names,
        private array $densities,
        private array $saltNames,
        private array $saltDensities,
        private array $starters = [],
        private array $bulky = [],
    ) {}

    public function nameOf(string $id): string
    {
        return $this->names[$id] ?? $id;
    }

    public function isStarter(string $id): bool
    {
        return in_array($id, $this->starters, true);
    }

    public function isBulky(string $id): bool
    {
        return in_array($id, $this->bulky, true);
    }

    public function densityOf(string $id, bool $isSalt): float
    {
        return ($isSalt ? $this->saltDensities[$id] ?? null : $this->densities[$id] ?? null) ?? 1.0;
    }

    /** The salt that a text names clearly; null when it only says "salt", or leaves two open. */
    public function saltNamed(string $text): ?string
    {
        $words = NameIndex::words($text);
        $best = null;
        $most = 0;
        foreach ($this->saltNames as $id => $name) {
            $shared = count(array_intersect($words, array_diff(NameIndex::words($name), ['salt'])));
            if ($shared > $most) {
                [$best, $most] = [$id, $shared];
            } elseif ($shared === $most && $shared > 0) {
                $best = null;
            }
        }

        return $best;
    }
}
