<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

use BackedEnum;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Quantity;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * A decoded JSON object that knows where it stands, so that every complaint names the field.
 */
final readonly class Fields
{
    /** Units of time by their word. */
    private const SECONDS = ['seconds' => 1.0, 'minutes' => 60.0, 'hours' => 3600.0, 'days' => 86_400.0];

    private const LONGEST_TEXT = 400;

    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $path, private ReadPaths $seen) {}

    /** @throws InvalidField when it is not an object */
    public static function of(mixed $value, string $path = '', ?ReadPaths $seen = null): self
    {
        if (!is_array($value)) {
            throw new InvalidField($path, Message::of('errors.object'));
        }

        return new self($value, $path, $seen ?? new ReadPaths());
    }

    public function has(string $key): bool
    {
        $this->seen->add($this->pathTo($key));

        return isset($this->values[$key]);
    }

    /** @return list<string> the names of all fields, each of them then counted as read */
    public function names(): array
    {
        $names = array_map(strval(...), array_keys($this->values));
        foreach ($names as $name) {
            $this->seen->add($this->pathTo($name));
        }

        return $names;
    }

    /**
     * The decoded values themselves.
     *
     * @return array<string, mixed>
     */
    public function raw(): array
    {
        $raw = [];
        foreach ($this->values as $key => $value) {
            $raw[(string) $key] = $value;
        }

        return $raw;
    }

    /** The same document with one field as it should have been. */
    public function with(string $key, mixed $value): self
    {
        return new self([...$this->values, $key => $value], $this->path, $this->seen);
    }

    /** @throws InvalidField that names the first field nobody asked for: a slip of the pen, most likely */
    public function refuseUnread(): void
    {
        $unread = $this->seen->firstUnread($this->values, $this->path);
        if ($unread !== null) {
            throw new InvalidField($unread, Message::of('errors.unknown_field'));
        }
    }

    public function isText(string $key): bool
    {
        return is_string($this->value($key));
    }

    public function isNumber(string $key): bool
    {
        return is_int($this->value($key)) || is_float($this->value($key));
    }

    /** @throws InvalidField */
    public function child(string $key): self
    {
        return self::of($this->value($key), $this->pathTo($key), $this->seen);
    }

    /**
     * @return list<self>
     *
     * @throws InvalidField
     */
    public function each(string $key): array
    {
        $list = $this->value($key) ?? [];
        if (!is_array($list) || !array_is_list($list)) {
            throw $this->invalid($key, Message::of('errors.list'));
        }

        return array_map(
            fn(int $i): self => self::of($list[$i], $this->pathTo($key) . "[{$i}]", $this->seen),
            array_keys($list),
        );
    }

    /** @throws InvalidField */
    public function text(string $key): string
    {
        $value = $this->value($key);
        if (!is_string($value) || trim($value) === '') {
            throw $this->invalid($key, Message::of('errors.text'));
        }
        if (mb_strlen($value) > self::LONGEST_TEXT) {
            throw $this->invalid($key, Message::of('errors.text_too_long', most: self::LONGEST_TEXT));
        }

        return $value;
    }

    /** @throws InvalidField */
    public function number(string $key, ?float $default = null): float
    {
        $value = $this->value($key) ?? $default;
        if (!is_int($value) && !is_float($value)) {
            throw $this->invalid($key, Message::of('errors.number'));
        }
        if (!is_finite((float) $value)) {
            throw $this->invalid($key, Message::of('errors.finite'));
        }

        return (float) $value;
    }

    /**
     * A number from 0 to 1.
     *
     * @throws InvalidField
     */
    public function share(string $key, ?float $default = null): float
    {
        $share = $this->number($key, $default);
        if ($share < 0.0 || $share > 1.0) {
            throw $this->invalid($key, Message::of('errors.share'));
        }

        return $share;
    }

    public function flag(string $key): bool
    {
        return $this->value($key) === true;
    }

    /** @throws InvalidField */
    public function grams(string $key = 'grams'): Grams
    {
        return $this->quantity($key, Grams::class);
    }

    /**
     * @template Q of Quantity
     *
     * @param  class-string<Q>  $class
     * @return Q
     *
     * @throws InvalidField
     */
    public function quantity(string $key, string $class): Quantity
    {
        $number = $this->number($key);
        try {
            return $class::of($number);
        } catch (InvalidQuantity $refusal) {
            throw $this->invalid($key, $refusal->explanation());
        }
    }

    /**
     * A band written as {low, typical, high} or as one number.
     *
     * @throws InvalidField
     */
    public function band(string $key, ?Band $default = null, float $least = 0.0, float $most = 1_000_000.0): Band
    {
        $value = $this->value($key);
        if ($value === null && $default !== null) {
            return $default;
        }
        if (is_array($value)) {
            $parts = $this->child($key);
            try {
                $band = Band::of($parts->number('low'), $parts->number('typical'), $parts->number('high'));
            } catch (InvalidQuantity $refusal) {
                throw $this->invalid($key, $refusal->explanation());
            }
        } else {
            $band = Band::exact($this->number($key));
        }
        if ($band->low < $least || $band->high > $most) {
            throw $this->invalid($key, Message::of('errors.between', least: $least, most: $most));
        }

        return $band;
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @param  E|null  $default
     * @return E
     *
     * @throws InvalidField
     */
    public function choice(string $key, string $enum, ?BackedEnum $default = null): BackedEnum
    {
        $value = $this->value($key);
        if ($value === null && $default !== null) {
            return $default;
        }
        $case = is_string($value) ? $enum::tryFrom($value) : null;
        if ($case === null) {
            $choices = Listed::any(
                array_map(static fn(BackedEnum $case): string => (string) $case->value, $enum::cases()),
            );
            throw $this->invalid($key, Message::of('errors.one_of', choices: $choices));
        }

        return $case;
    }

    /**
     * A list of choices, each once; empty when it is left out.
     *
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return list<E>
     *
     * @throws InvalidField
     */
    public function choices(string $key, string $enum): array
    {
        $list = $this->value($key) ?? [];
        if (!is_array($list) || !array_is_list($list)) {
            throw $this->invalid($key, Message::of('errors.list'));
        }
        $items = self::of($list, $this->pathTo($key), $this->seen);
        $chosen = [];
        foreach (array_keys($list) as $i) {
            $case = $items->choice((string) $i, $enum);
            $chosen[$case->value] = $case;
        }

        return array_values($chosen);
    }

    /**
     * A list of texts; empty when it is left out.
     *
     * @return list<string>
     *
     * @throws InvalidField
     */
    public function texts(string $key, int $most): array
    {
        $list = $this->value($key) ?? [];
        if (!is_array($list) || !array_is_list($list)) {
            throw $this->invalid($key, Message::of('errors.list'));
        }
        if (count($list) > $most) {
            throw $this->invalid($key, Message::of('errors.too_many_lines', most: $most));
        }
        $items = self::of($list, $this->pathTo($key), $this->seen);

        return array_map(static fn(int $i): string => $items->text((string) $i), array_keys($list));
    }

    /**
     * A time, given as exactly one of seconds, minutes, hours or days; null when none is there.
     *
     * @throws InvalidField
     */
    public function duration(): ?Seconds
    {
        $given = array_values(array_filter(array_keys(self::SECONDS), fn(string $unit): bool => $this->has($unit)));
        if ($given === []) {
            return null;
        }
        if (count($given) > 1) {
            throw $this->invalid($given[1], Message::of('errors.time_twice', first: $given[0], second: $given[1]));
        }
        $number = $this->number($given[0]);
        try {
            return Seconds::of($number * self::SECONDS[$given[0]]);
        } catch (InvalidQuantity $refusal) {
            throw $this->invalid($given[0], $refusal->explanation());
        }
    }

    /** @throws InvalidField when no time is given */
    public function neededDuration(): Seconds
    {
        return $this->duration() ?? throw $this->invalid('hours', Message::of('errors.time'));
    }

    public function at(): string
    {
        return $this->path;
    }

    public function invalid(string $key, Message $reason): InvalidField
    {
        return new InvalidField($this->pathTo($key), $reason);
    }

    private function value(string $key): mixed
    {
        $this->seen->add($this->pathTo($key));

        return $this->values[$key] ?? null;
    }

    private function pathTo(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}.{$key}";
    }
}
