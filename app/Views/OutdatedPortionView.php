<?php

declare(strict_types=1);

namespace App\Views;

use App\Intake\OutdatedPortion;

/**
 * A portion as it was booked, and as it would be today.
 */
final class OutdatedPortionView
{
    /** @return array<string, mixed> */
    public static function of(OutdatedPortion $portion): array
    {
        return [
            'servingId' => $portion->serving->id,
            'personName' => $portion->serving->person->name,
            'eatenOn' => $portion->serving->eaten_on,
            'grams' => $portion->serving->grams,
            'booked' => WireNumbers::sodium($portion->serving->sodium()),
            'now' => WireNumbers::sodium($portion->sodium),
        ];
    }
}
