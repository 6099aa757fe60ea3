<?php

declare(strict_types=1);

namespace App\Account;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is not soon guessed: long enough, not a common one with a few signs around it, not a run or a repetition,
 * not one's own address or kitchen. Length and the list of common ones after NIST SP 800-63B, 3.1.1.2.
 */
final class PasswordRule implements DataAwareRule, ValidationRule
{
    public const LEAST_CHARACTERS = 10;

    /** What the hash reads of it, in bytes; the rest would count for nothing. */
    public const MOST_BYTES = 72;

    /** So many characters have to be there beside what is guessed at once. */
    private const LEAST_OF_ONES_OWN = 6;

    /** Hashes of common passwords, shortened to so many digits. */
    private const HASH_DIGITS = 10;

    private const ROWS = ['1234567890', 'qwertyuiop', 'qwertzuiop', 'asdfghjkl', 'azertyuiop', 'zxcvbnm', 'yxcvbnm'];

    private const LOOK_ALIKE = [
        '0' => 'o',
        '1' => 'l',
        '3' => 'e',
        '4' => 'a',
        '5' => 's',
        '7' => 't',
        '@' => 'a',
        '$' => 's',
        '!' => 'i',
    ];

    /** @var array<string, int>|null */
    private static ?array $common = null;

    /** @var array<mixed> */
    private array $data = [];

    /** @param  list<string>  $known  words that others know of this cook: address, names */
    public function __construct(private readonly array $known = []) {}

    /** @param  array<mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $told = array_filter(
            [...$this->known, $this->data['email'] ?? null, $this->data['name'] ?? null],
            is_string(...),
        );
        $problem = self::problem(is_string($value) ? $value : '', $told);
        if ($problem !== null) {
            $fail($problem);
        }
    }

    /** @return list<string> the rules of a field for the password that the cook has now */
    public static function current(bool $isAsked = true): array
    {
        return $isAsked ? ['bail', 'required', 'string', 'max:200', 'current_password:web'] : ['nullable'];
    }

    /**
     * @param  array<string>  $known
     * @return string|null  the code of what is wrong with it
     */
    public static function problem(string $password, array $known = []): ?string
    {
        return match (true) {
            mb_strlen($password) < self::LEAST_CHARACTERS => 'errors.password_short',
            strlen($password) > self::MOST_BYTES => 'errors.password_long',
            self::ownCharacters(mb_strtolower($password)) < self::LEAST_OF_ONES_OWN => 'errors.password_simple',
            self::isCommon(mb_strtolower($password)) => 'errors.password_common',
            self::isKnown(mb_strtolower($password), $known) => 'errors.password_own',
            default => null,
        };
    }

    /** How many characters do not follow from those before: in a run, on the keyboard, or by repetition. */
    private static function ownCharacters(string $password): int
    {
        $characters = mb_str_split($password);
        $count = count($characters);
        for ($period = 1; $period * 2 <= $count; $period++) {
            $block = array_slice($characters, 0, $period);
            $repeated = array_slice(array_merge(...array_fill(0, intdiv($count, $period) + 1, $block)), 0, $count);
            if ($repeated === $characters) {
                $characters = $block;
                break;
            }
        }
        $own = 1;
        for ($at = 1; $at < count($characters); $at++) {
            $own += self::follows($characters[$at - 1], $characters[$at]) ? 0 : 1;
        }

        return $own;
    }

    /** Whether one key comes with the other: the same, its neighbour in the alphabet or on the keyboard. */
    private static function follows(string $one, string $other): bool
    {
        if (strlen($one) === 1 && strlen($other) === 1 && abs(ord($one) - ord($other)) <= 1) {
            return true;
        }
        foreach (self::ROWS as $row) {
            if (str_contains($row, $one . $other) || str_contains($row, $other . $one)) {
                return true;
            }
        }

        return $one === $other;
    }

    /** A common one by itself, in signs that look alike, or with digits and signs around it. */
    private static function isCommon(string $password): bool
    {
        foreach ([$password, strtr($password, self::LOOK_ALIKE)] as $one) {
            $core = trim((string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $one));
            $around = mb_strlen($one) - mb_strlen($core);
            if (
                self::isListed($one) ||
                ($around < self::LEAST_OF_ONES_OWN && mb_strlen($core) > 3 && self::isListed($core))
            ) {
                return true;
            }
        }

        return false;
    }

    private static function isListed(string $word): bool
    {
        self::$common ??= array_flip(
            file(base_path('database/data/common-passwords.txt'), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [],
        );

        return isset(self::$common[substr(hash('sha256', $word), 0, self::HASH_DIGITS)]);
    }

    /**
     * Whether little is left of it without what others know.
     *
     * @param  array<string>  $known
     */
    private static function isKnown(string $password, array $known): bool
    {
        $rest = $password;
        foreach (preg_split('/[@.\s]+/', mb_strtolower(implode(' ', $known))) ?: [] as $part) {
            $rest = mb_strlen($part) > 3 ? str_replace($part, '', $rest) : $rest;
        }

        return $rest !== $password && mb_strlen($rest) < self::LEAST_OF_ONES_OWN;
    }
}
