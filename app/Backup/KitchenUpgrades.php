<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * Turns a kitchen's document of any version before into one of today's, a step at a time. What a step adds has a default in
 * the tables; what the library knows of foods and formulas is brought up to date after the rows are in.
 */
final class KitchenUpgrades
{
    /** The oldest version that is read. */
    public const OLDEST = 1;

    /**
     * @param  array<string, mixed>  $document  of a version from OLDEST to KitchenFile::VERSION
     * @return array<string, mixed>
     */
    public static function toCurrent(array $document): array
    {
        while ($document['version'] < KitchenFile::VERSION) {
            $document = match ($document['version']) {
                1 => self::from1($document),
                default => [...$document, 'version' => KitchenFile::VERSION],
            };
        }

        return $document;
    }

    /**
     * Version 2 counts the changes of rows, says what foods are and by what a pH was read. In version 1 nobody had said any
     * of it: rows begin at their first version, foods go by the library or their names, readings count as strips do.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function from1(array $document): array
    {
        return [...$document, 'version' => 2];
    }
}
