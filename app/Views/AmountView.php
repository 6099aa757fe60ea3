<?php

declare(strict_types=1);

namespace App\Views;

use Tempesal\Core\Amount\AmountReading;
use Tempesal\Core\Amount\AskedAmount;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenPhrase;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Message\Message;

/**
 * How an amount was understood, for the line under its field.
 */
final class AmountView
{
    /** Less is no spoon. */
    private const LEAST_G = 0.5;

    /**
     * @param  SpoonSystem|null  $measures  of a kitchen that measures: what was weighed is said in its spoons and cups too
     * @return array<string, mixed>
     */
    public static function read(AmountReading $reading, ?SpoonSystem $measures = null): array
    {
        return ['reading' => self::reading($reading, $measures), 'question' => null, 'offers' => [], 'problem' => null];
    }

    /** @return array<string, mixed> */
    public static function asked(AskedAmount $which): array
    {
        return [
            'reading' => null,
            'question' => $which->question,
            'offers' => array_map(
                static fn(string $phrase, AmountReading $reading): array => [
                    'phrase' => $phrase,
                    'reading' => self::reading($reading),
                ],
                array_map(strval(...), array_keys($which->offers)),
                array_values($which->offers),
            ),
            'problem' => null,
        ];
    }

    /** @return array<string, mixed> */
    public static function refused(InvalidQuantity $refusal): array
    {
        return ['reading' => null, 'question' => null, 'offers' => [], 'problem' => $refusal->explanation()];
    }

    /** @return array<string, mixed> */
    private static function reading(AmountReading $reading, ?SpoonSystem $measures = null): array
    {
        $said = self::inKitchensUnits($reading) ?? self::measured($reading, $measures);

        return [
            'kind' => $reading->kind->value,
            'unit' => $reading->unit,
            'typical' => $reading->band->typical,
            'low' => $reading->band->low,
            'high' => $reading->band->high,
            'said' => $said ?? $reading->inWords(),
            'isPlain' => $said === null && $reading->isPlain(),
        ];
    }

    /** Lengths and temperatures as the kitchen measures them. */
    private static function inKitchensUnits(AmountReading $reading): ?Message
    {
        $say = match ($reading->unit) {
            'C' => static fn(float $value): Message => Message::of('unit.temperature', celsius: round($value, 1)),
            'mm' => static fn(float $value): Message => Message::of('unit.length', millimetres: round($value, 1)),
            default => null,
        };
        $band = $reading->band;

        return match (true) {
            $say === null => null,
            $band->isExact() => $say($band->typical),
            default => Message::of(
                'say.in_units',
                said: $reading->said,
                typical: $say($band->typical),
                low: $say($band->low),
                high: $say($band->high),
            ),
        };
    }

    /** What was weighed, in spoons and cups. */
    private static function measured(AmountReading $reading, ?SpoonSystem $measures): ?Message
    {
        $food = $reading->food;
        if ($measures === null || $food === null || !$reading->isPlain() || $reading->band->typical < self::LEAST_G) {
            return null;
        }

        return Message::of(
            'say.weighed',
            grams: round($reading->band->typical, 1),
            measure: KitchenPhrase::of(
                Grams::of($reading->band->typical),
                $food->bulk(null, false)->typical,
                $measures,
                true,
            ),
        );
    }
}
