<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

use Tempesal\Core\TempesalException;
use UnexpectedValueException;

/**
 * A field of a document that cannot be what it says, with the path that leads to it.
 */
final class InvalidField extends UnexpectedValueException implements TempesalException
{
    public function __construct(public readonly string $path, public readonly string $reason)
    {
        parent::__construct($path === '' ? $reason : "{$path}: {$reason}");
    }

    public function within(string $parent): self
    {
        $join = $this->path === '' || str_starts_with($this->path, '[') ? '' : '.';

        return new self($parent.$join.$this->path, $this->reason);
    }
}
