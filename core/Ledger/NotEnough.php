<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use DomainException;
use Tempesal\Core\TempesalException;

/**
 * More was asked for than the jar holds.
 */
final class NotEnough extends DomainException implements TempesalException
{
    public static function of(Phase $phase, float $wantedG, float $thereG): self
    {
        return new self(sprintf(
            'Only %s g of %s are left, %s g were asked for.',
            number_format($thereG, $thereG < 10 ? 1 : 0),
            $phase->value,
            number_format($wantedG, $wantedG < 10 ? 1 : 0),
        ));
    }
}
