<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

use BackedEnum;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Quantity;

/**
 * A decoded JSON object that knows where it stands, so that every complaint names the field.
 */
final readonly class Fields
{
    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $path)
    {
    }

    /** @throws InvalidField when it is not an object */
    public static function of(mixed $value, string $path = ''): self
    {
        if (! is_array($value)) {
            throw new InvalidField($path, 'an object is needed here.');
        }

        return new self($value, $path);
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    /** @throws InvalidField */
    public function child(string $key): self
    {
        return self::of($this->values[$key] ?? null, $this->pathTo($key));
    }

    /**
     * @return list<self>
     *
     * @throws InvalidField
     */
    public function each(string $key): array
    {
        $list = $this->values[$key] ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            throw $this->invalid($key, 'a list is needed here.');
        }

        return array_map(
            fn (int $i): self => self::of($list[$i], $this->pathTo($key)."[{$i}]"),
            array_keys($list),
        );
    }

    /** @throws InvalidField */
    public function text(string $key): string
    {
        $value = $this->values[$key] ?? null;
        if (! is_string($value) || trim($value) === '') {
            throw $this->invalid($key, 'a text is needed here.');
        }

        return $value;
    }

    /** @throws InvalidField */
    public function number(string $key, ?float $default = null): float
    {
        $value = $this->values[$key] ?? $default;
        if (! is_int($value) && ! is_float($value)) {
            throw $this->invalid($key, 'a number is needed here.');
        }
        if (! is_finite((float) $value)) {
            throw $this->invalid($key, 'an ordinary number is needed here.');
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
            throw $this->invalid($key, 'a share from 0 to 1 is needed here.');
        }

        return $share;
    }

    public function flag(string $key): bool
    {
        return ($this->values[$key] ?? false) === true;
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
            throw $this->invalid($key, $refusal->getMessage());
        }
    }

    /**
     * A band written as {low, typical, high} or as one number.
     *
     * @throws InvalidField
     */
    public function band(string $key, ?Band $default = null, float $least = 0.0, float $most = 1_000_000.0): Band
    {
        $value = $this->values[$key] ?? null;
        if ($value === null && $default !== null) {
            return $default;
        }
        if (is_array($value)) {
            $parts = $this->child($key);
            try {
                $band = Band::of($parts->number('low'), $parts->number('typical'), $parts->number('high'));
            } catch (InvalidQuantity $refusal) {
                throw $this->invalid($key, $refusal->getMessage());
            }
        } else {
            $band = Band::exact($this->number($key));
        }
        if ($band->low < $least || $band->high > $most) {
            throw $this->invalid($key, sprintf('it must lie between %s and %s.', self::show($least), self::show($most)));
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
        $value = $this->values[$key] ?? null;
        if ($value === null && $default !== null) {
            return $default;
        }
        $case = is_string($value) ? $enum::tryFrom($value) : null;
        if ($case === null) {
            $choices = implode(', ', array_map(static fn (BackedEnum $case): string => (string) $case->value, $enum::cases()));
            throw $this->invalid($key, "one of these is needed here: {$choices}.");
        }

        return $case;
    }

    public function invalid(string $key, string $reason): InvalidField
    {
        return new InvalidField($this->pathTo($key), $reason);
    }

    private function pathTo(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}.{$key}";
    }

    private static function show(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
