<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Reads numbers as kitchens say them: digits, fractions, words, dozens, ranges.
 */
final class NumberReader
{
    private const UNITS = [
        'zero' => 0,
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
        'thirteen' => 13,
        'fourteen' => 14,
        'fifteen' => 15,
        'sixteen' => 16,
        'seventeen' => 17,
        'eighteen' => 18,
        'nineteen' => 19,
    ];

    private const TENS = [
        'twenty' => 20,
        'thirty' => 30,
        'forty' => 40,
        'fifty' => 50,
        'sixty' => 60,
        'seventy' => 70,
        'eighty' => 80,
        'ninety' => 90,
    ];

    /** Parts of one, by their word. */
    private const PARTS = [
        'half' => 2,
        'halves' => 2,
        'third' => 3,
        'thirds' => 3,
        'quarter' => 4,
        'quarters' => 4,
        'fourth' => 4,
        'fourths' => 4,
        'fifth' => 5,
        'fifths' => 5,
        'sixth' => 6,
        'sixths' => 6,
        'eighth' => 8,
        'eighths' => 8,
        'tenth' => 10,
        'tenths' => 10,
    ];

    /** Numbers that leave room: typical, low, high. */
    private const LOOSE = [
        'couple' => [2.0, 2.0, 3.0],
        'pair' => [2.0, 2.0, 2.0],
        'few' => [3.0, 2.0, 5.0],
        'several' => [5.0, 3.0, 7.0],
    ];

    /** Where a thousand and a decimal are told apart only by whoever wrote it. */
    private const EITHER = '/^[1-9]\d{0,2}([.,])\d{3}$/';

    /** The least denominators that make "7/9" a fraction and not two numbers. */
    private const DENOMINATORS = [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 16, 32, 64, 100];

    /**
     * A number or a range of numbers; null where there is none.
     *
     * @throws InvalidQuantity
     */
    public static function read(Tokens $tokens): ?NumberRange
    {
        $isSpoken = $tokens->peek()?->isWord() === true;
        $number = self::range($tokens);

        return $isSpoken ? $number?->spoken() : $number;
    }

    private static function range(Tokens $tokens): ?NumberRange
    {
        $isBetween = $tokens->takeWord('between') !== null;
        $first = self::one($tokens);
        if ($first === null) {
            return null;
        }
        $mark = $tokens->mark();
        if ($tokens->takeSign('±', '+/-') !== null) {
            $half = self::one($tokens) ?? throw self::unclear($tokens);

            return new NumberRange(
                max(0.0, $first->typical - $half->typical),
                $first->typical,
                $first->typical + $half->typical,
                "{$first->text} ± {$half->text}",
            );
        }
        $isRange =
            $tokens->takeSign('-', '~', '..') !== null ||
            $tokens->takeWord('to', 'or', 'until', 'till', 'through') !== null ||
            ($isBetween && $tokens->takeWord('and') !== null);
        if (!$isRange) {
            return $first;
        }
        $tokens->takeSign('~') ?? $tokens->takeWord('about', 'maybe', 'even');
        $second = $tokens->peek()?->isWord('a', 'an') === true ? null : self::one($tokens);
        // "1 tbsp to a cup": what follows is no second end of this number.
        if ($second === null) {
            $tokens->back($mark);

            return $first;
        }
        if ($second->typical <= $first->typical) {
            throw new InvalidQuantity(Message::of('errors.amount_descending', text: $tokens->typed(0)));
        }

        return $first->to($second);
    }

    /**
     * One number.
     *
     * @throws InvalidQuantity
     */
    public static function one(Tokens $tokens): ?NumberRange
    {
        $next = $tokens->peek();

        return match (true) {
            $next === null => null,
            $next->kind === TokenKind::Number => self::digits($tokens),
            $next->kind === TokenKind::Fraction => self::withHalf($tokens, self::glyph($tokens)),
            $next->isWord() => self::words($tokens),
            default => null,
        };
    }

