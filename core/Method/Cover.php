<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

/**
 * What lies on a jar, and whether it lets gas out by itself.
 */
enum Cover: string
{
    case ScrewLid = 'screw lid';
    case LooseLid = 'loose lid';
    case SlitLid = 'slit lid';
    case Airlock = 'airlock';
    case Cloth = 'cloth';
    case Clamp = 'clamp';

    /** Whether gas stays in until somebody opens it: a clamp lets it out only when the pressure is already high. */
    public function holdsGas(): bool
    {
        return $this === self::ScrewLid || $this === self::Clamp;
    }

    /** Whether it is a lid that one can look at before opening. */
    public function isLid(): bool
    {
        return $this !== self::Cloth;
    }
}
