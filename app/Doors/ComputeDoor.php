<?php

declare(strict_types=1);

namespace App\Doors;

use App\Pantry\FoodTable;
use Tempesal\Core\Compute\BatchDocument;
use Tempesal\Core\Document\InvalidField;

/**
 * A batch as JSON in, what follows from it out: the core without kitchen, database or screen.
 */
final class ComputeDoor
{
    public const SCHEMA = 'batch.schema.json';

    /**
     * @return array<string, mixed>
     *
     * @throws Refused
     */
    public static function compute(string $text): array
    {
        try {
            $document = BatchDocument::read(JsonDoor::decode($text), FoodTable::pantry());
            JsonDoor::hold($text, self::SCHEMA);

            return $document->compute();
        } catch (InvalidField $refusal) {
            throw Refused::at($refusal->path, $refusal->reason);
        }
    }
}
