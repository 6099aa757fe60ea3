<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Reads lengths, temperatures and durations: what is measured without a food.
 */
final class ScaleReader
{
    /** °C: low, typical, high; common practice, no source */
    private const WARMTHS = [
        'room temperature' => [18.0, 21.0, 24.0],
        'room temp' => [18.0, 21.0, 24.0],
        'a warm room' => [22.0, 25.0, 28.0],
        'warm room' => [22.0, 25.0, 28.0],
        'warm' => [22.0, 26.0, 32.0],
        'a cool room' => [14.0, 16.0, 18.0],
        'cool room' => [14.0, 16.0, 18.0],
        'cool' => [12.0, 16.0, 18.0],
        'cellar' => [8.0, 12.0, 15.0],
        'cellar temperature' => [8.0, 12.0, 15.0],
        'basement' => [12.0, 16.0, 19.0],
        'fridge' => [2.0, 4.0, 6.0],
        'fridge cold' => [2.0, 4.0, 6.0],
        'fridge temperature' => [2.0, 4.0, 6.0],
        'refrigerator' => [2.0, 4.0, 6.0],
        'refrigerated' => [2.0, 4.0, 6.0],
        'in the fridge' => [2.0, 4.0, 6.0],
        'freezing' => [-2.0, 0.0, 2.0],
        'ice cold' => [0.0, 2.0, 5.0],
        'freezer' => [-22.0, -18.0, -12.0],
        'lukewarm' => [32.0, 37.0, 42.0],
        'tepid' => [27.0, 32.0, 38.0],
        'blood warm' => [35.0, 37.0, 39.0],
        'blood heat' => [35.0, 37.0, 39.0],
        'body temperature' => [36.0, 37.0, 38.0],
        'hand warm' => [32.0, 37.0, 42.0],
        'boiling' => [96.0, 100.0, 101.0],
        'simmering' => [85.0, 92.0, 98.0],
    ];

    /** Hours: low, typical, high; common practice, no source */
    private const SPELLS = [
        'overnight' => [8.0, 10.0, 14.0],
        'over night' => [8.0, 10.0, 14.0],
        'all night' => [8.0, 10.0, 14.0],
        'a night' => [8.0, 10.0, 14.0],
        'one night' => [8.0, 10.0, 14.0],
        'all day' => [8.0, 10.0, 14.0],
        'a day and a night' => [22.0, 24.0, 28.0],
        'a weekend' => [40.0, 48.0, 60.0],
        'over the weekend' => [40.0, 48.0, 60.0],
        'a moment' => [0.005, 0.015, 0.05],
        'a season' => [1600.0, 2190.0, 2300.0],
    ];

    private const ASIDE = [
        'headspace',
        'gap',
        'of',
        'deep',
        'thick',
        'wide',
        'long',
        'tall',
        'high',
        'across',
        'diameter',
        'the',
        'in',
        'pieces',
        'piece',
        'sticks',
        'slices',
        'rounds',
        'coins',
        'cubes',
        'chunks',
        'thickness',
        'length',
        'top',
        'from',
        'at',
        'for',
        'soak',
        'soaking',
        'or',
        'so',
        'room',
        'temperature',
        'fridge',
        'total',
        'max',
        'maximum',
        'tops',
        'maybe',
        'time',
        'old',
        'clear',
        'space',
        'empty',
        'left',
        'below',
        'rim',
        'about',
        'apart',
        'strips',
        'fermenting',
        'ferment',
        'brine',
        'water',
        'air',
        'kitchen',
        'on',
        'counter',
        'outside',
        'inside',
        'each',
        'mouth',
        'width',
        'height',
        'longer',
        'until',
        'than',
        'more',
        'less',
        'a',
        'little',
        'bit',
        'days',
        'straight',
    ];

