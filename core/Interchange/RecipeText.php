<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Amount\AmountReader;
use Tempesal\Core\Amount\FieldKind;
use Tempesal\Core\Amount\FoodShelf;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Amount\PhraseParser;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Reads a recipe that was pasted as plain text, line by line. What a line says is read as every field reads it; a line
 * of which something was not understood is asked about.
 */
final readonly class RecipeText
{
    private const MOST_LINES = 200;

    private const LONGEST_LINE = 400;

    private AmountReader $reader;

    /** @param  list<string>  $starters  ids of foods that bring cultures */
    public function __construct(private FoodShelf $shelf, private array $starters = [], ?KitchenUnits $units = null)
    {
        $this->reader = new AmountReader($shelf, $units ?? KitchenUnits::of(Habit::Us));
    }

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
        $hasNumber = preg_match('/^\W*(?:\d|[½⅓⅔¼¾⅛⅜⅝⅞])|^(?:an?|some|half)\b|\b(?:pinch|dash)\b/iu', $bare) === 1;
        if (!$hasNumber && (str_word_count($bare) > 7 || preg_match('/[.!]$/', $bare) === 1)) {
            return new RecipeLine($number, $bare, 'work');
        }

        return $this->ingredient($number, $bare);
    }

    private function ingredient(int $number, string $line): RecipeLine
    {
        try {
            $read = $this->reader->read($line, null, FieldKind::Amount);
            if ($read->unit === 'g' && $read->food !== null) {
                return $this->found($number, $line, $read->food, round($read->band->typical, 3), null);
            }
            $problem = Message::of('errors.recipe_amount');
        } catch (InvalidQuantity $open) {
            $problem = $open->explanation();
        }
        $foods = $this->named($line);

        return match (count($foods)) {
            0 => new RecipeLine($number, $line, 'food', null, null, $problem),
            1 => $this->found($number, $line, $foods[0], null, $problem),
            default => new RecipeLine(
                $number,
                $line,
                $foods[0]->isSalt ? 'salt' : 'food',
                null,
                null,
                Message::of(
                    'errors.recipe_food_which',
                    names: Listed::any(array_map(static fn(MeasuredFood $food): Message => $food->label, $foods)),
                ),
            ),
        };
    }

    private function found(int $number, string $line, MeasuredFood $food, ?float $grams, ?Message $problem): RecipeLine
    {
        return new RecipeLine(
            $number,
            $line,
            $food->isSalt ? 'salt' : ($food->id === 'water' ? 'water' : 'food'),
            $food->id,
            $grams,
            $problem,
            in_array($food->id, $this->starters, true),
        );
    }

    /**
     * The foods that a line names, though its amount was not understood.
     *
     * @return list<MeasuredFood>
     */
    private function named(string $line): array
    {
        $plain = preg_replace(['/\([^)]*\)/', '/,.*$/', '/[\d½⅓⅔¼¾⅛⅜⅝⅞.\/%-]+/u'], ' ', $line) ?? $line;
        [$words] = PhraseParser::foodWords($plain);
        for ($from = 0; $from < min(4, count($words)); $from++) {
            $named = $this->shelf->named(array_slice($words, $from));
            if ($named !== []) {
                return $named;
            }
        }

        return [];
    }

    private static function withoutMark(string $line): string
    {
        return trim(preg_replace('/^(?:[-*•·–]\s+|\d{1,2}[.)]\s+)/u', '', $line) ?? $line);
    }
}
