<?php

declare(strict_types=1);

namespace App\Views;

use Tempesal\Core\Amount\AmountReading;
use Tempesal\Core\Amount\AskedAmount;
use Tempesal\Core\Measure\InvalidQuantity;

/**
 * How an amount was understood, for the line under its field.
 */
final class AmountView
{
    /** @return array<string, mixed> */
    public static function read(AmountReading $reading): array
    {
        return ['reading' => self::reading($reading), 'question' => null, 'offers' => [], 'problem' => null];
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
    private static function reading(AmountReading $reading): array
    {
        return [
            'kind' => $reading->kind->value,
            'unit' => $reading->unit,
            'typical' => $reading->band->typical,
            'low' => $reading->band->low,
            'high' => $reading->band->high,
            'said' => $reading->inWords(),
            'isPlain' => $reading->isPlain(),
        ];
    }
}
