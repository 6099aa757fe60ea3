<?php

declare(strict_types=1);

namespace App\Support;

use DateTime;

/**
 * A model that reads each of its columns once: the moment, the word or the list that a text in the table stands for is kept for
 * as long as the text is the same. A kitchen's shelf asks for the same few hundreds of times.
 */
trait ReadOnce
{
    /** @var array<string, array{mixed, mixed}> by column: as the table has it, and as it is read */
    private array $readOnce = [];

    /** @param  string  $key */
    public function getAttribute($key): mixed
    {
        $raw = $this->attributes[$key] ?? null;
        if ($raw === null) {
            return parent::getAttribute($key);
        }
        if (!isset($this->readOnce[$key]) || $this->readOnce[$key][0] !== $raw) {
            $value = $this->transformModelValue($key, $raw);
            if ($value instanceof DateTime) {
                // Whoever gets it may change it.
                return $value;
            }
            $this->readOnce[$key] = [$raw, $value];
        }

        return $this->readOnce[$key][1];
    }
}
