<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\PieceWeight;
use Tempesal\Core\Search\NameIndex;

/**
 * Reads a recipe that was pasted as plain text, line by line: amount, food, how it is counted.
 */
final class RecipeText
{
    private const MOST_LINES = 200;

    private const LONGEST_LINE = 400;

    /** Words that say how a food looks and not which it is. */
    private const ASIDE =
        '/\b(fresh|freshly|finely|coarsely|thinly|roughly|chopped|sliced|shredded|grated|minced|crushed|' .
        'peeled|halved|quartered|diced|cubed|ground|whole|organic|large|medium|small|big|ripe|raw|unpeeled|' .
        'trimmed|washed|cut|into|pieces|of|a|an|the|about|approximately|approx|optional|to|taste|plus|more|' .
        'for|or|and|some|cold|warm|lukewarm|filtered|boiled|cooled|dried)\b/i';

    private const COUNTED =
        'cloves?|heads?|bulbs?|bunch(?:es)?|stalks?|sticks?|leaf|leaves|sprigs?|pieces?|slices?|' . 'inch(?:es)?';

    /** What one measures by spoons, at the most: four tablespoons. */
    private const SPOONS_ML = 60.0;

    /** What is bought by the piece and holds any amount. */
    private const CONTAINERS =
        '/^(?:\d+|an?|one|two|three|half an?)?\s*(?:small|medium|large)?\s*(?:tins?|cans?|' .
        'jars?|packets?|packs?|packages?|bottles?|boxe?s?|bags?|tubs?|cartons?|sachets?|punnets?)\b/i';

    /** Parts of a food, of which one weighs far less than the whole. */
    private const PARTS =
        '/\b(?:leaf|leaves|florets?|stems?|ribs?|rinds?|skins?|peels?|tops?|' .
        'wedges?|rings?|halves|half|quarters?)\b/i';

    /** One number of a recipe; "1-1/2" is one and a half. */
    private const NUMBER =
        '(?:\d+(?:\s+|\s*-\s*)\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|' .
        '\d*[.,]\d+(?:\s*[½⅓⅔¼¾⅛⅜⅝⅞])?|\d+(?:\s*[½⅓⅔¼¾⅛⅜⅝⅞])?|[½⅓⅔¼¾⅛⅜⅝⅞]|\ban?\b)';

    /** Salts that a recipe names without saying how densely they lie. */
    private const UNCLEAR_SALT = '/\bkosher\b/i';

    public function __construct(
        private readonly NameIndex $foods,
        private readonly FoodFacts $facts,
        private readonly SpoonSystem $spoons = SpoonSystem::Us,
    ) {}

    /** @return list<RecipeLine> */
    public function read(string $text): array
    {
        $lines = [];
        $inWork = false;
        foreach (array_slice(preg_split('/\R/u', $text) ?: [], 0, self::MOST_LINES) as $i => $raw) {
            $line = trim(preg_replace('/[\x00-\x1f\x7f]+/', ' ', mb_substr($raw, 0, self::LONGEST_LINE)) ?? '');
            if ($line === '') {
                continue;
            }
            if (preg_match('/^(method|directions|instructions|preparation|steps|work)\b[:.]?$/i', $line) === 1) {
                $inWork = true;
                $lines[] = new RecipeLine($i + 1, $line, 'heading');

                continue;
            }
            $lines[] = $inWork ? new RecipeLine($i + 1, self::withoutMark($line), 'work') : $this->line($i + 1, $line);
        }

        return $lines;
    }

    public function line(int $number, string $line): RecipeLine
    {
        $bare = self::withoutMark($line);
        if (preg_match('/^[^:]{1,60}:$/', $bare) === 1 || preg_match('/^ingredients\b/i', $bare) === 1) {
            return new RecipeLine($number, $bare, 'heading');
        }
        if (preg_match('/^[=+@]/', $bare) === 1) {
            return new RecipeLine($number, $bare, 'food', null, null, Message::of('errors.recipe_formula'));
        }
        $hasNumber = preg_match('/^\W*(?:\d|[½⅓⅔¼¾⅛⅜⅝⅞])|^(?:an?|some)\b|\b(?:pinch|dash)\b/iu', $bare) === 1;
        if (!$hasNumber && (str_word_count($bare) > 7 || preg_match('/[.!]$/', $bare) === 1)) {
            return new RecipeLine($number, $bare, 'work');
        }

        return $this->ingredient($number, $bare);
    }

