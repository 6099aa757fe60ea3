<?php

declare(strict_types=1);

namespace App\Views;

use Tempesal\Core\Estimate\Contribution;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Intake\DayTotal;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * Numbers as they go over the wire: full precision, with the rounded figure for the screen beside it.
 */
final class WireNumbers
{
    /** @return array{low: float, typical: float, high: float, shown: int, shownLow: int, shownHigh: int} */
    public static function sodium(Band $band): array
    {
        return [
            ...$band->toArray(),
            'shown' => LabelRounding::milligrams($band->typical),
            'shownLow' => LabelRounding::milligrams($band->low),
            'shownHigh' => LabelRounding::milligrams($band->high),
        ];
    }

    /**
     * A total with the rest of a diet in it, rounded as far as its band lets it be said.
     *
     * @return array{low: float, typical: float, high: float, shown: int, shownLow: int, shownHigh: int}
     */
    public static function total(Band $band): array
    {
        return [
            ...$band->toArray(),
            'shown' => DayTotal::rounded($band->typical, $band),
            'shownLow' => DayTotal::rounded($band->low, $band),
            'shownHigh' => DayTotal::rounded($band->high, $band),
        ];
    }

    /**
     * @return list<array{label: Message, sharePercent: float, remedy: Message|null, without: array{low: float,
     *     typical: float, high: float, shown: int, shownLow: int, shownHigh: int}}> widest first
     */
    public static function contributions(Estimate $estimate): array
    {
        return array_map(
            static fn(Contribution $contribution): array => [
                'label' => $contribution->input->label(),
                'sharePercent' => $contribution->share * 100.0,
                'remedy' => $contribution->input->howToNarrow(),
                'without' => self::sodium($estimate->without($contribution->input->key)),
            ],
            $estimate->contributions,
        );
    }
}
