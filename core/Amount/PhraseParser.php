<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Takes what a cook says apart: numbers, units, what it is of, what it is held against. Nothing is settled here that
 * needs to know the food.
 */
final class PhraseParser
{
    /** low, typical, high of what such a word leaves open: common practice, no source */
    private const LOOSE = [
        'about' => [0.9, 1.0, 1.1],
        'nearly' => [0.88, 0.95, 1.0],
        'over' => [1.0, 1.06, 1.2],
        'least' => [1.0, 1.0, 1.25],
        'most' => [0.75, 1.0, 1.0],
    ];

    private const FILLS = [
        'level' => 'level',
        'levelled' => 'level',
        'leveled' => 'level',
        'flat' => 'level',
        'even' => 'level',
        'rounded' => 'rounded',
        'heaped' => 'heaped',
        'heaping' => 'heaped',
        'piled' => 'heaped',
        'overflowing' => 'heaped',
        'brimming' => 'heaped',
        'scant' => 'scant',
        'scanty' => 'scant',
        'skimpy' => 'scant',
        'shy' => 'scant',
        'generous' => 'generous',
        'good' => 'generous',
        'hearty' => 'generous',
        'bare' => 'scant',
        'packed' => 'packed',
    ];

    private const SIZES = [
        'tiny' => 'tiny',
        'mini' => 'tiny',
        'baby' => 'tiny',
        'wee' => 'small',
        'small' => 'small',
        'smallish' => 'small',
        'little' => 'small',
        'thin' => 'small',
        'short' => 'small',
        'medium' => 'medium',
        'average' => 'medium',
        'normal' => 'medium',
        'regular' => 'medium',
        'med' => 'medium',
        'middling' => 'medium',
        'large' => 'large',
        'lg' => 'large',
        'lge' => 'large',
        'big' => 'large',
        'fat' => 'large',
        'thick' => 'large',
        'plump' => 'large',
        'decent' => 'large',
        'huge' => 'huge',
        'jumbo' => 'huge',
        'giant' => 'huge',
        'massive' => 'huge',
        'xl' => 'huge',
    ];

    private const CUTS = [
        'chopped' => 'chopped',
        'diced' => 'diced',
        'cubed' => 'diced',
        'cubes' => 'diced',
        'chunks' => 'chopped',
        'sliced' => 'sliced',
        'slivered' => 'sliced',
        'julienned' => 'sticks',
        'julienne' => 'sticks',
        'matchsticks' => 'sticks',
        'batons' => 'sticks',
        'shredded' => 'shredded',
        'shreds' => 'shredded',
        'ribbons' => 'shredded',
        'grated' => 'grated',
        'minced' => 'minced',
        'crushed' => 'minced',
        'mashed' => 'puree',
        'pureed' => 'puree',
        'puréed' => 'puree',
        'blended' => 'puree',
        'halved' => 'halves',
        'quartered' => 'chopped',
        'torn' => 'chopped',
        'bruised' => 'whole',
        'smashed' => 'whole',
        'broken' => 'chopped',
    ];

