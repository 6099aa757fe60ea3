<?php

declare(strict_types=1);

namespace App\Labels;

use Carbon\CarbonImmutable;

/**
 * A label's lines in words.
 *
 * @phpstan-import-type Label from LabelPrint
 */
final class LabelText
{
    /**
     * @param  Label  $label
     * @return list<array{string, string}> what it is, and what is said of it, on paper and on the screen
     */
    public static function rows(array $label): array
    {
        $rows = [[$label['isMade'] ? 'started' : 'opened', CarbonImmutable::parse($label['startedOn'])->format('j M Y')]];
        if ($label['useBy'] !== null) {
            $rows[] = ['use by', self::day($label['useBy'])];
        }
        if ($label['youngOn'] !== null) {
            $rows[] = ['look on', self::day($label['youngOn'])];
        }
        if ($label['readyOn'] !== null) {
            $rows[] = ['ready', self::day($label['readyOn']).($label['longOn'] === null ? '' : ' – '.self::day($label['longOn']))];
        }
        if ($label['strengthPercent'] !== null) {
            $rows[] = ['salt', round($label['strengthPercent'], 1)." % {$label['strengthBasis']}"];
        }
        if ($label['sodium'] !== null) {
            $rows[] = ['sodium', sprintf('%s mg in %s g', number_format($label['sodium']['shown']), round($label['servingGrams'], 1))];
        }

        return $rows;
    }

    /** @param  Label  $label */
    public static function foot(array $label): string
    {
        return ($label['allergens'] === [] ? 'No allergen among those we list' : 'Contains '.implode(', ', $label['allergens']))
            .($label['isLive'] ? '; live' : '; not live');
    }

    private static function day(string $date): string
    {
        return CarbonImmutable::parse($date)->format('j M');
    }
}
