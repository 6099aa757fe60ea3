<?php

declare(strict_types=1);

namespace App\Console;

use App\Language\Words;
use App\Pantry\FoodMeasures;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Amount\AmountReader;
use Tempesal\Core\Amount\AmountReading;
use Tempesal\Core\Amount\AskedAmount;
use Tempesal\Core\Amount\FieldKind;
use Tempesal\Core\Amount\FoodShelf;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Amount\PhraseParser;
use Tempesal\Core\Amount\ReadingKind;
use Tempesal\Core\Message\Message;

/**
 * Amounts as cooks say them in, what they are out: one JSON object for each.
 */
final class ReadAmounts
{
    public const USAGE = 'amount PHRASE [--of FOOD] [--kind KIND] [--habit us|uk|au|metric], or amount - for lines';

    /** Longer lines are answered with an error, and not kept. */
    private const LONGEST_LINE = 4096;

    private readonly FoodShelf $shelf;

    private readonly AmountReader $reader;

    private readonly Words $words;

    public function __construct(Habit $habit)
    {
        $this->shelf = FoodMeasures::shelf();
        $this->reader = new AmountReader($this->shelf, KitchenUnits::of($habit));
        $this->words = Words::here();
    }

    /**
     * @param  list<string>  $arguments
     *
     * @return int the exit code: 2 where the one phrase could not be read
     *
     * @throws InputError
     */
    public static function run(array $arguments): int
    {
        $options = ['of' => '', 'kind' => '', 'habit' => 'us'];
        $phrase = null;
        while ($arguments !== []) {
            $argument = array_shift($arguments);
            if (preg_match('/^--(of|kind|habit)(?:=(.*))?$/s', $argument, $m) === 1) {
                $value = $m[2] ?? array_shift($arguments);
                $options[$m[1]] = $value ?? throw InputError::at("--{$m[1]}", Message::of('errors.option_missing'));
            } elseif ($phrase === null) {
                $phrase = $argument;
            } else {
                throw InputError::at('', Message::of('errors.option_unknown', option: $argument));
            }
        }
        $habit =
            Habit::tryFrom($options['habit']) ?? throw InputError::at('--habit', Message::of('errors.option_habit'));
        if ($phrase === null) {
            throw InputError::at('', Message::of('errors.amount_missing'));
        }
        $reader = new self($habit);
        if ($phrase !== '-') {
            $answer = $reader->answer($phrase, $options['of'], $options['kind']);
            self::print($answer);

            return isset($answer['error']) ? 2 : 0;
        }
        while (($line = fgets(STDIN, self::LONGEST_LINE)) !== false) {
            $isCut = !str_ends_with($line, "\n") && !feof(STDIN);
            while ($isCut && ($rest = fgets(STDIN, 65536)) !== false && !str_ends_with($rest, "\n"));
            $line = rtrim($line, "\r\n");
            if ($line === '') {
                continue;
            }
            [$phrase, $food, $kind] = [...explode("\t", $line), '', ''];
            self::print(
                $reader->answer(
                    $phrase,
                    $food === '' ? $options['of'] : $food,
                    $kind === '' ? $options['kind'] : $kind,
                ),
            );
        }

        return 0;
    }

    /**
     * @return array<string, mixed> as docs/formats/amount.schema.json has it
     */
    public function answer(string $phrase, string $food, string $kind): array
    {
        $food = trim($food);
        $asked = ['phrase' => self::shown($phrase), 'food' => $food === '' ? null : self::shown($food)];
        try {
            $field =
                trim($kind) === ''
                    ? null
                    : FieldKind::tryFrom(trim($kind)) ?? throw new InvalidQuantity(Message::of('errors.amount_kind'));
            [$foods, $cut] = $this->foods($food);

            return [
                ...$asked,
                ...$foods === []
                    ? $this->withoutFood($phrase, $food, $field)
                    : $this->readEach($cut === '' ? $phrase : "{$phrase}, {$cut}", $foods, $field),
            ];
        } catch (AskedAmount $which) {
            return [...$asked, ...$this->offers($which->question, $which->offers)];
        } catch (InvalidQuantity $refusal) {
            return [...$asked, 'error' => $this->words->say($refusal->explanation())];
        }
    }

    /**
     * @param  non-empty-list<MeasuredFood|null>  $foods
     * @return array<string, mixed>
     */
    private function readEach(string $phrase, array $foods, ?FieldKind $kind): array
    {
        if (count($foods) === 1) {
            return $this->reading($this->reader->read($phrase, $foods[0], $kind));
        }
        $readings = [];
        foreach ($foods as $food) {
            assert($food !== null);
            $readings["{$phrase} {$food->names[0]}"] = $this->reader->read($phrase, $food, $kind);
        }
        $shared = AmountReading::alike(array_values($readings));

        return $shared === null
            ? $this->offers(Message::of('errors.amount_which_food'), $readings)
            : $this->reading($shared);
    }

    /**
     * @param  non-empty-array<string, AmountReading>  $offers
     * @return array<string, mixed>
     */
    private function offers(Message $question, array $offers): array
    {
        return [
            'question' => $this->words->say($question),
            'ask' => array_map(
                fn(string $phrase, AmountReading $reading): array => ['phrase' => $phrase, ...$this->reading($reading)],
                array_map(strval(...), array_keys($offers)),
                array_values($offers),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function reading(AmountReading $reading): array
    {
        return [
            'kind' => $reading->kind->value,
            'unit' => $reading->unit,
            'typical' => self::rounded($reading->band->typical),
            'low' => self::rounded($reading->band->low),
            'high' => self::rounded($reading->band->high),
            'read' => $this->words->say($reading->inWords()),
            ...$reading->basis === null ? [] : ['basis' => $reading->basis],
        ];
    }

    /**
     * What a name stands for: one food, or several that are called alike; and how it is cut, where the name says so.
     *
     * @return array{list<MeasuredFood|null>, string}
     */
    private function foods(string $name): array
    {
        if ($name === '') {
            return [[null], ''];
        }
        $byId = $this->shelf->get($name);
        if ($byId !== null) {
            return [[$byId], ''];
        }
        [$words, $cut] = PhraseParser::foodWords($name);

        return [$words === [] ? [] : $this->shelf->named($words), $cut];
    }

    /**
     * A weight is a weight, also of a food that nobody knows.
     *
     * @return array<string, mixed>
     */
    private function withoutFood(string $phrase, string $food, ?FieldKind $kind): array
    {
        $reading = $this->reader->read($phrase, null, $kind);

        return $reading->kind === ReadingKind::Volume ||
            $reading->kind === ReadingKind::Unmeasured ||
            $reading->food !== null
            ? throw new InvalidQuantity(Message::of('errors.amount_food_unknown', food: self::shown($food)))
            : $this->reading($reading);
    }

    /** @param  array<string, mixed>  $answer */
    private static function print(array $answer): void
    {
        echo json_encode(
        $answer,
        JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
    ),
            "\n";
    }

    private static function rounded(float $value): float
    {
        return $value === 0.0 ? 0.0 : round($value, max(0, 5 - (int) floor(log10(abs($value)))));
    }

    private static function shown(string $text): string
    {
        return mb_strimwidth(mb_scrub($text), 0, 200, '…');
    }
}