    /** What a phrase is about where its field does not say so; null: an amount. */
    public static function kindOf(string $typed, bool $hasFood): ?FieldKind
    {
        $text = mb_strtolower(trim(mb_substr($typed, 0, 200)));

        return match (true) {
            isset(self::WARMTHS[$text]),
            preg_match('/°|º|\b(?:degrees?|deg|fahrenheit|celsius|centigrade)\b/u', $text) === 1,
            !$hasFood &&
                preg_match('/^[^\p{L}\/½⅓⅔¼¾⅛.,]*\d(?:[.,]\d)?\s*(?:[Ff]|C|to\s+\d+\s*[CFf])$/u', trim($typed)) === 1,
            !$hasFood && preg_match('/^\d\d\s*c$/', $text) === 1
                => FieldKind::Temperature,
            isset(self::SPELLS[$text]),
            preg_match(
                '/(?:\b|\d)(?:hours?|hrs?|h|mins?|minutes?|days?|d|weeks?|wks?|fortnights?|months?|secs?|seconds?|overnight|nights?)\b(?:\s+or\s+(?:two|so|three))?\.?$/u',
                $text,
            ) === 1 && preg_match('/\b(?:per|a day\'s)\b/u', $text) !== 1
                => FieldKind::Duration,
            !$hasFood &&
                preg_match(
                    '/(?:[\d½⅓⅔¼¾⅛]\s*|\b(?:an?|half|quarter|two|three|four|five|six)\s+|\-)(?:inch(?:es)?|ins?|cms?|mm|"|″|\'\'|fingers?|centimet(?:re|er)s?|millimet(?:re|er)s?)(?:\s+(?:of\s+)?(?:headspace|gap|thick|long|deep|wide))?\.?$/u',
                    $text,
                ) === 1
                => FieldKind::Length,
            default => null,
        };
    }

    /** @throws InvalidQuantity */
    public static function length(string $typed, KitchenUnits $units): AmountReading
    {
        if (preg_match('/\d\s*[x×*]\s*\d/ui', $typed) === 1) {
            throw new InvalidQuantity(Message::of('errors.length_one'));
        }

        return self::scale($typed, $units, Dimension::Length, ReadingKind::Length, 'mm');
    }

    /** @throws InvalidQuantity */
    public static function duration(string $typed, KitchenUnits $units): AmountReading
    {
        $text = mb_strtolower(trim(mb_substr($typed, 0, 200)));
        $spell =
            self::SPELLS[trim(preg_replace('/\b(?:in the fridge|in water|soak|about|in brine)\b/', '', $text) ?? '')] ??
            null;
        if ($spell !== null) {
            return new AmountReading(
                ReadingKind::Duration,
                'h',
                Band::of(...$spell),
                Message::of('say.typed', text: $text),
            );
        }
        $typed =
            preg_replace(
                ['/^\s*(\d{1,2}):(\d{2})\s*(?:h|hrs?|hours?)?\s*$/i', '/(\d)\s*h\s*(\d{1,2})\s*(?:m|min)?\s*$/i'],
                ['$1 h $2 min', '$1 h $2 min'],
                $typed,
            ) ?? $typed;

        return self::scale($typed, $units, Dimension::Duration, ReadingKind::Duration, 'h');
    }

