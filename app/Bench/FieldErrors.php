<?php

declare(strict_types=1);

namespace App\Bench;

use App\Support\InvalidInput;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Collects what is wrong field by field, so that the cook sees everything at once.
 */
final class FieldErrors
{
    /** @var array<string, list<Message>> */
    private array $messages = [];

    public function add(string $field, Message $message): void
    {
        $this->messages[$field][] = $message;
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
            $this->add($field, $refusal->explanation());

            return null;
        }
    }

    /** @throws ValidationException when anything was noted */
    public function throwIfAny(): void
    {
        if ($this->messages !== []) {
            throw InvalidInput::of($this->messages);
        }
    }
}
