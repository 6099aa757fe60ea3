<?php

declare(strict_types=1);

namespace Tempesal\Core\Message;

use JsonSerializable;

/**
 * Several things in one place of a message, joined as the reader's language joins them.
 */
final readonly class Listed implements JsonSerializable
{
    /**
     * @param  list<string|Message|Day>  $items
     * @param  'and'|'or'|'sentences'  $join
     */
    private function __construct(public array $items, public string $join) {}

    /** @param  list<string|Message|Day>  $items  "a, b and c" */
    public static function all(array $items): self
    {
        return new self($items, 'and');
    }

    /** @param  list<string|Message|Day>  $items  "a, b or c" */
    public static function any(array $items): self
    {
        return new self($items, 'or');
    }

    /** @param  list<Message>  $items  one sentence after another */
    public static function sentences(array $items): self
    {
        return new self($items, 'sentences');
    }

    /** @param  list<string|Message|Day>  $items */
    public static function joined(array $items, string $join): self
    {
        return new self(
            $items,
            match ($join) {
                'or', 'sentences' => $join,
                default => 'and',
            },
        );
    }

    /** @return array{items: list<string|Message|Day>, join: string} */
    public function jsonSerialize(): array
    {
        return ['items' => $this->items, 'join' => $this->join];
    }
}
