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

    /** When it is usually eaten, by the kitchen's clock, HH:MM: common practice, no source. */
    public function hour(): string
    {
        return match ($this) {
            self::Morning => '08:00',
            self::Noon => '12:30',
            self::Evening => '18:30',
        };
    }

    /** Its usual part of a day's sodium, 0 to 1: common practice, no source. */
    public function usualShare(): float
    {
        return match ($this) {
            self::Morning => 0.25,
            self::Noon => 0.35,
            self::Evening => 0.4,
        };
    }
}
