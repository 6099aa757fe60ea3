<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

/**
 * Multiplies every amount in documented steps; times, strengths and shares stay.
 */
final class Scaling
{
    private const AMOUNTS = ['grams', 'water', 'keep', 'juice', 'simmeredAway', 'millilitres'];

    /** In which the salt of a step is said. */
    private const SALT_AMOUNTS = ['share', 'grams', 'millilitres'];

    /** Rounded so far down that only the noise of multiplying and dividing again is left out. */
    private const DECIMALS = 9;

    /** @return mixed the steps with their amounts multiplied */
    public static function of(mixed $steps, float $factor): mixed
    {
        if (!is_array($steps)) {
            return $steps;
        }
        $scaled = [];
        foreach ($steps as $key => $value) {
            $scaled[$key] = in_array($key, self::AMOUNTS, true)
                ? self::amount($value, $factor)
                : self::of($value, $factor);
        }

        return $scaled;
    }

    /** @return mixed the steps with their salt alone multiplied */
    public static function ofSalt(mixed $steps, float $factor): mixed
    {
        if (!is_array($steps)) {
            return $steps;
        }
        $isSalt = array_key_exists('product', $steps);
        $scaled = [];
        foreach ($steps as $key => $value) {
            $scaled[$key] =
                $isSalt && in_array($key, self::SALT_AMOUNTS, true)
                    ? self::amount($value, $factor)
                    : self::ofSalt($value, $factor);
        }

        return $scaled;
    }

    private static function amount(mixed $value, float $factor): mixed
    {
        if (is_array($value)) {
            return array_map(static fn(mixed $part): mixed => self::amount($part, $factor), $value);
        }

        return is_int($value) || is_float($value) ? round($value * $factor, self::DECIMALS) : $value;
    }
}
