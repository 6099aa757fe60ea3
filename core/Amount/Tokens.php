<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * What was typed, taken apart and read from left to right.
 */
final class Tokens
{
    private const LONGEST = 200;

    private const FRACTIONS = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅙' => '1/6',
        '⅚' => '5/6',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
        '⅒' => '1/10',
    ];

    private const SAME = [
        '−' => '-',
        '–' => '-',
        '—' => '-',
        '‐' => '-',
        '‑' => '-',
        '⁄' => '/',
        '∕' => '/',
        '’' => '\'',
        '‘' => '\'',
        '′' => '\'',
        '“' => '"',
        '”' => '"',
        '″' => '"',
        '×' => '*',
        '≈' => '~',
        '∼' => '~',
        '＋' => '+',
        '％' => '%',
        'º' => '°',
        '˚' => '°',
        '℃' => '° C',
        '℉' => '° F',
        '…' => '..',
        '&' => ' and ',
        "\u{00A0}" => ' ',
        "\u{2009}" => ' ',
        "\u{202F}" => ' ',
        "\t" => ' ',
        "\n" => ' ',
        "\r" => ' ',
    ];

    private const PATTERN =
        '/\G(?<space>\s*)(?:(?<number>\d{1,3}(?:[ \'](?=\d{3}(?!\d))\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)+|[.,]\d+|\d+)' .
        '|(?<fraction>[½⅓⅔¼¾⅛⅜⅝⅞⅙⅚⅕⅖⅗⅘⅒])' .
        '|(?<word>\p{L}[\p{L}\p{M}]*(?:\'[\p{L}]+)?)' .
        '|(?<sign>\.\.|\+\/-|\'\'|[-%‰°"\'\/+~:().,;*=<>±#]))/u';

    private int $at = 0;

    /** @param  list<Token>  $tokens */
    private function __construct(private readonly array $tokens) {}

    /** @throws InvalidQuantity with a sentence that says what cannot be read */
    public static function of(string $typed): self
    {
        if (strlen($typed) > self::LONGEST * 4 || mb_strlen($typed) > self::LONGEST) {
            throw new InvalidQuantity(Message::of('errors.amount_too_long'));
        }
        if (!mb_check_encoding($typed, 'UTF-8')) {
            throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: '?'));
        }
        // "one-half", "good-sized" are two words.
        $text = preg_replace('/(?<=\p{L})-(?=\p{L})/u', ' ', trim(strtr($typed, self::SAME))) ?? '';
        if ($text === '') {
            throw new InvalidQuantity(Message::of('errors.amount_missing'));
        }
        $tokens = [];
        for ($at = 0; $at < strlen($text); $at += strlen($m[0])) {
            if (preg_match(self::PATTERN, $text, $m, PREG_UNMATCHED_AS_NULL, $at) !== 1) {
                throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: self::short($typed)));
            }
            $isSpaced = $m['space'] !== '' || $at === 0;
            $tokens[] = match (true) {
                ($m['number'] ?? null) !== null => new Token(TokenKind::Number, $m['number'], $m['number'], $isSpaced),
                ($m['fraction'] ?? null) !== null => new Token(
                    TokenKind::Fraction,
                    self::FRACTIONS[$m['fraction']],
                    $m['fraction'],
                    $isSpaced,
                ),
                ($m['word'] ?? null) !== null => new Token(
                    TokenKind::Word,
                    mb_strtolower($m['word']),
                    $m['word'],
                    $isSpaced,
                ),
                default => new Token(TokenKind::Sign, (string) $m['sign'], (string) $m['sign'], $isSpaced),
            };
        }

        return new self($tokens);
    }

    public function peek(int $ahead = 0): ?Token
    {
        return $this->tokens[$this->at + $ahead] ?? null;
    }

    public function take(): ?Token
    {
        return $this->tokens[$this->at++] ?? null;
    }

    public function skip(int $tokens = 1): void
    {
        $this->at += $tokens;
    }

    /** Whether the next words are these; they are taken when they are. */
    public function takeWords(string ...$words): bool
    {
        foreach ($words as $i => $word) {
            if (!($this->peek((int) $i)?->isWord($word) ?? false)) {
                return false;
            }
        }
        $this->at += count($words);

        return true;
    }

    public function takeWord(string ...$any): ?string
    {
        $next = $this->peek();
        if ($next === null || !$next->isWord(...$any)) {
            return null;
        }
        $this->at++;

        return $next->text;
    }

    public function takeSign(string ...$any): ?string
    {
        $next = $this->peek();
        if ($next === null || !$next->isSign(...$any)) {
            return null;
        }
        $this->at++;

        return $next->text;
    }

    public function isDone(): bool
    {
        return $this->at >= count($this->tokens);
    }

    public function mark(): int
    {
        return $this->at;
    }

    public function back(int $mark): void
    {
        $this->at = $mark;
    }

    /** What was typed between two places, as words for a sentence. */
    public function typed(int $from, ?int $to = null): string
    {
        $text = '';
        foreach (array_slice($this->tokens, $from, ($to ?? $this->at) - $from) as $token) {
            $text .= ($token->isSpaced ? ' ' : '') . $token->typed;
        }

        return trim($text);
    }

    public static function short(string $typed): string
    {
        return mb_strimwidth(preg_replace('/[\p{C}]+/u', ' ', $typed) ?? '?', 0, 40, '…');
    }
}