    private function ingredient(int $number, string $line): RecipeLine
    {
        $problem = self::unclear($line);
        [$amount, $counted, $rest] = $this->split(self::counting($line));
        $amount = $problem === null ? $amount : null;
        $name = trim(preg_replace(['/\([^)]*\)/', '/,.*$/', self::ASIDE, '/\s+/'], [' ', ' ', ' ', ' '], $rest) ?? '');
        if (preg_match('/\bsalt(ed)?\b/i', $name) === 1 && preg_match('/\b(shrimp|anchov|butter)/i', $name) !== 1) {
            return $this->salt($number, $line, $amount, $rest, $problem);
        }
        if (preg_match('/^(?:\w+\s+)?water$/i', $name) === 1) {
            return $this->weighed($number, $line, 'water', 'water', $amount, $counted, $problem);
        }
        $id = $name === '' ? null : $this->foods->best($name);
        if ($id === null && $problem !== null) {
            return new RecipeLine($number, $line, 'food', null, null, $problem);
        }
        // Garlic powder is no garlic: every word is to be answered, or the cook is asked.
        $open = $id === null ? [] : $this->foods->unanswered($name, $id);
        $isPart = $open !== [] && preg_grep(self::PARTS, $open, PREG_GREP_INVERT) === [];
        $id = $problem === null && $open !== [] && !$isPart ? null : $id;
        if ($id === null) {
            $near = $name === '' ? [] : $this->foods->find($name, 3);

            return new RecipeLine(
                $number,
                $line,
                'food',
                null,
                null,
                $near === []
                    ? Message::of('errors.recipe_food_unknown')
                    : Message::of(
                        'errors.recipe_food_which',
                        names: Listed::any(array_map($this->facts->nameOf(...), $near)),
                    ),
            );
        }

        $problem ??= $isPart && self::isBare($amount) ? Message::of('errors.recipe_part') : null;

        return $this->weighed($number, $line, 'food', $id, $problem === null ? $amount : null, $counted, $problem);
    }

    /** Why the beginning of a line is no amount, though it has a number. */
    private static function unclear(string $line): ?Message
    {
        $number = self::NUMBER;

        return match (true) {
            preg_match('/^-\s*\d/', $line) === 1 => Message::of('errors.amount_negative'),
            preg_match(self::CONTAINERS, $line) === 1 => Message::of('errors.recipe_container'),
            preg_match(
                "/^\\W*({$number}\\s*[a-z.]{0,12}\\s*(?:-|–|—|\\bto\\b|\\bor\\b)\\s*{$number})/iu",
                self::mixed($line),
                $m,
            ) === 1
                => Message::of('errors.recipe_range', text: $m[1]),
            default => null,
        };
    }

    /** "1-1/2" as "1 1/2"; "1/2-3/4" and "2 - 1/2" stay ranges. */
    private static function mixed(string $line): string
    {
        return preg_replace('/(?<![\/\d])(\d+)-(\d+\s*\/\s*\d+)/', '$1 $2', $line) ?? $line;
    }

    /** Dozens as numbers. */
    private static function counting(string $line): string
    {
        $line = preg_replace_callback(
            '/^(half an?|an?|one|two|three|\d+)\s+dozen\b/i',
            static fn(array $m): string => (string) (12 *
                match (mb_strtolower($m[1])) {
                    'a', 'an', 'one' => 1,
                    'two' => 2,
                    'three' => 3,
                    'half a', 'half an' => 0.5,
                    default => (int) $m[1],
                }),
            $line,
        );

        return self::mixed($line ?? '');
    }

    private function salt(int $number, string $line, ?string $amount, string $rest, ?Message $problem): RecipeLine
    {
        $id = $this->facts->saltNamed($rest);
        if (preg_match(self::UNCLEAR_SALT, $rest) === 1 && $id === null) {
            return new RecipeLine($number, $line, 'salt', null, null, Message::of('errors.recipe_kosher'));
        }
        $id ??= 'fine-sea';
        // A number alone says neither grams nor spoons.
        $grams = self::isBare($amount) ? null : $this->grams($amount, $this->facts->densityOf($id, true));

        return new RecipeLine(
            $number,
            $line,
            'salt',
            $id,
            $grams,
            $grams === null ? $problem ?? Message::of('errors.recipe_salt_amount') : null,
        );
    }

