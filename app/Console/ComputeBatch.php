<?php

declare(strict_types=1);

namespace App\Console;

use App\Language\Words;
use App\Pantry\FoodTable;
use Tempesal\Core\Compute\BatchDocument;
use Tempesal\Core\Document\InvalidField;

/**
 * A batch as JSON in, what follows from it out: the core without kitchen, database or screen.
 */
final class ComputeBatch
{
    public const SCHEMA = 'batch.schema.json';

    /**
     * @return array<string, mixed>
     *
     * @throws InputError
     */
    public static function compute(string $text): array
    {
        try {
            $document = BatchDocument::read(JsonInput::decode($text), FoodTable::pantry());
            JsonInput::hold($text, self::SCHEMA);

            return Words::here()->inWords($document->compute());
        } catch (InvalidField $refusal) {
            throw InputError::at($refusal->path, $refusal->explanation());
        }
    }
}
