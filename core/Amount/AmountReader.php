<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Reads amounts as cooks say them, for every field and every door: spoons, cups, counts, shares, ratios, ranges. What it
 * cannot settle it asks; what it cannot read it names. Nothing is guessed.
 */
final readonly class AmountReader
{
    /** Words for what a ratio is held against, with what they are. */
    private const HELD = [
        'water' => 'water',
        'liquid' => 'water',
        'brine' => 'brine',
        'vegetable' => 'vegetable',
        'veg' => 'vegetable',
        'veggy' => 'vegetable',
        'veggie' => 'vegetable',
        'produce' => 'vegetable',
    ];

    private Weigher $weigher;

    private FoodFinder $finder;

    public function __construct(private FoodShelf $shelf, private KitchenUnits $units)
    {
        $this->weigher = new Weigher($shelf, $units->habit);
        $this->finder = new FoodFinder($shelf, $this->weigher);
    }

    /**
     * @param  MeasuredFood|null  $food  what it is an amount of, where the field says so
     * @param  FieldKind|null  $kind  what the field asks for; null: whatever the phrase says
     *
     * @throws InvalidQuantity with a sentence that says what cannot be read
     * @throws AskedAmount where it can be read in several ways
     */
    public function read(string $typed, ?MeasuredFood $food = null, ?FieldKind $kind = null): AmountReading
    {
        return match ($kind ?? ScaleReader::kindOf($typed, $food !== null)) {
            FieldKind::Length => ScaleReader::length($typed, $this->units),
            FieldKind::Duration => ScaleReader::duration($typed, $this->units),
            FieldKind::Temperature => ScaleReader::temperature($typed, $this->units),
            FieldKind::Strength => $this->strength($typed, $food),
            default => $this->amount($typed, $food),
        };
    }

    /**
     * @throws InvalidQuantity
     * @throws AskedAmount
     */
    private function strength(string $typed, ?MeasuredFood $salt): AmountReading
    {
        $phrase = PhraseParser::parse($typed, $this->units->habit);
        if ($phrase->share !== null) {
            return $this->share($phrase, $salt);
        }
        if ($phrase->per !== null) {
            return $this->ratio($phrase, $salt);
        }
        $part = $phrase->amount->parts[0];
        if ($part->unit !== null || $phrase->amount->words !== [] || $part->number->isArticle) {
            throw new InvalidQuantity(Message::of('errors.strength_per', typed: Tokens::short($typed)));
        }
        $number = Weigher::settled($part->number, '%');
        if ($number->low > 0.0 && $number->high / $number->low > 5.0) {
            throw AskedAmount::between(Message::of('errors.amount_which'), [
                "{$number->low}:{$number->high}" => new AmountReading(
                    ReadingKind::Ratio,
                    '%',
                    Band::exact(($number->low / $number->high) * 100.0),
                    Message::of(
                        'say.ratio',
                        first: NumberReader::plain($number->low),
                        second: NumberReader::plain($number->high),
                    ),
                    'water',
                ),
                "{$number->text} %" => new AmountReading(
                    ReadingKind::Share,
                    '%',
                    $number->band(),
                    Message::of('say.share', number: $number->text),
                ),
            ]);
        }

        return new AmountReading(
            ReadingKind::Share,
            '%',
            $number->band(),
            Message::of('say.plain', text: "{$number->text} %"),
        );
    }

    /**
     * @throws InvalidQuantity
     * @throws AskedAmount
     */
    private function amount(string $typed, ?MeasuredFood $food): AmountReading
    {
        try {
            return $this->whole(PhraseParser::parse($typed, $this->units->habit), $food);
        } catch (AskedAmount $which) {
            throw $which;
        } catch (InvalidQuantity $refusal) {
            // After a comma it is said how to prepare it.
            if (preg_match('/^(.*?\p{L}.*?),\s+\p{L}/u', $typed, $m) !== 1) {
                throw $refusal;
            }

            return $this->whole(PhraseParser::parse($m[1], $this->units->habit), $food);
        }
    }

    /**
     * @throws InvalidQuantity
     * @throws AskedAmount
     */
    private function whole(Phrase $phrase, ?MeasuredFood $food): AmountReading
    {
        if ($phrase->share !== null) {
            return $this->share($phrase, $food);
        }
        if ($phrase->per !== null) {
            return $this->ratio($phrase, $food);
        }
        $reading = $this->quantity($phrase->amount, $food, $phrase);
        if ($phrase->until !== null) {
            $until = $this->quantity($phrase->until, $reading->food ?? $food, $phrase);
            if ($until->unit !== $reading->unit) {
                throw new InvalidQuantity(Message::of('errors.amount_mixed'));
            }
            $reading = new AmountReading(
                $reading->kind,
                $reading->unit,
                Bands::span($reading->band, $until->band),
                Message::of('say.range', from: $reading->said, to: $until->said),
                null,
                $reading->food,
            );
        }
        if ($phrase->same !== [] && !$phrase->amount->isContained) {
            return $this->agreed($reading, $phrase, $food);
        }

        return $reading;
    }

    /** "3 %", "3 % of 370 g" */
    private function share(Phrase $phrase, ?MeasuredFood $food): AmountReading
    {
        $number = Weigher::settled($phrase->amount->parts[0]->number, '%');
        $percent = $number->band()->times($phrase->share === 0.001 ? 0.1 : 1.0);
        $this->finder->only($phrase->amount->words, $food);
        $said = $phrase->share === 0.001 ? NumberReader::plain($number->typical / 10.0) : $number->text;
        if ($phrase->per === null) {
            return new AmountReading(
                ReadingKind::Share,
                '%',
                $percent,
                $phrase->basis === null
                    ? Message::of('say.plain', text: "{$said} %")
                    : Message::of('say.share_of_basis', number: $said, basis: $phrase->basis),
                $phrase->basis,
            );
        }
        [, $whole] = $this->heldAgainst($phrase->per);

        return new AmountReading(
            ReadingKind::Mass,
            'g',
            Bands::product($percent->times(0.01), $whole->band),
            Message::of('say.share_of', number: $said, whole: $whole->said),
            null,
            $food,
        );
    }

    /** "1 tbsp per quart", "18 g to 500 ml", "1:20" */
    private function ratio(Phrase $phrase, ?MeasuredFood $food): AmountReading
    {
        assert($phrase->per !== null);
        $first = $phrase->amount->parts[0];
        $second = $phrase->per->parts[0];
        if ($first->unit === null && $second->unit === null) {
            if ($second->number->typical <= 0.0) {
                throw new InvalidQuantity(Message::of('errors.amount_fraction'));
            }
            $this->finder->only($phrase->amount->words, $food, ['salt']);

            return new AmountReading(
                ReadingKind::Ratio,
                '%',
                Bands::quotient($first->number->band(), $second->number->band())->times(100.0),
                Message::of('say.ratio', first: $first->number->text, second: $second->number->text),
                'water',
                $food,
            );
        }
        [$basis, $whole] = $this->heldAgainst($phrase->per);
        $unit = $first->unit?->dimension;
        if ($food === null && $phrase->amount->words === [] && $unit !== Dimension::Mass) {
            throw $this->whichSalt($phrase, $basis, $whole);
        }
        if ($unit === null) {
            throw new InvalidQuantity(Message::of('errors.amount_unit_missing'));
        }
        $given = $this->quantity($phrase->amount, $food, $phrase);
        if ($whole->band->low <= 0.0 || $given->unit !== 'g') {
            throw new InvalidQuantity(Message::of('errors.amount_fraction'));
        }

        return $this->held($given, $basis, $whole);
    }

    private function held(AmountReading $given, ?string $basis, AmountReading $whole): AmountReading
    {
        return new AmountReading(
            ReadingKind::Ratio,
            '%',
            Bands::quotient($given->band, $whole->band)->times(100.0),
            Message::of('say.per', amount: $given->said, per: $whole->said),
            $basis,
            $given->food,
        );
    }

    /** Spoons of a salt that nobody named. */
    private function whichSalt(Phrase $phrase, ?string $basis, AmountReading $whole): AskedAmount
    {
        $offers = [];
        foreach (['fine-sea', 'dense-kosher', 'flaky-kosher'] as $id) {
            $salt = $this->shelf->get($id);
            if ($salt !== null) {
                $offers["{$phrase->head} {$salt->names[0]} {$phrase->rest}"] = $this->held(
                    $this->quantity($phrase->amount, $salt, $phrase),
                    $basis,
                    $whole,
                );
            }
        }
        if ($offers === []) {
            throw new InvalidQuantity(Message::of('errors.amount_of_what'));
        }

        return AskedAmount::between(Message::of('errors.amount_which_salt'), $offers);
    }

    /**
     * What something is held against, as a weight: water, unless it is said otherwise.
     *
     * @return array{string|null, AmountReading}
     */
    private function heldAgainst(Quantity $per): array
    {
        $basis = null;
        $words = array_values(
            array_filter($per->words, static function (string $word) use (&$basis): bool {
                $held = self::HELD[Units::singular($word)] ?? null;
                $basis = $held ?? $basis;

                return $held === null && !in_array($word, ['salt', 'total'], true);
            }),
        );
        $isVolume = $per->dimension() !== Dimension::Mass;
        $food = $words === [] ? null : $this->finder->foodFor($words, $per, null);
        if ($food !== null) {
            $basis ??= $food->id === 'water' ? 'water' : 'vegetable';
        }
        $food ??= $isVolume ? MeasuredFood::water() : null;
        $whole = $this->weigher->weigh(new Quantity($per->parts, [], $per->cut, $per->isContained), $food);

        return [$basis ?? ($isVolume ? 'water' : null), $whole];
    }

    /** The amount and its food, weighed. */
    private function quantity(Quantity $quantity, ?MeasuredFood $given, Phrase $phrase): AmountReading
    {
        $first = $quantity->parts[0];
        if ($quantity->isContained && ($first->unit === null || $first->unit->dimension === Dimension::Count)) {
            return $this->contained($quantity, $given, $phrase);
        }
        // A clove is a spice or a piece of garlic.
        if (
            $given === null &&
            $first->unit?->key === 'clove' &&
            array_diff($quantity->words, ['clove', 'cloves']) === []
        ) {
            throw $this->finder->whichFood($quantity, $this->shelf->called('garlic', 'cloves'));
        }
        $food = $this->finder->foodFor($quantity->words, $quantity, $given);
        if ($first->unit === null && count($quantity->parts) === 1) {
            return $this->weigher->bare($quantity, $food, $quantity->words !== []);
        }

        return $this->weigher->weigh($quantity, $food);
    }

    /** "2 14-oz cans" has its size; "a can" has none. */
    private function contained(Quantity $quantity, ?MeasuredFood $given, Phrase $phrase): AmountReading
    {
        $size = $phrase->same[0] ?? null;
        if ($size === null || !in_array($size->dimension(), [Dimension::Mass, Dimension::Volume], true)) {
            throw new InvalidQuantity(Message::of('errors.recipe_container'));
        }
        $food = $this->finder->foodFor(
            array_values(
                array_filter([...$quantity->words, ...$size->words], static fn(string $word): bool => $word !== 'bag'),
            ),
            $quantity,
            $given,
        );
        $one = $this->weigher->weigh(new Quantity($size->parts, [], null, true), $food);
        $count = $quantity->parts[0]->number;
        $all = new AmountReading(
            $one->kind,
            $one->unit,
            Bands::product($one->band, $count->band()),
            Message::of('say.times_said', number: $count->text, said: $one->said),
            null,
            $food,
        );
        if ($count->typical === 1.0 || in_array('each', explode(' ', mb_strtolower($phrase->rest)), true)) {
            return $all;
        }

        throw AskedAmount::between(Message::of('errors.amount_each'), [
            Weigher::written($size, $food, $count->typical) => $all,
            Weigher::written($size, $food) => $one,
        ]);
    }

    /** The same said twice: the weight counts, as long as both can be true. */
    private function agreed(AmountReading $reading, Phrase $phrase, ?MeasuredFood $food): AmountReading
    {
        foreach ($phrase->same as $same) {
            $also = $this->quantity($same, $reading->food ?? $food, $phrase);
            if ($also->unit !== $reading->unit) {
                if ($reading->unit === 'ml' && $also->unit === 'g') {
                    $reading = $also;
                }

                continue;
            }
            if (
                $also->band->typical > 1.45 * $reading->band->high ||
                $also->band->typical < 0.6 * $reading->band->low
            ) {
                throw AskedAmount::between(Message::of('errors.amount_twice'), [
                    $phrase->head => $reading,
                    Weigher::written($same, null) => $also,
                ]);
            }
            if ($also->kind === ReadingKind::Mass && $reading->kind !== ReadingKind::Mass) {
                $reading = new AmountReading(
                    $also->kind,
                    $also->unit,
                    $also->band,
                    Message::of('say.same', first: $reading->said, second: $also->said),
                    null,
                    $also->food,
                );
            }
        }

        return $reading;
    }
}