    private static function digits(Tokens $tokens): NumberRange
    {
        $token = $tokens->take();
        assert($token !== null);
        $text = str_replace([' ', '\''], '', $token->text);
        if (preg_match('/^\d+$/', $text) !== 1) {
            return self::withPart($tokens, self::decimal($text));
        }
        $whole = (float) $text;
        // 1/2
        if (
            ($bottom = self::bottom($tokens, 0, false)) !== null &&
            (in_array((int) $bottom, self::DENOMINATORS, true) || $bottom === 0.0)
        ) {
            $tokens->skip(2);

            return self::withHalf($tokens, self::fraction($whole, $bottom));
        }
        // 1½
        if ($tokens->peek()?->kind === TokenKind::Fraction) {
            $part = self::glyph($tokens);

            return NumberRange::exact($whole + $part->typical, "{$text} {$part->text}");
        }
        // 1 1/2, 1-1/2
        $dash = $tokens->peek()?->isSign('-') === true && $tokens->peek()->isSpaced === false ? 1 : 0;
        if (
            $tokens->peek($dash)?->isNumber() === true &&
            preg_match('/^\d{1,2}$/', $tokens->peek($dash)->text) === 1 &&
            ($dash === 0 || !$tokens->peek($dash)->isSpaced) &&
            ($bottom = self::bottom($tokens, $dash + 1, false)) !== null
        ) {
            $top = (float) $tokens->peek($dash)->text;
            if ($bottom > 0.0 && $top < $bottom) {
                $tokens->skip($dash + 3);

                return NumberRange::exact($whole + $top / $bottom, "{$text} " . (int) $top . '/' . (int) $bottom);
            }
        }
        if ($dash === 1 && $tokens->peek(1)?->kind === TokenKind::Fraction && !$tokens->peek(1)->isSpaced) {
            $tokens->skip();
            $part = self::glyph($tokens);

            return NumberRange::exact($whole + $part->typical, "{$text} {$part->text}");
        }
        // 3 quarters of
        $parts = self::PARTS[$tokens->peek()->text ?? ''] ?? null;
        if ($parts !== null && $whole < $parts && $tokens->peek(1)?->isWord('of', 'cup', 'teaspoon', 'tsp') === true) {
            $tokens->skip();
            self::takeOf($tokens);

            return NumberRange::exact($whole / $parts, "{$text}/{$parts}");
        }
        if ($tokens->peek()?->isWord('dozen', 'doz', 'hundred', 'thousand') === true) {
            return self::scaled($tokens, $whole) ?? self::decimal($text);
        }

        return self::withPart($tokens, self::decimal($text));
    }

    /** "one and a half", "2 and 1/2". */
    private static function withPart(Tokens $tokens, NumberRange $number): NumberRange
    {
        $mark = $tokens->mark();
        $part = $tokens->takeWord('and') === null ? null : self::partOfOne($tokens);
        if ($part === null) {
            $tokens->back($mark);

            return $number;
        }

        return NumberRange::exact($number->typical + $part->typical, "{$number->text} {$part->text}");
    }

    /** "half", "a half", "1/2", "three quarters": less than one. */
    public static function partOfOne(Tokens $tokens): ?NumberRange
    {
        $mark = $tokens->mark();
        if ($tokens->peek()?->kind === TokenKind::Fraction) {
            return self::glyph($tokens);
        }
        $next = $tokens->peek();
        if ($next?->isNumber() === true && ($bottom = self::bottom($tokens, 1, false)) !== null) {
            $top = (float) $next->text;
            if ($bottom > 0.0 && $top < $bottom) {
                $tokens->skip(3);

                return NumberRange::exact($top / $bottom, "{$next->text}/" . (int) $bottom);
            }

            return null;
        }
        $top = 1;
        if ($tokens->takeWord('a', 'an', 'one') === null) {
            $top = self::UNITS[$tokens->peek()->text ?? ''] ?? 1;
            $tokens->skip($top > 1 ? 1 : 0);
            $top > 1 && $tokens->takeSign('-');
        }
        $parts = self::PARTS[$tokens->peek()->text ?? ''] ?? null;
        if ($parts === null || $top >= $parts) {
            $tokens->back($mark);

            return null;
        }
        $tokens->skip();

        return NumberRange::exact($top / $parts, "{$top}/{$parts}");
    }

    private static function words(Tokens $tokens): ?NumberRange
    {
        $mark = $tokens->mark();
        $word = $tokens->peek()->text ?? '';
        if (($part = self::partOfOne($tokens)) !== null) {
            $tokens->takeSign('-');
            self::takeOf($tokens);
            if ($tokens->takeWord('dozen', 'doz') !== null) {
                $tokens->takeWord('of');

                return NumberRange::exact($part->typical * 12.0, self::plain($part->typical * 12.0));
            }

            return $part;
        }
        if (in_array($word, ['a', 'an'], true)) {
            $tokens->skip();
            $tokens->takeWord('good', 'whole', 'full', 'single') ?? $tokens->takeWord('complete');

            return self::scaled($tokens, null) ?? NumberRange::one();
        }
        if (isset(self::LOOSE[$word]) || in_array($word, ['dozen', 'doz', 'hundred', 'thousand'], true)) {
            return self::scaled($tokens, null);
        }
        $value = self::UNITS[$word] ?? null;
        if ($value !== null) {
            $tokens->skip();
            $number = self::scaled($tokens, (float) $value) ?? NumberRange::exact((float) $value, (string) $value);

            return self::withPart($tokens, $number);
        }
        $tens = self::TENS[$word] ?? null;
        if ($tens !== null) {
            $tokens->skip();
            $dash = $tokens->peek()?->isSign('-') === true ? 1 : 0;
            $ones = self::UNITS[$tokens->peek($dash)->text ?? ''] ?? 0;
            if ($ones > 0 && $ones < 10) {
                $tokens->skip($dash + 1);
                $tens += $ones;
            }
            $number = self::scaled($tokens, (float) $tens) ?? NumberRange::exact((float) $tens, (string) $tens);

            return self::withPart($tokens, $number);
        }
        $tokens->back($mark);

        return null;
    }

