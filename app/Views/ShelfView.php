<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Jar;
use App\Pictures\JarPicture;
use Illuminate\Database\Eloquent\Collection;

/**
 * The shelf: the jars that hold something, those that ask for something first, and the jars that are free.
 */
final class ShelfView
{
    private const NOTHING_TO_DO = 99;

    /**
     * @param  Collection<int, Batch>  $batches  newest first
     * @param  Collection<int, Jar>  $jars  with batches_count
     * @return array{batches: list<array<string, mixed>>, emptyJars: list<array<string, mixed>>}
     */
    public static function of(Household $household, Collection $batches, Collection $jars): array
    {
        return [
            'batches' => array_values(
                $batches
                    ->map(
                        static fn(Batch $batch): array => BatchSummary::of(
                            BatchStatus::of($batch, Ledgers::of($batch), $household),
                        ),
                    )
                    ->sortBy(static fn(array $batch): int => $batch['attention']['rank'] ?? self::NOTHING_TO_DO)
                    ->all(),
            ),
            'emptyJars' => array_values(
                $jars
                    ->map(
                        static fn(Jar $jar): array => [
                            'jarId' => $jar->id,
                            'name' => $jar->name,
                            'free' => $jar->how_many - ($jar->batches_count ?? 0),
                            'picture' => JarPicture::empty($jar),
                        ],
                    )
                    ->filter(static fn(array $jar): bool => $jar['free'] > 0)
                    ->all(),
            ),
        ];
    }
}
