<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * What a unit measures; masses count in grams, volumes in millilitres, lengths in millimetres, durations in hours.
 */
enum Dimension
{
    case Mass;
    case Volume;
    case Length;
    case Duration;
    case Temperature;
    /** Things that are counted: heads, cloves, leaves. */
    case Count;
    /** What nobody measures: a drizzle, a handful. */
    case Unmeasured;
}
