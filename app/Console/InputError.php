<?php

declare(strict_types=1);

namespace App\Console;

use App\Language\Words;
use RuntimeException;
use Tempesal\Core\Message\Message;

/**
 * A document that a door does not let in: the path of the field and the reason.
 */
final class InputError extends RuntimeException
{
    private function __construct(public readonly string $path, private readonly Message $why)
    {
        $said = Words::here()->say($why);
        parent::__construct($path === '' ? $said : "{$path}: {$said}");
    }

    public static function at(string $path, Message $why): self
    {
        return new self($path, $why);
    }

    public function explanation(): Message
    {
        return $this->why;
    }
}
