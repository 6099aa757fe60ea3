<?php

declare(strict_types=1);

namespace App\Pantry;

use JsonException;

/**
 * The formulas that every kitchen starts with: their figures from database/data/formulas, their texts from the catalogue.
 */
final class FormulaLibrary
{
    /**
     * @return list<array<string, mixed>> by family and name
     *
     * @throws JsonException
     */
    public static function documents(): array
    {
        return array_values(array_filter(array_map(self::read(...), glob(self::path('*')) ?: [])));
    }

    /**
     * @return array<string, mixed>|null null where the library has none of that key
     *
     * @throws JsonException
     */
    public static function document(string $key): ?array
    {
        return preg_match('/^[a-z0-9-]+$/', $key) === 1 && is_file(self::path($key))
            ? self::read(self::path($key))
            : null;
    }

    private static function path(string $key): string
    {
        return dirname(__DIR__, 2) . "/database/data/formulas/{$key}.json";
    }

    /**
     * @return array<string, mixed>|null
     *
     * @throws JsonException
     */
    private static function read(string $file): ?array
    {
        /** @var array<string, mixed>|null $document  a file of this project */
        $document = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);

        return $document === null ? null : LibraryText::document($document);
    }
}
