<?php

declare(strict_types=1);

namespace Tempesal\Core\Message;

use JsonSerializable;

/**
 * A day of the calendar in a message, to be written as the reader writes days.
 */
final readonly class Day implements JsonSerializable
{
    /** @param  string  $date  YYYY-MM-DD */
    public function __construct(public string $date) {}

    /** @return array{day: string} */
    public function jsonSerialize(): array
    {
        return ['day' => $this->date];
    }
}
