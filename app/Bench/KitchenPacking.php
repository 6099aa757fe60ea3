<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Batch;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Produce\PieceShape;

/**
 * How densely this kitchen packs a food as it is cut: what went in is a fact, and stands before what such pieces usually
 * fill.
 */
final class KitchenPacking
{
    /** So many jars are looked back. */
    private const JARS = 5;

    /** No more than this is learned from one jar: what lies above was pressed down or lies over the rim. */
    private const DENSEST = 0.98;

    /** Share of the room, 0 to 1: the mean of the last jars; null where none says. */
    public static function of(string $foodId, PieceShape $shape): ?float
    {
        $packed = Batch::query()
            ->where('likeness', 'like', "%:{$foodId}")
            ->where('shape', $shape)
            ->whereNotNull('packed')
            ->latest('started_at')
            ->limit(self::JARS)
            ->pluck('packed')
            ->filter(static fn(mixed $share): bool => is_numeric($share));

        return $packed->isEmpty() ? null : (float) $packed->avg();
    }

    /**
     * What a jar says about it: all that went in where some was left out, and where more went in than was thought to
     * fit. A jar that is not full says nothing.
     */
    public static function told(BenchSolution $solution, bool $wasLeftOut): ?float
    {
        $packed = $solution->packedFraction();

        return $packed !== null &&
            $solution->input->vegetableWeight !== null &&
            ($wasLeftOut || $packed > $solution->input->packed())
            ? min(self::DENSEST, $packed)
            : null;
    }
}
