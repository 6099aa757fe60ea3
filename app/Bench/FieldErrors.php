<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\InvalidQuantity;

/**
 * Collects what is wrong field by field, so that the cook sees everything at once.
 */
final class FieldErrors
{
    /** @var array<string, list<string>> */
    private array $sentences = [];

    public function add(string $field, string $sentence): void
    {
        $this->sentences[$field][] = $sentence;
    }

    /**
     * What the reading gives, or null after noting why it could not be read.
     *
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null
     */
    public function reading(string $field, callable $read): mixed
    {
        try {
            return $read();
        } catch (InvalidQuantity $refusal) {
            $this->add($field, $refusal->getMessage());

            return null;
        }
    }

    /** @throws ValidationException when anything was noted */
    public function throwIfAny(): void
    {
        if ($this->sentences !== []) {
            throw ValidationException::withMessages($this->sentences);
        }
    }
}
