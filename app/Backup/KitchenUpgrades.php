<?php

declare(strict_types=1);

namespace App\Backup;

use Carbon\CarbonImmutable;

/**
 * Turns a kitchen's document of any version before into one of today's, a step at a time. What a step adds has a
 * default in the tables; what the library knows of foods and formulas is brought up to date after the rows are in.
 *
 * @phpstan-type Document array{version: int, household: array<mixed>, rows: array<mixed>, ...<array-key, mixed>}
 */
final class KitchenUpgrades
{
    /** The oldest version that is read. */
    public const OLDEST = 1;

    private const DRESSED = ['kimchi_dry_salted', 'kimchi_soaked', 'salt_and_drain'];

    /**
     * @param  Document  $document  of a version from OLDEST to KitchenFile::VERSION
     * @return Document
     */
    public static function toCurrent(array $document): array
    {
        while ($document['version'] < KitchenFile::VERSION) {
            $document = match ($document['version']) {
                1 => self::from1($document),
                2 => self::from2($document),
                3 => self::from3($document),
                default => [...$document, 'version' => KitchenFile::VERSION],
            };
        }

        return $document;
    }

    /**
     * Version 2 counts the changes of rows, says what foods are and by what a pH was read. In version 1 nobody had said
     * any of it: rows begin at their first version, foods go by the library or their names, readings count as strips
     * do.
     *
     * @param  Document  $document
     * @return Document
     */
    private static function from1(array $document): array
    {
        return [...$document, 'version' => 2];
    }

    /**
     * Version 3 calls the targets of people "intake_targets" what shares of a dish have in common "dish_key", and what
     * was typed at the bench "bench_input". Changes of a week keep the words in which they were written.
     *
     * @param  Document  $document
     * @return Document
     */
    private static function from2(array $document): array
    {
        $rows = $document['rows'];
        $rows['intake_targets'] = $rows['yardsticks'] ?? [];
        unset($rows['yardsticks']);
        $rows['servings'] = self::renamed($rows['servings'] ?? [], 'dish', 'dish_key');
        $rows['batches'] = self::renamed($rows['batches'] ?? [], 'sheet', 'bench_input');

        return [...$document, 'rows' => $rows, 'version' => 3];
    }

    /**
     * Version 4 knows the kinds of pieces in a jar, what is eaten of it, and the steps in which it is made. Jars of
     * before go on as they were: all pieces are one kind, dressed food is served drained, what was written ahead is due.
     *
     * @param  Document  $document
     * @return Document
     */
    private static function from3(array $document): array
    {
        $rows = $document['rows'];
        $rows['batches'] = self::each(
            $rows['batches'] ?? [],
            static fn(array $row): array => [
                ...$row,
                'is_apart' => 0,
                'served' => in_array($row['method'] ?? null, self::DRESSED, true) ? 'pieces' : null,
            ],
        );

        return [...$document, 'rows' => self::inSteps($rows), 'version' => 4];
    }

    /**
     * @param  array<mixed>  $rows
     * @return array<mixed>
     */
    private static function inSteps(array $rows): array
    {
        $now = CarbonImmutable::now();
        $lines = collect(is_array($rows['batch_entries'] ?? null) ? $rows['batch_entries'] : [])
            ->filter(static fn(mixed $row): bool => is_array($row))
            ->sortBy('position')
            ->groupBy('batch_id');
        $steps = $wrote = $ahead = [];
        foreach (is_array($rows['batches'] ?? null) ? $rows['batches'] : [] as $batch) {
            if (!is_array($batch) || !is_string($batch['id'] ?? null)) {
                continue;
            }
            /** @var list<array<string, mixed>> $own */
            $own = $lines->get($batch['id'])?->values()->all() ?? [];
            // What cannot be read is refused with its row, as any other.
            $upgraded = rescue(static fn(): array => StepsOfBefore::of($batch, $own, $now), null, false);
            array_push($steps, ...$upgraded['steps'] ?? []);
            $wrote += $upgraded['wrote'] ?? [];
            array_push($ahead, ...$upgraded['ahead'] ?? []);
        }
        $rows['batch_steps'] = $steps;
        $rows['batch_entries'] = self::each(
            is_array($rows['batch_entries'] ?? null)
                ? array_values(
                    array_filter(
                        $rows['batch_entries'],
                        static fn(mixed $row): bool => !is_array($row) || !in_array($row['id'] ?? null, $ahead, true),
                    ),
                )
                : [],
            static fn(array $row): array => [
                ...$row,
                'batch_step_id' => is_string($row['id'] ?? null) ? $wrote[$row['id']] ?? null : null,
            ],
        );

        return $rows;
    }

    /**
     * Rows, each changed; what is no list of rows stays as it is, and is refused later.
     *
     * @param  callable(array<mixed>): array<mixed>  $change
     */
    private static function each(mixed $rows, callable $change): mixed
    {
        return !is_array($rows)
            ? $rows
            : array_map(static fn(mixed $row): mixed => is_array($row) ? $change($row) : $row, $rows);
    }

    /** Rows with a column under its new name; what is no list of rows stays as it is, and is refused later. */
    private static function renamed(mixed $rows, string $from, string $to): mixed
    {
        return !is_array($rows)
            ? $rows
            : array_map(static function (mixed $row) use ($from, $to): mixed {
                if (!is_array($row) || !array_key_exists($from, $row)) {
                    return $row;
                }
                $row[$to] = $row[$from];
                unset($row[$from]);

                return $row;
            }, $rows);
    }
}
