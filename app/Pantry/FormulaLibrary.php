<?php

declare(strict_types=1);

namespace App\Pantry;

use JsonException;

/**
 * The formulas that every kitchen starts with: database/data/formulas, one documented JSON file each.
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
        $documents = [];
        foreach (glob(dirname(__DIR__, 2).'/database/data/formulas/*.json') ?: [] as $file) {
            $document = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
            if (is_array($document)) {
                $documents[] = $document;
            }
        }

        return $documents;
    }
}
