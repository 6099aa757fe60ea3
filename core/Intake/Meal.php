<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

/**
 * When something is eaten.
 */
enum Meal: string
{
    case Morning = 'morning';
    case Noon = 'noon';
    case Evening = 'evening';

    /** Its usual part of a day's sodium, 0 to 1: common practice, no source. */
    public function usualShare(): float
    {
        return match ($this) {
            self::Morning => 0.25,
            self::Noon => 0.35,
            self::Evening => 0.40,
        };
    }
}