    private function weighed(
        int $number,
        string $line,
        string $kind,
        string $id,
        ?string $amount,
        ?string $counted,
        ?Message $problem,
    ): RecipeLine {
        $grams = $this->grams($amount, $this->facts->densityOf($id, false));
        $isStarter = $this->facts->isStarter($id);
        if ($problem === null && $this->facts->isBulky($id) && self::isCup($amount)) {
            $problem = Message::of('errors.recipe_cups');
            $grams = null;
        }
        if ($grams !== null && $counted === null && !self::isBare($amount)) {
            return new RecipeLine($number, $line, $kind, $id, $grams, null, $isStarter);
        }
        $one = PieceWeight::of($id, $counted);
        $count = $amount === null || $problem !== null ? null : self::count($amount);
        if ($one !== null && $count !== null) {
            return new RecipeLine($number, $line, $kind, $id, round($count * $one->typical, 1), null, $isStarter);
        }

        return new RecipeLine($number, $line, $kind, $id, null, $problem ?? Message::of('errors.recipe_amount'));
    }

    /**
     * @return array{string|null, string|null, string} the amount as written, how it is counted, and the rest
     */
    private function split(string $line): array
    {
        $number = self::NUMBER;
        $units =
            'kg|kilos?|grams?|gr?|mg|lbs?|pounds?|oz|ounces?|fl\.?\s*oz|ml|cl|dl|litres?|liters?|l|tsps?|' .
            'teaspoons?|tbsps?|tablespoons?|tbs?|t|cups?|c|pints?|pt|quarts?|qt|gallons?|pinch(?:es)?|' .
            'dash(?:es)?';
        $fill = '(?:(?:level|rounded|heaped|heaping|scant)\s+)?';
        if (
            preg_match(
                "/^\\W*?(?<amount>{$number}\\s*{$fill}(?:{$units})(?:\\s+(?:and|" .
                    "\\+)?\\s*{$number}\\s*(?:{$units}))?)\\b\\.?\\s*(?<rest>.*)$/iu",
                $line,
                $m,
            ) === 1
        ) {
            return [$m['amount'], null, $m['rest']];
        }
        if (
            preg_match(
                "/^\\W*?(?<amount>{$number})(?:\\s*(?:-|–|to)\\s*{$number})?\\s*(?:large|medium|small|" .
                    'big)?\\s*(?<counted>' .
                    self::COUNTED .
                    ')?\b\s*(?<rest>.*)$/iu',
                $line,
                $m,
            ) === 1
        ) {
            $counted = $m['counted'] === '' ? null : rtrim(mb_strtolower($m['counted']), 's');

            return [$m['amount'], $counted === 'bunche' ? 'bunch' : $counted, $m['rest']];
        }

        return [null, null, $line];
    }

    private function grams(?string $amount, float $density): ?float
    {
        if ($amount === null) {
            return null;
        }
        try {
            $read = KitchenAmount::parse($amount, $this->spoons);

            return $read->isVolume() ? $read->millilitres()->value * $density : $read->grams()->value;
        } catch (InvalidQuantity) {
            return null;
        }
    }

    /** Whether it is a volume larger than spoons measure. */
    private static function isCup(?string $amount): bool
    {
        try {
            $read = $amount === null ? null : KitchenAmount::parse($amount);

            return $read !== null && $read->isVolume() && $read->millilitres()->value > self::SPOONS_ML;
        } catch (InvalidQuantity) {
            return false;
        }
    }

    private static function isBare(?string $amount): bool
    {
        return $amount !== null && preg_match('/[a-z]/i', preg_replace('/^an?$/i', '', trim($amount)) ?? '') !== 1;
    }

    private static function count(string $amount): ?float
    {
        try {
            return KitchenAmount::parse(preg_replace('/^an?$/i', '1', trim($amount)) ?? '')->grams()->value;
        } catch (InvalidQuantity) {
            return null;
        }
    }

    private static function withoutMark(string $line): string
    {
        return trim(preg_replace('/^(?:[-*•·–]\s+|\d{1,2}[.)]\s+)/u', '', $line) ?? $line);
    }
}