    /** @throws InvalidQuantity */
    public static function temperature(string $typed, KitchenUnits $units): AmountReading
    {
        $text = preg_replace('/\s+/', ' ', mb_strtolower(trim(mb_substr($typed, 0, 200)))) ?? '';
        if (isset(self::WARMTHS[$text])) {
            return new AmountReading(
                ReadingKind::Temperature,
                'C',
                Band::of(...self::WARMTHS[$text]),
                Message::of('say.typed', text: $text),
            );
        }
        $tokens = Tokens::of($typed);
        $isAbout =
            $tokens->takeSign('~') !== null ||
            $tokens->takeWord('about', 'around', 'roughly', 'approx', 'ca', 'at') !== null;
        $second = null;
        $degrees = self::degrees($tokens);
        if ($degrees === null) {
            throw self::unclear($typed);
        }
        [$first, $unit] = $degrees;
        if (($tokens->takeSign('-', '..') ?? $tokens->takeWord('to', 'or', 'and')) !== null) {
            [$second, $unit2] = self::degrees($tokens) ?? throw self::unclear($typed);
            $unit ??= $unit2;
            if ($unit2 !== null && $unit2 !== $unit) {
                throw self::unclear($typed);
            }
        }
        while (($next = $tokens->take()) !== null) {
            if (!$next->isSign('.', ',', '(', ')') && !$next->isWord(...self::ASIDE)) {
                throw new InvalidQuantity(Message::of('errors.amount_word', word: Tokens::short($next->typed)));
            }
        }
        $number = $second === null ? $first : $first->to($second);
        if ($number->low > $number->high) {
            throw self::unclear($typed);
        }
        $unit ??= self::bareDegrees($number, $units);
        $celsius = static fn(float $value): float => $unit === 'F' ? (($value - 32.0) * 5.0) / 9.0 : $value;
        $slack = $isAbout ? 1.5 : 0.0;
        $band = Band::of($celsius($number->low) - $slack, $celsius($number->typical), $celsius($number->high) + $slack);
        if ($band->low < -60.0 || $band->high > 300.0) {
            throw new InvalidQuantity(Message::of('errors.temperature_range'));
        }

        return new AmountReading(
            ReadingKind::Temperature,
            'C',
            $band,
            $unit === 'F'
                ? Message::of('say.fahrenheit', number: $number->text)
                : Message::of('say.plain', text: "{$number->text} °C"),
        );
    }

    /** @return array{NumberRange, 'C'|'F'|null}|null */
    private static function degrees(Tokens $tokens): ?array
    {
        $isNegative = $tokens->takeSign('-') !== null || $tokens->takeWord('minus') !== null;
        $number = NumberReader::read($tokens);
        if ($number === null || $number->isArticle) {
            return null;
        }
        $tokens->takeSign('°');
        $tokens->takeWord('degrees', 'degree', 'deg', 'degs');
        $tokens->takeSign('.');
        $unit = match ($tokens->takeWord('c', 'celsius', 'centigrade', 'f', 'fahrenheit')) {
            'c', 'celsius', 'centigrade' => 'C',
            'f', 'fahrenheit' => 'F',
            default => null,
        };

        return [
            $isNegative
                ? new NumberRange(-$number->high, -$number->typical, -$number->low, "-{$number->text}")
                : $number,
            $unit,
        ];
    }

    /**
     * Degrees of which nobody said which: those of the kitchen, as long as only they make sense.
     *
     * @return 'C'|'F'
     *
     * @throws AskedAmount
     */
    private static function bareDegrees(NumberRange $number, KitchenUnits $units): string
    {
        $isWarm = $number->typical > 45.0;
        if ($units->usesFahrenheit ? $isWarm : !$isWarm) {
            return $units->usesFahrenheit ? 'F' : 'C';
        }
        // Below freezing in Fahrenheit, above any kitchen in Celsius.
        if ($units->usesFahrenheit && $number->high < 32.0) {
            return 'C';
        }
        $offers = [];
        foreach (['C', 'F'] as $unit) {
            $celsius = static fn(float $value): float => $unit === 'F' ? (($value - 32.0) * 5.0) / 9.0 : $value;
            $offers["{$number->text} {$unit}"] = new AmountReading(
                ReadingKind::Temperature,
                'C',
                Band::of($celsius($number->low), $celsius($number->typical), $celsius($number->high)),
                $unit === 'F'
                    ? Message::of('say.fahrenheit', number: $number->text)
                    : Message::of('say.plain', text: "{$number->text} °C"),
            );
        }
        throw AskedAmount::between(Message::of('errors.temperature_which'), $offers);
    }

