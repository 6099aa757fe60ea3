<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

/**
 * When a kitchen has liked a formula best, from its own tastings: the mean of the times at which it was tasted, each
 * counting by how much it was liked beyond "so-so". Too few tastings, or none that was liked, say nothing. The weights
 * are common practice, no source.
 */
final class PreferredRipeness
{
    /** Tastings below which nothing is concluded. */
    public const ENOUGH = 3;

    /** On a scale from 1 to 5: from here on it counts as liked. */
    private const LIKED = 4;

    private const SO_SO = 2;

    /**
     * @param  list<array{float, int}>  $tastings  seconds at the reference temperature, and how it was liked from 1 to
     *     5
     * @return float|null seconds at the reference temperature
     */
    public static function best(array $tastings): ?float
    {
        if (count($tastings) < self::ENOUGH || max(array_column($tastings, 1)) < self::LIKED) {
            return null;
        }
        $sum = $weights = 0.0;
        foreach ($tastings as [$ripened, $liked]) {
            $weight = max(0, $liked - self::SO_SO) ** 2;
            $sum += $weight * $ripened;
            $weights += $weight;
        }

        return $sum / $weights;
    }
}
