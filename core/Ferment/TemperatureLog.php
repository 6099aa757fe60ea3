<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

use DateTimeImmutable;
use DateTimeZone;
use Exception;
use Tempesal\Core\Message\Message;

/**
 * Temperatures as a logger or a spreadsheet hands them out: a line for each reading, a moment and a number, parted by
 * comma, semicolon or tab. A first line of words is skipped; one that speaks of Fahrenheit says that the numbers are
 * that.
 */
final readonly class TemperatureLog
{
    /** Lines beyond which it is not read. */
    public const MOST_LINES = 20_000;

    private const COLDEST = -30.0;

    private const HOTTEST = 60.0;

    /**
     * @param  list<array{DateTimeImmutable, float}>  $readings  in UTC, degrees Celsius, ascending, each moment once
     * @param  list<array{line: int, text: string, reason: Message}>  $problems  lines that were left out
     */
    private function __construct(public array $readings, public array $problems) {}

    /** @param  DateTimeZone  $zone  of moments that do not name theirs */
    public static function read(string $text, DateTimeZone $zone): self
    {
        $readings = $problems = [];
        $isFahrenheit = false;
        $isFirst = true;
        foreach (preg_split('/\R/', $text) ?: [] as $i => $line) {
            $line = trim($line, " \t\u{FEFF}");
            if ($line === '') {
                continue;
            }
            if ($i >= self::MOST_LINES) {
                $problems[] = [
                    'line' => $i + 1,
                    'text' => '',
                    'reason' => Message::of('errors.too_many_lines', most: self::MOST_LINES),
                ];
                break;
            }
            if ($isFirst && preg_match('/\d/', $line) !== 1) {
                $isFahrenheit = preg_match('/fahrenheit|°\s*f\b|\bf$/i', $line) === 1;
                $isFirst = false;

                continue;
            }
            $isFirst = false;
            $read = self::line($line, $isFahrenheit, $zone);
            if ($read instanceof Message) {
                $problems[] = ['line' => $i + 1, 'text' => mb_strimwidth($line, 0, 60, '…'), 'reason' => $read];
            } else {
                $readings[$read[0]->getTimestamp()] = $read;
            }
        }
        ksort($readings);

        return new self(array_values($readings), $problems);
    }

    /** @return array{DateTimeImmutable, float}|Message the reason when it cannot be read */
    private static function line(string $line, bool $isFahrenheit, DateTimeZone $zone): array|Message
    {
        $by = match (true) {
            str_contains($line, "\t") => "\t",
            str_contains($line, ';') => ';',
            default => ',',
        };
        $parts = array_map(static fn(string $part): string => trim($part, ' "'), explode($by, $line));
        if (count($parts) < 2) {
            return Message::of('errors.log_line');
        }
        $number = $by === ',' ? $parts[1] : str_replace(',', '.', $parts[1]);
        if (!is_numeric($number)) {
            return Message::of('errors.log_temperature', text: $parts[1]);
        }
        $celsius = $isFahrenheit ? ((float) $number - 32.0) / 1.8 : (float) $number;
        if ($celsius < self::COLDEST || $celsius > self::HOTTEST) {
            return Message::of('errors.log_out_of_range', text: $parts[1]);
        }
        if (preg_match('/^\d{4}-\d{2}-\d{2}[T ]\d{1,2}:\d{2}/', $parts[0]) !== 1) {
            return Message::of('errors.log_moment', text: $parts[0]);
        }
        try {
            $moment = new DateTimeImmutable($parts[0], $zone);
        } catch (Exception) {
            return Message::of('errors.log_moment', text: $parts[0]);
        }

        return [$moment->setTimezone(new DateTimeZone('UTC')), $celsius];
    }
}
