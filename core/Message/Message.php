<?php

declare(strict_types=1);

namespace Tempesal\Core\Message;

use JsonSerializable;

/**
 * Something to be told to a person: the code of a sentence in the catalogue (messages/) and the values that it names.
 * The core and the API speak in these; screens, PDF, mail, calendar and doors put them into words.
 *
 * @phpstan-type Value string|int|float|bool|self|Day|Listed
 */
final readonly class Message implements JsonSerializable
{
    /** @param  array<string, Value>  $values */
    public function __construct(public string $code, public array $values = []) {}

    /**
     * @param  string  $code  "subject.name" of the catalogue
     * @param  Value  ...$values  by the names that the sentence gives them
     */
    public static function of(string $code, string|int|float|bool|self|Day|Listed ...$values): self
    {
        /** @var array<string, Value> $values */
        return new self($code, $values);
    }

    /** @return array{code: string, values: object} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'values' => (object) $this->values];
    }

    /** For logs and for what can hold no more than a text: the code, with the values where it has any. */
    public function encode(): string
    {
        return $this->values === []
            ? $this->code
            : $this->code .
                    json_encode(
                        $this->values,
                        JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
                    );
    }

    /** What encode() wrote; null where it is something else. */
    public static function decode(string $encoded): ?self
    {
        if (preg_match('/^([a-z_]+\.[a-z0-9_]+)(\{.*\})?$/s', $encoded, $m) !== 1) {
            return null;
        }
        $values = json_decode($m[2] ?? '{}', true, 16);

        return is_array($values) ? self::read(['code' => $m[1], 'values' => $values]) : null;
    }

    /** @param  array<array-key, mixed>  $written  as jsonSerialize() wrote it; null where it is something else */
    public static function read(array $written): ?self
    {
        $values = [];
        foreach (is_array($written['values'] ?? null) ? $written['values'] : [] as $name => $value) {
            $read = is_array($value) ? self::readValue($value) : $value;
            if (is_scalar($read) || $read instanceof self || $read instanceof Day || $read instanceof Listed) {
                $values[(string) $name] = $read;
            }
        }

        return is_string($written['code'] ?? null) ? new self($written['code'], $values) : null;
    }

    /** @param  array<array-key, mixed>  $value */
    private static function readValue(array $value): self|Day|Listed|null
    {
        if (is_string($value['day'] ?? null)) {
            return new Day($value['day']);
        }
        if (is_array($value['items'] ?? null)) {
            $items = array_values(
                array_filter(
                    array_map(
                        static fn(mixed $item): string|self|Day|null => match (true) {
                            is_string($item) => $item,
                            is_array($item) && is_string($item['day'] ?? null) => new Day($item['day']),
                            is_array($item) => self::read($item),
                            default => null,
                        },
                        $value['items'],
                    ),
                ),
            );

            return Listed::joined($items, is_string($value['join'] ?? null) ? $value['join'] : 'and');
        }

        return self::read($value);
    }
}