    /** Words that say nothing of how much. */
    private const ASIDE = [
        'of',
        'the',
        'a',
        'an',
        'fresh',
        'freshly',
        'finely',
        'coarsely',
        'thinly',
        'thickly',
        'roughly',
        'lightly',
        'very',
        'well',
        'peeled',
        'unpeeled',
        'skinned',
        'trimmed',
        'washed',
        'rinsed',
        'drained',
        'cored',
        'cut',
        'into',
        'organic',
        'ripe',
        'raw',
        'optional',
        'taste',
        'please',
        'my',
        'your',
        'our',
        'some',
        'cold',
        'warm',
        'lukewarm',
        'filtered',
        'boiled',
        'cooled',
        'chilled',
        'tepid',
        'hot',
        'worth',
        'amount',
        'size',
        'sized',
        'total',
        'altogether',
        'all',
        'in',
        'at',
        'room',
        'temperature',
        'temp',
        'wide',
        'long',
        'thick',
        'each',
        'separated',
        'seeded',
        'deseeded',
        'stemmed',
        'topped',
        'tailed',
        'destemmed',
        'prepared',
        'clean',
        'cleaned',
        'dry',
        'wet',
        'squeezed',
        'scrubbed',
        'stoned',
        'pitted',
        'shelled',
        'nice',
        'firm',
        'young',
        'old',
        'only',
        'more',
        'less',
        'or',
        'so',
        'ish',
        'plus',
        'needed',
        'as',
        'to',
        'for',
        'and',
        'then',
        'it',
        'this',
        'that',
        'homemade',
        'leftover',
        'loosely',
        'firmly',
        'tightly',
        'unsalted',
        'free',
        'range',
        'beaten',
        'non',
        'chlorinated',
        'dechlorinated',
        'unchlorinated',
        'spring',
        'tap',
        'distilled',
        'length',
        'lengths',
        'thickness',
        'diameter',
        'tall',
        'high',
        'deep',
        'headspace',
        'gap',
        'just',
        'with',
        'skin',
        'on',
        'without',
        'skins',
        'outer',
        'inner',
        'one',
        'maybe',
        'by',
        'weight',
        'volume',
        'measure',
        'measured',
        'unpitted',
        'best',
        'good',
        'local',
        'garden',
        'ground',
        'flowering',
        'strong',
        'sized',
        'store',
        'bought',
        'shop',
        'supermarket',
        'whole',
        'loose',
        'separate',
        'from',
        'lengthwise',
        'lengthways',
        'bite',
        'heaped',
        'level',
        'part',
        'parts',
        'max',
        'maximum',
        'tops',
        'depending',
    ];

    /** Sizes by what everybody has seen. */
    private const LIKENESS = '/\b(?:walnut|golf ball|marble|egg|fist)[- ]sized?\b/iu';

    private const BASES = [
        'water' => 'water',
        'brine' => 'brine',
        'solution' => 'brine',
        'salinity' => 'brine',
        'vegetable' => 'vegetable',
        'vegetables' => 'vegetable',
        'veg' => 'vegetable',
        'veggies' => 'vegetable',
        'cabbage' => 'vegetable',
        'produce' => 'vegetable',
        'everything' => 'everything',
        'total' => 'everything',
        'all' => 'everything',
        'jar' => 'everything',
        'contents' => 'everything',
    ];

    /** The word by which the last part is counted. */
    private ?string $noun = null;

    /** The word for its size that came before its unit. */
    private ?string $sizeWord = null;

    private function __construct(
        private readonly Tokens $tokens,
        private readonly Habit $habit,
        private readonly ?Dimension $wanted,
    ) {}