    /** "[a] dozen", "two hundred and fifty", "a couple of". */
    private static function scaled(Tokens $tokens, ?float $times): ?NumberRange
    {
        $word = $tokens->peek()->text ?? '';
        if ($times === null && isset(self::LOOSE[$word])) {
            $tokens->skip();
            $tokens->takeWord('of');
            [$typical, $low, $high] = self::LOOSE[$word];

            return new NumberRange(
                $low,
                $typical,
                $high,
                $low === $high ? self::plain($low) : self::plain($low) . '–' . self::plain($high),
            );
        }
        if ($tokens->takeWord('dozen', 'doz') !== null) {
            $tokens->takeWord('of');

            $mark = $tokens->mark();
            $part = $tokens->takeWord('and') === null ? null : self::partOfOne($tokens);
            $part === null && $tokens->back($mark);
            $dozens = (($times ?? 1.0) + ($part->typical ?? 0.0)) * 12.0;

            return NumberRange::exact($dozens, self::plain($dozens))->spoken();
        }
        $scale = match ($tokens->takeWord('hundred', 'thousand')) {
            'hundred' => 100.0,
            'thousand' => 1000.0,
            default => null,
        };
        if ($scale === null) {
            return null;
        }
        $value = ($times ?? 1.0) * $scale;
        $mark = $tokens->mark();
        $tokens->takeWord('and');
        $rest =
            $tokens->peek()?->isWord('a', 'an', 'half', 'quarter', 'couple', 'few') === true
                ? null
                : self::one($tokens);
        if ($rest === null || $rest->typical >= $scale || $rest->typical < 1.0) {
            $tokens->back($mark);
        } else {
            $value += $rest->typical;
        }

        return NumberRange::exact($value, self::plain($value));
    }

    private static function withHalf(Tokens $tokens, NumberRange $number): NumberRange
    {
        if ($tokens->takeWord('dozen', 'doz') !== null) {
            return NumberRange::exact($number->typical * 12.0, self::plain($number->typical * 12.0))->spoken();
        }
        if ($number->typical < 1.0) {
            self::takeOf($tokens);
        }

        return $number;
    }

    /** "half [of] [a]" */
    private static function takeOf(Tokens $tokens): void
    {
        $mark = $tokens->mark();
        $hasOf = $tokens->takeWord('of') !== null;
        if ($tokens->takeWord('a', 'an', 'one') !== null || $tokens->takeWord('the') !== null) {
            return;
        }
        if (!$hasOf) {
            $tokens->back($mark);
        }
    }

    private static function glyph(Tokens $tokens): NumberRange
    {
        $text = $tokens->take()->text ?? '1/1';
        [$top, $bottom] = array_map(floatval(...), explode('/', $text));

        return NumberRange::exact($top / $bottom, $text);
    }

    /** The denominator that follows after a slash; null where none does. */
    private static function bottom(Tokens $tokens, int $ahead, bool $isSpaced): ?float
    {
        $bottom = $tokens->peek($ahead + 1);

        return $tokens->peek($ahead)?->isSign('/') === true &&
            $bottom?->isNumber() === true &&
            preg_match('/^\d{1,3}$/', $bottom->text) === 1
            ? (float) $bottom->text
            : null;
    }

    private static function fraction(float $top, float $bottom): NumberRange
    {
        return $bottom === 0.0
            ? throw new InvalidQuantity(Message::of('errors.amount_fraction'))
            : NumberRange::exact($top / $bottom, self::plain($top) . '/' . self::plain($bottom));
    }

    /** @throws InvalidQuantity */
    private static function decimal(string $text): NumberRange
    {
        $text = rtrim($text, '.,');
        $marks = preg_replace('/\d/', '', $text) ?? '';
        if (preg_match(self::EITHER, $text, $m) === 1) {
            $decimal = (float) str_replace(',', '.', $text);
            $thousands = (float) str_replace($m[1], '', $text);

            return new NumberRange($decimal, $decimal, $decimal, $text, $thousands);
        }
        if (strlen($marks) > 1) {
            $last = $marks[strlen($marks) - 1];
            $isGrouped = preg_match('/^\d{1,3}(?:([.,])\d{3})(?:\1\d{3})*(?:[.,]\d+)?$/', $text) === 1;
            if (!$isGrouped) {
                throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: Tokens::short($text)));
            }
            $isOneMark = count(array_unique(str_split($marks))) === 1;
            $text = $isOneMark
                ? str_replace($last, '', $text)
                : str_replace($last, '.', str_replace($last === '.' ? ',' : '.', '', $text));
        }
        $value = (float) str_replace(',', '.', $text);
        if (!is_finite($value)) {
            throw InvalidQuantity::notFinite();
        }

        return NumberRange::exact($value, ltrim(str_replace(',', '.', $text), '') === '' ? '0' : self::shown($text));
    }

    private static function shown(string $text): string
    {
        $text = str_replace(',', '.', $text);

        return str_starts_with($text, '.') ? "0{$text}" : $text;
    }

    public static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }

    private static function unclear(Tokens $tokens): InvalidQuantity
    {
        return new InvalidQuantity(Message::of('errors.amount_unclear', typed: Tokens::short($tokens->typed(0))));
    }
}
