<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;
use UnexpectedValueException;

/**
 * A field of a document that cannot be what it says, with the path that leads to it.
 */
final class InvalidField extends UnexpectedValueException implements TempesalException
{
    public function __construct(public readonly string $path, private readonly Message $reason)
    {
        parent::__construct($path === '' ? $reason->encode() : "{$path}: {$reason->encode()}");
    }

    public function explanation(): Message
    {
        return $this->reason;
    }

    public function within(string $parent): self
    {
        $join = $this->path === '' || str_starts_with($this->path, '[') ? '' : '.';

        return new self($parent . $join . $this->path, $this->reason);
    }
}