    private static function scale(
        string $typed,
        KitchenUnits $units,
        Dimension $dimension,
        ReadingKind $kind,
        string $base,
    ): AmountReading {
        $phrase = PhraseParser::parse($typed, $units->habit, $dimension);
        if ($phrase->share !== null || $phrase->per !== null) {
            throw self::unclear($typed);
        }
        [$band, $said] = self::sum($phrase->amount, $dimension, $base, $units);
        if ($phrase->until !== null) {
            [$until, $to] = self::sum($phrase->until, $dimension, $base, $units);
            [$band, $said] = [Bands::span($band, $until), Message::of('say.range', from: $said, to: $to)];
        }
        foreach ($phrase->same as $same) {
            [$also, $second] = self::sum($same, $dimension, $base, $units);
            if ($also->typical > 1.15 * $band->high || $also->typical < 0.85 * $band->low) {
                throw AskedAmount::between(Message::of('errors.amount_twice'), [
                    $phrase->head => new AmountReading($kind, $base, $band, $said),
                    trim($phrase->rest, '() /=') => new AmountReading($kind, $base, $also, $second),
                ]);
            }
        }

        return new AmountReading($kind, $base, $band, $said);
    }

    /** @return array{Band, Message} */
    private static function sum(Quantity $quantity, Dimension $dimension, string $base, KitchenUnits $units): array
    {
        foreach ($quantity->words as $word) {
            if (!in_array($word, self::ASIDE, true)) {
                throw new InvalidQuantity(Message::of('errors.amount_word', word: Tokens::short($word)));
            }
        }
        [$band, $said] = [null, null];
        foreach ($quantity->parts as $part) {
            $unit = $part->unit ?? self::bare($part, $dimension, $units);
            if ($unit->dimension !== $dimension) {
                throw new InvalidQuantity(
                    Message::of(
                        $dimension === Dimension::Length ? 'errors.amount_no_such_length' : 'errors.amount_no_duration',
                    ),
                );
            }
            $more = Bands::product($part->number->band(), $unit->factor);
            $text =
                $unit->key === $base || ($base === 'h' && $unit->key === 'hour' && $part->number->text === '1')
                    ? Message::of('say.plain', text: "{$part->number->text} {$base}")
                    : Message::of(
                        "say_unit.{$unit->key}",
                        number: $part->number->text,
                        isMany: $part->number->typical > 1.0 ? 'yes' : 'no',
                    );
            $band = $band === null ? $more : ($part->isLess ? Bands::less($band, $more) : Bands::sum($band, $more));
            $said =
                $said === null
                    ? $text
                    : Message::of($part->isLess ? 'say.less' : 'say.sum', first: $said, second: $text);
        }
        return [$band, $said];
    }

    /**
     * A number without a unit stands in the unit of the field: millimetres, hours. In a kitchen of inches it can be
     * those.
     */
    private static function bare(Part $part, Dimension $dimension, KitchenUnits $units): Unit
    {
        if ($part->number->isArticle) {
            throw new InvalidQuantity(Message::of('errors.amount_unit_missing'));
        }
        if ($dimension === Dimension::Duration) {
            return Unit::exact('hour', Dimension::Duration, 1.0);
        }
        if ($units->usesInches && $part->number->typical <= 12.0) {
            $text = $part->number->text;
            $offer = static fn(string $key, float $factor): AmountReading => new AmountReading(
                ReadingKind::Length,
                'mm',
                $part->number->band()->times($factor),
                Message::of("say_unit.{$key}", number: $text, isMany: $part->number->typical > 1.0 ? 'yes' : 'no'),
            );
            throw AskedAmount::between(Message::of('errors.length_which'), [
                "{$text} in" => $offer('inch', 25.4),
                "{$text} mm" => $offer('mm', 1.0),
            ]);
        }

        return Unit::exact('mm', Dimension::Length, 1.0);
    }

    private static function unclear(string $typed): InvalidQuantity
    {
        return new InvalidQuantity(Message::of('errors.amount_unclear', typed: Tokens::short($typed)));
    }
}