    /**
     * @param  Dimension|null  $wanted  what the field measures, where it is no amount of something
     *
     * @throws InvalidQuantity with a sentence
     */
    public static function parse(string $typed, Habit $habit, ?Dimension $wanted = null): Phrase
    {
        $parser = new self(Tokens::of(preg_replace(self::LIKENESS, '', $typed) ?? $typed), $habit, $wanted);

        return $parser->phrase() ??
            throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: Tokens::short($typed)));
    }

    /**
     * The name of a food without what says how it is cut.
     *
     * @return array{list<string>, string} the words of its name, and the word for its cut
     */
    public static function foodWords(string $name): array
    {
        $words = [];
        $cut = '';
        $all = preg_split('/[^\p{L}\p{M}\'-]+/u', mb_strtolower($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($all as $word) {
            if (isset(self::CUTS[$word])) {
                $cut = $word;
            } elseif (!in_array($word, self::ASIDE, true) || $word === 'spring') {
                $words[] = $word;
            }
        }

        return [$words, $cut];
    }

    private function phrase(): ?Phrase
    {
        if ($this->tokens->peek()?->isSign('-') === true && $this->tokens->peek(1)?->isNumber() === true) {
            throw new InvalidQuantity(Message::of('errors.amount_negative'));
        }
        $mark = $this->tokens->mark();
        $share = $this->share();
        if ($share !== null) {
            return $share;
        }
        $this->tokens->back($mark);
        $amount = $this->quantity();
        if ($amount === null) {
            return null;
        }
        $same = [];
        $until = $per = null;
        $end = $this->tokens->mark();
        while (!$this->tokens->isDone()) {
            $mark = $this->tokens->mark();
            if (($other = $this->other($amount->dimension() !== null)) !== null) {
                if ($other->all === ['aside']) {
                    $amount = $amount->with($other->words, $other->cut);
                } else {
                    $same[] = $other;
                }

                continue;
            }
            $this->tokens->back($mark);
            if ($until === null && $per === null && ($upper = $this->rangeEnd($amount)) !== null) {
                $until = $upper;
                // "a pinch or two of salt"
                $amount = $amount->words === [] ? $amount->with($upper->words, $upper->cut) : $amount;

                continue;
            }
            $this->tokens->back($mark);
            if ($per === null && ($held = $this->per($amount)) !== null) {
                $per = $held;

                continue;
            }
            $this->tokens->back($mark);

            return null;
        }

        return new Phrase(
            $amount,
            null,
            null,
            $per,
            $until,
            $same,
            $this->tokens->typed(0, $end),
            $this->tokens->typed($end),
        );
    }

    /** "3 %", "2-2.5 % brine", "3 % of 370 g" */
    private function share(): ?Phrase
    {
        $loose = $this->loose();
        $number = NumberReader::read($this->tokens);
        $number = $number?->isArticle === true ? NumberReader::read($this->tokens) : $number;
        if ($number === null) {
            return null;
        }
        $sign = match (true) {
            $this->tokens->takeSign('%') !== null,
            $this->tokens->takeWords('per', 'cent'),
            $this->tokens->takeWord('percent', 'pct', 'percentage') !== null
                => 0.01,
            $this->tokens->takeSign('‰') !== null, $this->tokens->takeWord('ppt', 'permille') !== null => 0.001,
            default => null,
        };
        if ($sign === null) {
            return null;
        }
        // "2 % to 2.5 %"
        if ($this->tokens->takeSign('-') !== null || $this->tokens->takeWord('to', 'or') !== null) {
            $end = NumberReader::one($this->tokens);
            if ($end === null || $end->typical <= $number->typical) {
                return null;
            }
            $this->tokens->takeSign('%', '‰') ?? $this->tokens->takeWord('percent', 'pct');
            $number = $number->to($end);
        }
        $number = $this->loosened($number, $loose);
        $basis = $per = null;
        $words = [];
        while (($next = $this->tokens->peek()) !== null) {
            $mark = $this->tokens->mark();
            if ($next->isWord('of', 'on')) {
                $this->tokens->skip();
                $per = $this->quantity();
                if ($per !== null) {
                    return $this->tokens->isDone()
                        ? new Phrase(new Quantity([new Part($number, null)], $words), $sign, $basis, $per)
                        : null;
                }
                $this->tokens->back($mark);
            }
            $this->tokens->skip();
            if ($next->isSign('(', ')', ',', '.', '/', '-')) {
                continue;
            }
            if (!$next->isWord()) {
                return null;
            }
            if (isset(self::BASES[$next->text])) {
                $basis ??= self::BASES[$next->text];
            } elseif (!in_array($next->text, [...self::ASIDE, 'strength', 'salt', 'w', 'v', 'salted'], true)) {
                $words[] = $next->text;
            }
        }

        return new Phrase(new Quantity([new Part($number, null)], $words), $sign, $basis);
    }

    private function quantity(): ?Quantity
    {
        $first = $this->part();
        if ($first === null) {
            return null;
        }
        $parts = [$first];
        $words = $this->noun === null ? [] : [$this->noun];
        // A baby carrot is a food of its own.
        $all = [...$this->sizeWord === null ? [] : [$this->sizeWord], ...$words];
        $this->noun = null;
        $cut = null;
        $isContained = $this->contained($first->unit !== null);
        while (($next = $this->tokens->peek()) !== null) {
            $mark = $this->tokens->mark();
            $last = $parts[array_key_last($parts)];
            if (($more = $this->andAHalf($last) ?? $this->further($last)) !== null) {
                $parts[] = $more;

                continue;
            }
            $this->tokens->back($mark);
            if ($this->startsSomethingElse($last)) {
                break;
            }
            if ($next->isSign(',', '.', '-', ';', '*', '#', '\'')) {
                $this->tokens->skip();

                continue;
            }
            if (!$next->isWord()) {
                break;
            }
            $size = $this->size();
            if ($size !== null) {
                $parts[array_key_last($parts)] = $last->withSize($size);
                $all[] = $next->text;

                continue;
            }
            if (isset(self::CUTS[$next->text])) {
                $cut ??= self::CUTS[$next->text];
                $all[] = $next->text;
                $this->tokens->skip();

                continue;
            }
            if ($next->text === 'packed' || $next->isWord('heaped', 'heaping', 'rounded', 'level', 'scant')) {
                $parts[array_key_last($parts)] = $last->withFill(self::FILLS[$next->text]);
                $this->tokens->skip();

                continue;
            }
            if ($last->unit === null && $this->countsLater()) {
                $unit = Units::take($this->tokens, $this->habit, $this->wanted);
                if ($unit !== null && $unit->dimension === Dimension::Count) {
                    $parts[array_key_last($parts)] = $last->withUnit($unit);
                    // A bay leaf is called by its leaf, a celery stick by its stick.
                    $words[] = $all[] = Units::singular($next->text);

                    continue;
                }
                $this->tokens->back($mark);
            }
            // "a 2 inch piece of ginger", "a pound bag": what it is cut into says no more.
            if (
                $last->unit?->dimension === Dimension::Length &&
                in_array(
                    Units::singular($next->text),
                    ['piece', 'chunk', 'knob', 'root', 'strip', 'stick', 'length'],
                    true,
                )
            ) {
                $this->tokens->skip();

                continue;
            }
            $this->tokens->skip();
            if (!in_array($next->text, ['of', 'x', 'a', 'an', 'the'], true)) {
                $all[] = $next->text;
            }
            if (!in_array($next->text, self::ASIDE, true) && !($next->text === 'x')) {
                $words[] = $next->text;
            } elseif ($next->text === 'whole' && $cut === null) {
                $cut = 'whole';
            }
            $isContained = $this->contained($last->unit !== null) || $isContained;
        }

        return new Quantity($parts, $words, $cut, $isContained, $all);
    }

    private function part(bool $isLess = false): ?Part
    {
        $this->noun = $this->sizeWord = null;
        $this->tokens->takeWord('the');
        $loose = $this->loose();
        [$fill, $size] = $this->qualifiers();
        $loose ??= $this->loose();
        $number = NumberReader::read($this->tokens);
        if ($number !== null) {
            [$moreFill, $moreSize] = $this->qualifiers();
            [$fill, $size] = [$moreFill === '' ? $fill : $moreFill, $moreSize === '' ? $size : $moreSize];
            // "a scant 1/4 cup", "a good 2 tbsp"
            if ($number->isArticle) {
                $number = NumberReader::read($this->tokens) ?? $number;
                [$moreFill, $moreSize] = $this->qualifiers();
                [$fill, $size] = [$moreFill === '' ? $fill : $moreFill, $moreSize === '' ? $size : $moreSize];
            }
        }
        $mark = $this->tokens->mark();
        $times = null;
        if ($number !== null && ($this->tokens->takeSign('*') ?? $this->tokens->takeWord('x')) !== null) {
            $times = $number;
            $number = NumberReader::read($this->tokens);
            if ($number === null) {
                // "2 x jalapeño"
                $this->tokens->back($mark);
                $this->tokens->skip();
                [$number, $times] = [$times, null];
            }
        }
        // "2 (14 oz) cans", "2 14-oz cans", "two 400 g tins"
        if ($number !== null && $times === null && ($size1 = $this->sizeOfContainer()) !== null) {
            return $size1->withNumber(
                $size1->number->times($number->typical, "{$number->text} × {$size1->number->text}"),
            );
        }
        $noun = $this->tokens->mark();
        $isSettled = Units::namesCountry($this->tokens->peek());
        $unit = Units::take($this->tokens, $this->habit, $this->wanted);
        if ($unit?->dimension === Dimension::Count) {
            $this->noun = Units::singular(ltrim(mb_strtolower($this->tokens->typed($noun)), '-'));
            // "juice of half a lemon"
            if (in_array($unit->key, ['juice', 'zest', 'rind'], true) && ($number === null || $number->isArticle)) {
                $this->tokens->takeWord('of');
                $number = NumberReader::read($this->tokens) ?? NumberRange::one();
            }
        }
        if ($number === null) {
            if ($unit === null || $unit->dimension === Dimension::Duration || $unit->dimension === Dimension::Length) {
                return null;
            }
            $number = NumberRange::one();
        }
        if ($unit !== null && $unit->dimension === Dimension::Count && $this->tokens->peek()?->isWord('of') !== true) {
            $this->tokens->takeWord('of');
        }
        if ($times !== null) {
            $number = $number->times($times->typical, "{$times->text} × {$number->text}");
        }
        $post = $this->tokens->mark();
        if ($this->tokens->takeWords('or', 'so') || $this->tokens->takeWords('more', 'or', 'less')) {
            $loose ??= 'about';
        } else {
            $this->tokens->takeSign('-');
            $loose ??= $this->tokens->takeWord('ish') === null ? null : 'about';
        }
        if ($loose !== 'about') {
            $this->tokens->back($post);
        }
        if ($number->isArticle && $this->tokens->peek()?->isSign('(') === true && $unit === null) {
            return null;
        }

        return new Part($this->loosened($number, $loose), $unit, $fill, $size, $isLess, $isSettled);
    }

    /** A size of a can between a number and the can. */
    private function sizeOfContainer(): ?Part
    {
        $mark = $this->tokens->mark();
        $isOpen = $this->tokens->takeSign('(') !== null;
        $this->tokens->takeSign('-');
        $number = NumberReader::read($this->tokens);
        $unit = $number === null ? null : Units::take($this->tokens, $this->habit);
        if (
            $number !== null &&
            $unit !== null &&
            ($unit->dimension === Dimension::Mass || $unit->dimension === Dimension::Volume) &&
            (!$isOpen || $this->tokens->takeSign(')') !== null)
        ) {
            $this->tokens->takeSign('-');
            if (Units::isContainer($this->tokens->peek(), true)) {
                $this->tokens->skip();

                return new Part($number, $unit);
            }
            // "two 2 lb heads", "one 5-lb cabbage"
            if ($unit->dimension === Dimension::Mass && $this->tokens->peek()?->isWord() === true && !$isOpen) {
                Units::isCounted(Units::singular($this->tokens->peek()->text)) && $this->tokens->skip();

                return new Part($number, $unit);
            }
        }
        // "1 (2-inch) piece"
        if (
            $number !== null &&
            $unit?->dimension === Dimension::Length &&
            $this->wanted === null &&
            (!$isOpen || $this->tokens->takeSign(')') !== null)
        ) {
            $this->tokens->takeSign('-');
            if (
                $this->tokens->takeWord('piece', 'pieces', 'chunk', 'chunks', 'knob', 'knobs', 'strip', 'strips') !==
                null
            ) {
                return new Part($number, $unit);
            }
        }
        $this->tokens->back($mark);

        return null;
    }

    private function contained(bool $hasSize): bool
    {
        $mark = $this->tokens->mark();
        $this->tokens->takeSign('-');
        if (Units::isContainer($this->tokens->peek(), $hasSize)) {
            $this->tokens->skip();

            return true;
        }
        $this->tokens->back($mark);

        return false;
    }

    /** "a cup and a half", "an inch and a quarter" */
    private function andAHalf(Part $last): ?Part
    {
        $mark = $this->tokens->mark();
        if ($last->unit === null || $this->tokens->takeWord('and') === null) {
            return null;
        }
        $part = NumberReader::partOfOne($this->tokens);
        if ($part === null || Units::take($this->tokens, $this->habit, $this->wanted) !== null) {
            $this->tokens->back($mark);

            return null;
        }

        return new Part($part, $last->unit, $last->fill, $last->size);
    }

    /** "+ 1 tsp", "and 50 g", "less 1 tsp", "4 oz" after pounds */
    private function further(Part $last): ?Part
    {
        if ($last->unit === null) {
            return null;
        }
        $mark = $this->tokens->mark();
        $isLess = $this->tokens->takeWord('less', 'minus') !== null;
        $isMore =
            !$isLess && ($this->tokens->takeSign('+', ',') ?? $this->tokens->takeWord('and', 'plus', 'with')) !== null;
        $this->tokens->takeWord('another', 'extra', 'about');
        $part = $this->part($isLess);
        if (
            $part === null ||
            $part->unit === null ||
            $part->unit->dimension === Dimension::Count ||
            (($isLess || $isMore) === false &&
                ($part->unit->dimension !== $last->unit->dimension ||
                    $part->unit->factor->typical >= $last->unit->factor->typical))
        ) {
            $this->tokens->back($mark);

            return null;
        }

        return $part;
    }

    /** "(450 g)", "/ 450 g", "or 450 g", "= 450 g": the same once more. */
    private function other(bool $hasUnit): ?Quantity
    {
        $sign = $hasUnit ? $this->tokens->takeSign('(', '/', '=', ',', '~') : $this->tokens->takeSign('(');
        if ($sign === null && !($this->tokens->takeWord('or', 'ie', 'aka', 'i') !== null)) {
            return null;
        }
        if ($sign === '(') {
            return $this->aside();
        }
        $mark = $this->tokens->mark();
        if (NumberReader::one($this->tokens) === null) {
            return null;
        }
        $this->tokens->back($mark);
        $quantity = $this->quantity();

        return $quantity?->parts[0]->unit === null || $quantity->parts[0]->number->isArticle ? null : $quantity;
    }

    /** What stands in brackets: an amount, or something to be passed over. */
    private function aside(): ?Quantity
    {
        $mark = $this->tokens->mark();
        $quantity = $this->quantity();
        if ($quantity !== null && $this->tokens->takeSign(')') !== null) {
            $this->contained(true);
            $after = $this->tail();

            return new Quantity(
                $quantity->parts,
                [...$quantity->words, ...$after->words],
                $after->cut ?? $quantity->cut,
            );
        }
        $this->tokens->back($mark);
        // Words without a number say no amount.
        while (($next = $this->tokens->take()) !== null && !$next->isSign(')')) {
            if (!$next->isWord() && !$next->isSign(',', '-', '.', '\'', '/')) {
                return null;
            }
        }
        $after = $this->tail();

        return new Quantity([new Part(NumberRange::one(), null)], $after->words, $after->cut, false, ['aside']);
    }

    /** Words after brackets, which still say which food. */
    private function tail(): Quantity
    {
        $words = [];
        $cut = null;
        while (($next = $this->tokens->peek()) !== null && ($next->isWord() || $next->isSign(',', '-', '.'))) {
            if ($next->isWord('per', 'or', 'to')) {
                break;
            }
            $this->tokens->skip();
            if (isset(self::CUTS[$next->text])) {
                $cut = self::CUTS[$next->text];
            } elseif ($next->isWord() && !in_array($next->text, self::ASIDE, true)) {
                $words[] = $next->text;
            }
        }

        return new Quantity([new Part(NumberRange::one(), null)], $words, $cut);
    }

    /** "250 g to 300 g", "a week to ten days" */
    private function rangeEnd(Quantity $amount): ?Quantity
    {
        $isTo = $this->tokens->takeWord('to') !== null;
        if (!$isTo && ($this->tokens->takeSign('-', '..') ?? $this->tokens->takeWord('or', 'until', 'till')) === null) {
            return null;
        }
        $isArticle = $this->tokens->peek()?->isWord('a', 'an', 'each', 'every', 'the') === true;
        $end = $this->quantity();
        $unit = $end?->parts[0]->unit;
        $first = $amount->parts[0]->unit;
        if ($end === null || $first === null) {
            return null;
        }
        if ($unit === null) {
            return $isArticle || ($end->words !== [] && $amount->words !== [])
                ? null
                : new Quantity([$end->parts[0]->withUnit($first)], $end->words, $end->cut);
        }
        // "1/3 cup to a cup" holds one against the other; "1 tsp to 1 tbsp" is from, to.
        $isHeld = $isTo && $isArticle && !$unit->isSpoon && $unit->dimension === Dimension::Volume;

        return $unit->dimension !== $first->dimension ||
            $isHeld ||
            ($isTo && $unit->factor->typical > 10.0 * $first->factor->typical) ||
            $end->parts[0]->number->typical * $unit->factor->typical <=
                $amount->parts[0]->number->typical * $first->factor->typical
            ? null
            : $end;
    }

    /** "per quart", "a cup", "to 500 ml", ": 2 qt", "/l", "in 1 l of water" */
    private function per(Quantity $amount): ?Quantity
    {
        $isFirst = $this->tokens->takeWord('dissolved', 'mixed', 'stirred', 'added', 'scattered') !== null;
        if ($this->tokens->takeWord('per', 'each', 'every', 'for', 'to', 'in', 'into', 'on', 'with', 'over') === null) {
            if (
                $this->tokens->takeSign(':', '/') === null &&
                ($isFirst || $this->tokens->peek()?->isWord('a', 'an') !== true)
            ) {
                return null;
            }
        }
        $this->tokens->takeWord('every', 'each', 'the', 'one');
        $mark = $this->tokens->mark();
        $part = $this->quantity();
        if ($part === null) {
            $this->tokens->back($mark);

            return null;
        }
        $unit = $part->parts[0]->unit;
        $isBare = $unit === null && $amount->parts[0]->unit === null && !$part->parts[0]->number->isArticle;

        return $isBare || $unit?->dimension === Dimension::Mass || $unit?->dimension === Dimension::Volume
            ? $part
            : null;
    }

    private function startsSomethingElse(Part $last): bool
    {
        $next = $this->tokens->peek();
        if ($next === null) {
            return true;
        }
        if ($next->isSign('(', ')', '/', ':', '=', '~', '+', '..')) {
            return true;
        }
        if (
            $next->isWord('per', 'dissolved', 'every') ||
            ($next->isWord('each') && $this->tokens->peek(1)?->isWord('of') === false)
        ) {
            return true;
        }
        $mark = $this->tokens->mark();
        // "1 tsp a cup"
        if ($next->isWord('a', 'an') && $last->unit !== null) {
            $this->tokens->skip();
            $unit = Units::take($this->tokens, $this->habit, $this->wanted);
            $this->tokens->back($mark);

            return $unit !== null &&
                !$unit->isSpoon &&
                ($unit->dimension === Dimension::Mass || $unit->dimension === Dimension::Volume);
        }
        if (
            $next->isWord('to', 'in', 'into', 'for', 'on', 'or', 'until', 'till', 'with', 'over', 'mixed', 'stirred') ||
            $next->isSign('-', ',')
        ) {
            $this->tokens->skip();
            $this->tokens->takeWord('every', 'each', 'the', 'into', 'in', 'about', 'to');
            $number = NumberReader::one($this->tokens);
            $unit = Units::take($this->tokens, $this->habit, $this->wanted);
            $this->tokens->back($mark);

            return ($number !== null && ($unit !== null || !$number->isArticle)) ||
                ($unit !== null && $unit->dimension !== Dimension::Count && !$next->isSign('-', ','));
        }

        return false;
    }

    /** Whether a word comes that says how it is counted. */
    private function countsLater(): bool
    {
        $mark = $this->tokens->mark();
        $unit = Units::take($this->tokens, $this->habit, $this->wanted);
        $this->tokens->back($mark);

        return $unit !== null && $unit->dimension === Dimension::Count;
    }

    private function loose(): ?string
    {
        $loose = null;
        while (true) {
            $mark = $this->tokens->mark();
            $found = match (true) {
                $this->tokens->takeSign('~') !== null,
                $this->tokens->takeWord(
                    'about',
                    'approx',
                    'approximately',
                    'around',
                    'roughly',
                    'circa',
                    'ca',
                    'maybe',
                    'say',
                    'perhaps',
                    'abt',
                    'probably',
                ) !== null
                    => 'about',
                $this->tokens->takeWords('more', 'or', 'less') => 'about',
                $this->tokens->takeWords('just', 'under'),
                $this->tokens->takeWords('just', 'shy', 'of'),
                $this->tokens->takeWords('not', 'quite'),
                $this->tokens->takeWords('a', 'bit', 'under'),
                $this->tokens->takeWords('a', 'little', 'under'),
                $this->tokens->takeWords('a', 'bit', 'less', 'than'),
                $this->tokens->takeWords('a', 'little', 'less', 'than'),
                $this->tokens->takeWords('slightly', 'less', 'than'),
                $this->tokens->takeWords('slightly', 'under'),
                $this->tokens->takeWord('nearly', 'almost', 'under') !== null
                    => 'nearly',
                $this->tokens->takeWords('just', 'over'),
                $this->tokens->takeWords('a', 'bit', 'over'),
                $this->tokens->takeWords('a', 'bit', 'more', 'than'),
                $this->tokens->takeWords('a', 'little', 'over'),
                $this->tokens->takeWords('a', 'little', 'more', 'than'),
                $this->tokens->takeWords('slightly', 'more', 'than'),
                $this->tokens->takeWords('slightly', 'over'),
                $this->tokens->takeWords('more', 'than'),
                $this->tokens->takeWord('over') !== null
                    => 'over',
                $this->tokens->takeWords('at', 'least'), $this->isLimit('min', 'minimum') => 'least',
                $this->tokens->takeWords('up', 'to'),
                $this->tokens->takeWords('at', 'most'),
                $this->tokens->takeWords('no', 'more', 'than'),
                $this->tokens->takeWords('less', 'than'),
                $this->isLimit('max', 'maximum')
                    => 'most',
                default => null,
            };
            if ($found === null) {
                $this->tokens->back($mark);

                return $loose;
            }
            $this->tokens->takeSign('.');
            $loose = $found;
        }
    }

    private function isLimit(string ...$words): bool
    {
        return $this->tokens->peek(1)?->isNumber() === true && $this->tokens->takeWord(...$words) !== null;
    }

    private function loosened(NumberRange $number, ?string $loose): NumberRange
    {
        return $loose === null ? $number : $number->loosely(...self::LOOSE[$loose]);
    }

    /** @return array{string, string} fill and size */
    private function qualifiers(): array
    {
        $fill = $size = '';
        while (($next = $this->tokens->peek()) !== null) {
            $mark = $this->tokens->mark();
            if ($next->isSign('-') && $this->tokens->peek(1)?->isWord() === true && !$next->isSpaced) {
                $this->tokens->skip();
                $next = $this->tokens->peek();
            }
            if ($next?->isWord('loosely', 'lightly') === true) {
                $this->tokens->skip();
                $this->tokens->takeWord('packed', 'filled', 'heaped');

                continue;
            }
            if (
                $next?->isWord('very', 'really', 'nicely', 'fairly', 'well', 'firmly', 'tightly', 'slightly') === true
            ) {
                $this->tokens->skip();

                continue;
            }
            // "a good-sized head"
            if (
                $next?->isWord('good', 'decent', 'fair') === true &&
                $this->tokens->peek(1)?->isWord('sized', 'size') === true
            ) {
                $this->tokens->skip(2);
                $size = 'large';

                continue;
            }
            $found = $this->size();
            if ($found !== null) {
                $size = $found;

                continue;
            }
            $full = self::FILLS[$next->text ?? ''] ?? null;
            if ($full === null) {
                $this->tokens->back($mark);

                break;
            }
            $this->tokens->skip();
            $fill = $full;
        }

        return [$fill, $size];
    }

    private function size(): ?string
    {
        $mark = $this->tokens->mark();
        $this->tokens->takeWord('extra', 'very');
        $size = self::SIZES[$this->tokens->peek()?->isWord() === true ? $this->tokens->peek()->text : ''] ?? null;
        if ($size === null) {
            $this->tokens->back($mark);

            return null;
        }
        $isExtra = $this->tokens->mark() > $mark;
        $this->sizeWord = $this->tokens->peek()?->text;
        $this->tokens->skip();
        $this->tokens->takeWord('sized', 'size');
        // "small to medium"
        $then = $this->tokens->mark();
        if (
            ($this->tokens->takeWord('to', 'or') ?? $this->tokens->takeSign('/', '-')) !== null &&
            isset(self::SIZES[$this->tokens->peek()->text ?? ''])
        ) {
            $this->tokens->skip();
        } else {
            $this->tokens->back($then);
        }

        return $isExtra && $size === 'large' ? 'huge' : $size;
    }
}
