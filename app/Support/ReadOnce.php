<?php

declare(strict_types=1);

namespace App\Support;

use DateTime;

/**
 * A model that reads each of its columns once: the moment, the word or the list that a text in the table stands for is kept for
 * as long as the text is the same. A kitchen's shelf asks for the same few hundreds of times. What is as the table has it, or
 * is nothing there, is not read at all.
 */
trait ReadOnce
{
    /** @var array<string, bool> by column: whether it is what the table has */
    private static array $isPlain = [];

    /** @var array<string, bool> by column: whether what is not there is read as nothing */
    private static array $staysNull = [];

    /** @var array<string, array{mixed, mixed}> by column: as the table has it, and as it is read */
    private array $readOnce = [];

    /** @param  string  $key */
    public function __get($key): mixed
    {
        return $this->getAttribute($key);
    }

    /** @param  string  $key */
    public function __isset($key): bool
    {
        return isset($this->attributes[$key]) || isset($this->relations[$key]) || $this->offsetExists($key);
    }

    /** @param  string  $key */
    public function getAttribute($key): mixed
    {
        $raw = $this->attributes[$key] ?? null;
        if ($raw === null) {
            return match (true) {
                !array_key_exists($key, $this->attributes) => $this->relations[$key] ?? parent::getAttribute($key),
                (self::$staysNull[$key] ??= $this->staysNull($key)) => null,
                default => parent::getAttribute($key),
            };
        }
        if (self::$isPlain[$key] ??= $this->isPlain($key)) {
            return $raw;
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

    private function staysNull(string $key): bool
    {
        return !$this->hasAnyGetMutator($key) && !$this->isClassCastable($key);
    }

    private function isPlain(string $key): bool
    {
        return !$this->hasAnyGetMutator($key) && !$this->hasCast($key) && !in_array($key, $this->getDates(), true);
    }
}
