<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

/**
 * The body that stands for a piece when salt moves into it.
 */
enum PieceForm: string
{
    /** Half-thickness is the length that counts. */
    case Sheet = 'sheet';
    /** Radius is the length that counts. */
    case Cylinder = 'cylinder';
    /** Radius is the length that counts. */
    case Sphere = 'sphere';

    /** Along how many directions salt comes in. */
    public function dimension(): int
    {
        return match ($this) {
            self::Sheet => 1,
            self::Cylinder => 2,
            self::Sphere => 3,
        };
    }
}
