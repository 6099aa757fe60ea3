<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\SpoonFill;
use Tempesal\Core\Message\Message;

/**
 * Weighs what was said: numbers with units, and what is counted.
 */
final readonly class Weigher
{
    /** A jug or a cup of liquid, filled by eye; handbook figure, common practice. */
    private const POURED = [0.97, 1.0, 1.03];

    /** How full a cup is, where a word says so; spoons have their own. Common practice, no source. */
    private const CUP_FILLS = [
        'rounded' => [1.05, 1.15, 1.35],
        'heaped' => [1.1, 1.3, 1.6],
        'scant' => [0.82, 0.9, 0.97],
        'generous' => [1.03, 1.12, 1.3],
    ];

    /** How much more or less a handful is that is called large or small. */
    private const HANDS = [
        'tiny' => [0.35, 0.5, 0.7],
        'small' => [0.5, 0.65, 0.85],
        'medium' => [0.8, 1.0, 1.25],
        'large' => [1.15, 1.4, 1.8],
        'huge' => [1.4, 1.8, 2.5],
    ];

    /** More of a thing than anybody counts, and more grams than anybody ferments. */
    private const MOST_COUNTED = 60.0;

    private const MOST_COUNTED_G = 6000.0;

    public function __construct(private FoodShelf $shelf, private Habit $habit) {}

    /**
     * An amount with units, weighed where its food is known.
     *
     * @throws InvalidQuantity
     */
    public function weigh(Quantity $quantity, ?MeasuredFood $food): AmountReading
    {
        $readings = [];
        $isOne = count($quantity->parts) === 1;
        foreach ($quantity->parts as $part) {
            $readings[] = [
                $part,
                $this->part($part, $food, $quantity->cut, $quantity->words, !$isOne || $food === null),
            ];
        }
        [, $first] = $readings[0];
        $band = $first->band;
        $said = $first->said;
        foreach (array_slice($readings, 1) as [$part, $more]) {
            if ($more->unit !== $first->unit || ($food === null && $more->kind !== $first->kind)) {
                throw new InvalidQuantity(Message::of('errors.amount_mixed'));
            }
            $band = $part->isLess ? Bands::less($band, $more->band) : Bands::sum($band, $more->band);
            $said = Message::of($part->isLess ? 'say.less' : 'say.sum', first: $said, second: $more->said);
        }
        if ($first->unit === 'g') {
            Grams::of($band->high);
        }
        $said = match (true) {
            $food === null || $first->kind === ReadingKind::Count => $said,
            $first->kind === ReadingKind::Mass => $said,
            $quantity->cut !== null && $food->isCut => Message::of(
                'say.of_cut',
                amount: $said,
                food: $food->label,
                cut: $quantity->cut,
            ),
            default => Message::of('say.of', amount: $said, food: $food->label),
        };
        $fill = $quantity->parts[0]->fill;
        if ($isOne && $food !== null && $fill !== '' && $fill !== 'level' && $first->kind !== ReadingKind::Mass) {
            $said = Message::of('say.filled', amount: $said, fill: $fill);
        }

        return new AmountReading(
            $first->kind,
            $first->unit,
            $band,
            $said,
            null,
            $food,
            $first->count,
            $first->volume,
            self::levelMl($quantity),
            $fill,
        );
    }

    /** A number without a unit: so many of what is counted, or grams. */
    public function bare(Quantity $quantity, ?MeasuredFood $food, bool $isNamed): AmountReading
    {
        $part = $quantity->parts[0];
        $number = self::settled($part->number, '');
        if ($number->isArticle && !$isNamed) {
            throw new InvalidQuantity(Message::of('errors.amount_of_what'));
        }
        $grams = new AmountReading(
            ReadingKind::Mass,
            'g',
            Band::of($number->low, $number->typical, $number->high),
            Message::of('say.plain', text: "{$number->text} g"),
            null,
            $food,
        );
        Grams::of($number->high);
        $one = $food?->piece('one', $part->size);
        if ($food === null || $one === null) {
            if ($isNamed || $part->size !== '' || $quantity->cut !== null) {
                throw new InvalidQuantity(
                    $food === null
                        ? Message::of('errors.amount_unit_missing')
                        : Message::of('errors.amount_not_counted', food: $food->label),
                );
            }
            // "half", "a few": nobody says grams so.
            return $number->isSpoken ? throw new InvalidQuantity(Message::of('errors.amount_unit_missing')) : $grams;
        }
        $counted = $this->counted($part->withNumber($number), $food, 'one');
        // Cloves and heads are both called garlic.
        if (isset($food->pieces['clove'])) {
            $offers = [
                "{$number->text} clove" => $this->counted(
                    $part->withNumber($number)->withUnit(Unit::exact('clove', Dimension::Count, 1.0)),
                    $food,
                    'clove',
                ),
                "{$number->text} head" => $this->counted(
                    $part->withNumber($number)->withUnit(Unit::exact('head', Dimension::Count, 1.0)),
                    $food,
                    'head',
                ),
            ];

            throw AskedAmount::between(
                Message::of('errors.amount_count_or_weight'),
                $isNamed ? $offers : [...$offers, "{$number->text} g" => $grams],
            );
        }
        if ($isNamed || $part->size !== '' || $number->isSpoken) {
            return $counted;
        }
        $isCount = $number->typical <= self::MOST_COUNTED && $counted->band->typical <= self::MOST_COUNTED_G;
        $isWeight = $number->isWhole() && $number->typical >= 0.3 * $one->typical;

        return match (true) {
            $isCount && $isWeight => throw AskedAmount::between(Message::of('errors.amount_count_or_weight'), [
                "{$number->text} {$food->names[0]}" => $counted,
                "{$number->text} g" => $grams,
            ]),
            $isCount => $counted,
            default => $grams,
        };
    }

    private function counted(Part $part, MeasuredFood $food, string $noun): AmountReading
    {
        $one =
            $food->piece($noun, $part->size) ??
            throw new InvalidQuantity(
                Message::of(
                    'errors.amount_piece_unknown',
                    piece: Message::of("say_unit.{$noun}", number: '1', isMany: 'no'),
                    food: $food->label,
                ),
            );
        $number = $part->number;
        $band = Bands::product(
            Bands::several($one, $number->typical)->times(1.0 / max($number->typical, 1e-9)),
            $number->band(),
        );
        Grams::of($band->high);
        $said =
            $part->unit === null || $noun === 'one' || $this->shelf->answers($food, [$noun])
                ? Message::of('say.times', number: $number->text, food: $food->label)
                : Message::of('say.of', amount: self::unitSaid($part), food: $food->label);

        return new AmountReading(
            ReadingKind::Count,
            'g',
            $band,
            $part->size === '' ? $said : Message::of('say.sized', said: $said, size: $part->size),
            null,
            $food,
            $number->typical,
        );
    }

    /** @param  list<string>  $words */
    private function part(Part $part, ?MeasuredFood $food, ?string $cut, array $words, bool $isFilled): AmountReading
    {
        $unit = $part->unit;
        if ($unit === null) {
            throw new InvalidQuantity(Message::of('errors.amount_unit_missing'));
        }
        $number = self::settled($part->number, $unit->key);
        $part = $part->withNumber($number);
        $said = self::unitSaid($isFilled ? $part : $part->withFill(''));
        if ($part->fill !== '' && $unit->dimension === Dimension::Mass && $part->fill !== 'generous') {
            throw new InvalidQuantity(Message::of('errors.amount_fill'));
        }
        $of = static fn(
            ReadingKind $kind,
            string $in,
            Band $band,
            ?Band $volume = null,
        ): AmountReading => new AmountReading($kind, $in, $band, $said, null, $food, null, $volume);

        switch ($unit->dimension) {
            case Dimension::Mass:
                $band = $number->band()->times($unit->factor->typical);

                return new AmountReading(
                    ReadingKind::Mass,
                    'g',
                    $part->fill === 'generous' ? Bands::product($band, Band::of(1.0, 1.06, 1.15)) : $band,
                    $unit->key === 'g' ? Message::of('say.plain', text: "{$number->text} g") : $said,
                    null,
                    $food,
                );
            case Dimension::Volume:
                $this->settlePint($part, $food);
                $volume = Bands::product($number->band(), $unit->factor, self::fill($part, $food));

                return $food === null
                    ? $of(
                        ReadingKind::Volume,
                        'ml',
                        $unit->key === 'ml' ? $number->band() : $volume,
                        $unit->key === 'ml' ? $number->band() : $volume,
                    )
                    : $of(
                        ReadingKind::Volume,
                        'g',
                        Bands::product($volume, $food->bulk($cut, $part->fill === 'packed', $unit->isSpoon)),
                        $volume,
                    );
            case Dimension::Count:
                if ($food === null) {
                    throw new InvalidQuantity(Message::of('errors.amount_of_what'));
                }
                $noun = $unit->key;
                // A bay leaf is called by its leaf.
                if ($food->piece($noun) === null && $words !== [] && $this->shelf->answers($food, [$words[0]])) {
                    $noun = 'one';
                }

                return $this->counted($part, $food, $noun);
            case Dimension::Length:
                $perCm =
                    $food?->perCentimetre() ??
                    throw new InvalidQuantity(
                        $food === null
                            ? Message::of('errors.amount_of_what')
                            : Message::of('errors.amount_no_length', food: $food->label),
                    );

                return new AmountReading(
                    ReadingKind::Count,
                    'g',
                    Bands::product($number->band(), $unit->factor->times(0.1), $perCm),
                    Message::of('say.of', amount: $said, food: $food->label),
                    null,
                    $food,
                );
            case Dimension::Unmeasured:
                return $this->unmeasured($part, $food, $cut, $said);
            default:
                throw new InvalidQuantity(Message::of('errors.amount_unit', unit: $unit->key));
        }
    }

    private function unmeasured(Part $part, ?MeasuredFood $food, ?string $cut, Message $said): AmountReading
    {
        $unit = $part->unit;
        assert($unit !== null);
        $one = match (true) {
            $food === null => $unit->factor,
            in_array($unit->key, ['forkful', 'fork', 'mouthful', 'bite'], true) => $food->forkful(),
            in_array($unit->key, ['spoonful', 'spoon'], true) => $food->spoonful(),
            isset($food->pieces[$unit->key]) => $food->pieces[$unit->key],
            default => Bands::product($unit->factor, $food->bulk($cut, false)),
        };
        $more = match (true) {
            $part->size !== '' => Band::of(...self::HANDS[$part->size]),
            $part->fill === 'generous', $part->fill === 'heaped', $part->fill === 'rounded' => Band::of(1.1, 1.35, 1.8),
            $part->fill === 'scant' => Band::of(0.6, 0.8, 0.95),
            default => Band::exact(1.0),
        };
        $band = Bands::product($one, $part->number->band(), $more);

        return new AmountReading(ReadingKind::Unmeasured, $food === null ? 'ml' : 'g', $band, $said, null, $food);
    }

    /** ml of the spoons and cups themselves; null where they are no exact number of one fill. */
    private static function levelMl(Quantity $quantity): ?float
    {
        $ml = 0.0;
        foreach ($quantity->parts as $part) {
            $unit = $part->unit;
            if (
                $unit?->dimension !== Dimension::Volume ||
                !$unit->factor->isExact() ||
                !$part->number->band()->isExact() ||
                $part->fill !== $quantity->parts[0]->fill
            ) {
                return null;
            }
            $ml += ($part->isLess ? -1.0 : 1.0) * $part->number->typical * $unit->factor->typical;
        }

        return $ml < 0.0 ? null : $ml;
    }

    /** How full a spoon or a cup is. */
    private static function fill(Part $part, ?MeasuredFood $food): Band
    {
        $unit = $part->unit;
        assert($unit !== null);
        $fill = $part->fill === 'packed' ? '' : $part->fill;
        if ($unit->isSpoon) {
            return match ($fill) {
                '', 'level' => SpoonFill::Level->factor(),
                default => SpoonFill::from($fill)->factor(),
            };
        }
        if ($fill !== '' && $fill !== 'level') {
            return Band::of(...self::CUP_FILLS[$fill]);
        }

        return in_array($unit->key, ['ml', 'l', 'cl', 'dl'], true) || $food?->isCut === true
            ? Band::exact(1.0)
            : Band::of(...self::POURED);
    }

    /**
     * Pints, quarts and gallons where neither the US nor the UK measure is the kitchen's own.
     *
     * @throws AskedAmount
     */
    private function settlePint(Part $part, ?MeasuredFood $food): void
    {
        $key = str_replace('uk_', '', $part->unit->key ?? '');
        if ($this->habit !== Habit::Metric || $part->isSettled || !in_array($key, ['pint', 'quart', 'gallon'], true)) {
            return;
        }
        $offers = [];
        foreach (['US' => Habit::Us, 'UK' => Habit::Uk] as $country => $habit) {
            $unit = Units::customary($key, $habit);
            $offers[
                "{$part->number->text} {$country} {$key}" . ($food === null ? '' : " {$food->names[0]}")
            ] = $this->weigh(new Quantity([$part->withUnit($unit)->settled()]), $food);
        }
        throw AskedAmount::between(Message::of('errors.no_pint'), $offers);
    }

    /**
     * The number, where a thousand and a decimal are told apart; otherwise the cook is asked.
     *
     * @throws AskedAmount
     */
    public static function settled(NumberRange $number, string $unit): NumberRange
    {
        if ($number->thousands === null) {
            return $number;
        }
        // Nobody has a thousand kilograms or cups.
        if (!in_array($unit, ['', 'g', 'mg', 'ml'], true)) {
            return $number;
        }
        $sign = $unit === '' ? 'g' : $unit;
        $offers = [];
        foreach ([$number->thousands, $number->typical] as $value) {
            $factor = $sign === 'mg' ? 0.001 : 1.0;
            $offers[NumberReader::plain($value) . " {$sign}"] = new AmountReading(
                $sign === 'ml' ? ReadingKind::Volume : ReadingKind::Mass,
                $sign === 'ml' ? 'ml' : 'g',
                Band::exact($value * $factor),
                Message::of('say.plain', text: NumberReader::plain($value) . " {$sign}"),
            );
        }
        throw AskedAmount::between(
            Message::of(
                'errors.amount_ambiguous',
                first: NumberReader::plain($number->thousands),
                second: NumberReader::plain($number->typical),
            ),
            $offers,
        );
    }

    private static function unitSaid(Part $part): Message
    {
        $unit = $part->unit;
        assert($unit !== null);
        $said = Message::of(
            "say_unit.{$unit->key}",
            number: $part->number->text,
            isMany: $part->number->typical > 1.0 ? 'yes' : 'no',
        );

        return $part->fill === '' || $part->fill === 'level'
            ? $said
            : Message::of('say.filled', amount: $said, fill: $part->fill);
    }

    /** What a cook can write for a reading that is offered. */
    public static function written(Quantity $quantity, ?MeasuredFood $food, ?float $times = null): string
    {
        $name = $food->names[0] ?? '';
        $unit = $quantity->parts[0]->unit->key ?? '';
        // Cloves are called by how garlic is counted: their other name tells them apart.
        if ($food !== null && $unit !== '' && Units::singular($name) === $unit) {
            $name = trim(preg_replace("/^{$unit}\\b/", '', $food->names[1] ?? $name) ?? $name);
        }
        $parts = array_map(
            static fn(Part $part): string => trim(
                implode(
                    ' ',
                    array_filter([
                        $part->number->text,
                        $part->size,
                        $part->fill,
                        str_replace('_', ' ', $part->unit->key ?? ''),
                    ]),
                ),
            ),
            $quantity->parts,
        );

        return trim(
            ($times === null ? '' : NumberReader::plain($times) . ' x ') . implode(' + ', $parts) . ' ' . $name,
        );
    }
}
