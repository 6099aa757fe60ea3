<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Keeps a validator from looking at every member of a list that is too long: where a list passes the most it may hold,
 * the rules of its members are left out, and what is said of it is that alone. Looking at thousands of them takes
 * seconds.
 */
final class BoundedLists
{
    /**
     * @param  array<array-key, mixed>  $data
     * @param  array<string, mixed>  $rules
     * @return array<string, mixed> the rules that are worth asking
     */
    public static function prune(array $data, array $rules): array
    {
        foreach ($rules as $key => $rule) {
            $most = self::most($rule);
            if ($most !== null && self::largest($data, explode('.', $key)) > $most) {
                $rules = array_filter(
                    $rules,
                    static fn(string $other): bool => !str_starts_with($other, "{$key}."),
                    ARRAY_FILTER_USE_KEY,
                );
            }
        }

        return $rules;
    }

    /** The most members that a rule allows to a list; null where it is none, or says nothing. */
    private static function most(mixed $rule): ?int
    {
        $parts = array_filter(is_string($rule) ? explode('|', $rule) : (is_array($rule) ? $rule : []), is_string(...));
        $isList =
            array_filter(
                $parts,
                static fn(string $part): bool => $part === 'array' ||
                    $part === 'list' ||
                    str_starts_with($part, 'array:'),
            ) !== [];
        $most = null;
        foreach ($parts as $part) {
            $most = preg_match('/^(?:max|size):(\d+)$/', $part, $found) === 1 ? (int) $found[1] : $most;
        }

        return $isList ? $most : null;
    }

    /** @param  list<string>  $path  with * for every member */
    private static function largest(mixed $data, array $path): int
    {
        if ($path === []) {
            return is_array($data) ? count($data) : 0;
        }
        $first = array_shift($path);
        if (!is_array($data)) {
            return 0;
        }

        return $first === '*'
            ? max([0, ...array_map(static fn(mixed $one): int => self::largest($one, $path), array_values($data))])
            : self::largest($data[$first] ?? null, $path);
    }
}
