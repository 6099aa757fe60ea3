<?php

declare(strict_types=1);

namespace App\Language;

use DateTimeImmutable;
use DateTimeZone;
use IntlException;
use LogicException;
use MessageFormatter;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Puts messages into the words of a language: the catalogue's patterns (ICU MessageFormat) filled by PHP's intl, as the
 * screens fill the same patterns. For what leaves the application as text: PDF, mail, calendar, CSV, doors.
 */
final class Words
{
    /** @var array<string, self> */
    private static array $known = [];

    /** @var array<string, MessageFormatter> */
    private array $formatters = [];

    private function __construct(
        private readonly Catalogue $catalogue,
        public readonly string $locale,
        private readonly ?KitchenUnits $units = null,
    ) {}

    /** @param  string  $locale  as BCP 47 has it: "en-GB" */
    public static function in(string $locale): self
    {
        return self::$known[$locale] ??= new self(Catalogue::of($locale), Catalogue::localeFor($locale));
    }

    /** In the language of the installation. */
    public static function here(): self
    {
        return self::in(getenv('TEMPESAL_LOCALE') ?: Catalogue::FALLBACK);
    }

    /** The same words with lengths and temperatures as a kitchen measures them; millimetres and Celsius without. */
    public function measuredBy(KitchenUnits $units): self
    {
        return new self($this->catalogue, $this->locale, $units);
    }

    /** A message as a text. */
    public function say(Message $message): string
    {
        $kept = LibraryName::kept($message);
        if ($kept !== null) {
            return $this->named($message->code, $kept);
        }
        $values = array_map(
            fn(mixed $value): mixed => match (true) {
                $value instanceof Message => $this->say($value),
                $value instanceof Day => new DateTimeImmutable("{$value->date} 12:00", new DateTimeZone('UTC')),
                $value instanceof Listed => $this->join($value),
                is_bool($value) => $value ? 'yes' : 'no',
                default => $value,
            },
            self::inBothUnits($message->values),
        ) + [
            'isFahrenheit' => $this->units?->usesFahrenheit === true ? 'yes' : 'no',
            'isInches' => $this->units?->usesInches === true ? 'yes' : 'no',
        ];
        $text = $this->formatter($message->code)->format($values);

        return $text === false ? throw new LogicException("\"{$message->code}\" could not be put into words.") : $text;
    }

    /** What the library calls something; what a cook has named keeps its name. */
    public function named(string $code, string $kept): string
    {
        return $this->catalogue->named($code, $kept);
    }

    /**
     * What an answer holds, with every message in it as a text.
     *
     * @template K of array-key
     *
     * @param  array<K, mixed>  $answer
     * @return array<K, mixed>
     */
    public function inWords(array $answer): array
    {
        return array_map(
            fn(mixed $value): mixed => match (true) {
                $value instanceof Message => $this->say($value),
                is_array($value) => $this->inWords($value),
                default => $value,
            },
            $answer,
        );
    }

    /**
     * A sentence chooses between them by isFahrenheit and isInches, as on the screens (readerUnits.ts).
     *
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private static function inBothUnits(array $values): array
    {
        $celsius = $values['celsius'] ?? null;
        $millimetres = $values['millimetres'] ?? null;

        return [
            ...is_numeric($celsius)
                ? [
                    'fahrenheit' => round(((float) $celsius * 9.0) / 5.0 + 32.0),
                    'fahrenheitApart' => round(((float) $celsius * 9.0) / 5.0, 1),
                ]
                : [],
            ...is_numeric($millimetres) ? ['inches' => round((float) $millimetres / 25.4, 1)] : [],
            ...$values,
        ];
    }

    private function join(Listed $list): string
    {
        $items = array_map(
            fn(string|Message|Day $item): string => match (true) {
                $item instanceof Message => $this->say($item),
                $item instanceof Day => $item->date,
                default => $item,
            },
            $list->items,
        );
        $last = (string) array_pop($items);
        if ($items === []) {
            return $last;
        }
        $head = (string) array_shift($items);
        foreach ($items as $item) {
            $head = $this->say(Message::of("list.{$list->join}_middle", first: $head, second: $item));
        }

        return $this->say(Message::of("list.{$list->join}_last", first: $head, second: $last));
    }

    private function formatter(string $code): MessageFormatter
    {
        try {
            return $this->formatters[$code] ??= new MessageFormatter($this->locale, $this->catalogue->pattern($code));
        } catch (IntlException $error) {
            throw new LogicException("The pattern of \"{$code}\" cannot be read: {$error->getMessage()}", 0, $error);
        }
    }
}
