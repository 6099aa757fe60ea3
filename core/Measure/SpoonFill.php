<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * How full a spoon is. The factors are common practice, no source; their bands are wide on purpose.
 */
enum SpoonFill: string
{
    case Level = 'level';
    case Rounded = 'rounded';
    case Heaped = 'heaped';
    case Scant = 'scant';
    case Generous = 'generous';

    public function factor(): Band
    {
        return match ($this) {
            self::Level => Band::of(0.95, 1.0, 1.05),
            self::Rounded => Band::of(1.2, 1.35, 1.6),
            self::Heaped => Band::of(1.5, 1.75, 2.2),
            self::Scant => Band::of(0.75, 0.85, 0.95),
            self::Generous => Band::of(1.05, 1.2, 1.45),
        };
    }
}
