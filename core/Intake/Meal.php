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

    /** To which meal something belongs that was eaten then, HH:MM by the kitchen's clock: common practice, no source. */
    public static function at(string $time): self
    {
        return match (true) {
            $time < '11:00' => self::Morning,
            $time < '16:00' => self::Noon,
            default => self::Evening,
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
